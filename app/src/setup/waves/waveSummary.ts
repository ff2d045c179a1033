import type { Waves } from 'contract/kitchen'
import { waveMinutes } from 'core/line/waves'
import { clockText } from '../../mise/services/shifts'
import type { useWords } from '../../words/i18n'

const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7]

/** The timetable in a line: of a day where all days are alike, else of the week. */
export function waveSummary(t: ReturnType<typeof useWords<'setup'>>, waves: Waves): string {
  const days = WEEKDAYS.map((weekday) => waveMinutes(waves, weekday))
  const count = days.reduce((sum, minutes) => sum + minutes.length, 0)
  const [first = []] = days
  if (count === 0) return t('waves.none')
  const isSame = days.every((minutes) => minutes.join() === first.join())
  if (!isSame) return t('waves.summaryOther', { count })
  return t('waves.summary', { count: first.length, from: clockText(first[0] ?? 0), to: clockText(first.at(-1) ?? 0) })
}
