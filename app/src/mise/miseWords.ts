import type { Kitchen } from 'contract/kitchen'
import type { Cut } from 'core/book/dish'
import type { PrepTask } from 'core/mise/need/prepTask'
import { capital } from '../words/format'
import { useWords } from '../words/i18n'

const HOUR_S = 3600
const DAY_S = 86_400

/** How tasks, times and people are said. */
export function useMiseWords(kitchen: Kitchen | undefined) {
  const t = useWords('mise')
  const span = (seconds: number): string => {
    const s = Math.round(Math.abs(seconds) / 60) * 60
    if (s >= 2 * DAY_S) return t('days', { d: Math.floor(s / DAY_S), h: Math.round((s % DAY_S) / HOUR_S) })
    if (s < HOUR_S) return t('minutes', { n: s / 60 })
    return t('hours', { h: Math.floor(s / HOUR_S), min: String(Math.round((s % HOUR_S) / 60)).padStart(2, '0') })
  }
  const task = ({ kind, name }: Pick<PrepTask, 'kind' | 'name'>): string =>
    kind === 'rails' ? t('verbs.rails') : t('task', { verb: t(`verbs.${kind}`), name })
  const cut = (one: Cut | null): string =>
    one === null
      ? ''
      : one.sizeMm === null
        ? t(`shapes.${one.shape}`)
        : t('cut', { shape: t(`shapes.${one.shape}`), mm: one.sizeMm })
  const person = (id: string) => kitchen?.staff.find((one) => one.id === id)?.name ?? id
  const people = (ids: readonly string[]) => ids.map(person).join(', ')
  return { span, task, cut, person, people, name: (one: Pick<PrepTask, 'name'>) => capital(one.name) }
}
