import { Text } from '../ui/Text'
import { formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import type { Line } from './useLinePlan'

/** How many tickets are promised after those that the line is worked out for. */
export function LaterTickets({ line: { later, kitchen } }: { line: Line }) {
  const t = useWords('line')
  if (!later) return null
  return (
    <Text tone="ash" className="px-4 py-3">
      {t('later', {
        count: later.tickets,
        portions: t('portions', { count: later.portions }),
        time: formatTime(later.firstPromisedAtMs, kitchen.timeZone),
      })}
    </Text>
  )
}
