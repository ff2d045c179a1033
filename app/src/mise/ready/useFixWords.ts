import type { Stave } from 'core/mise/ready/readiness'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMiseWords } from '../miseWords'
import type { Mise } from '../useKitchenPlan'
import { useMassWords } from '../../setup/useMassWords'

/** What would mend a stave, in a line. */
export function useFixWords(mise: Mise) {
  const { mass } = useMassWords()
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  return ({ fix, portions }: Stave): string => {
    if (!fix) return ''
    switch (fix.kind) {
      case 'task': {
        const task = mise.byId.get(fix.taskId)
        return t('ready.fix.task', {
          task: task ? words.task(task) : '',
          time: formatTime(fix.readyMs, mise.kitchen.timeZone),
        })
      }
      case 'bring':
        return t('ready.fix.bring', { mass: mass(fix.massG), n: Math.floor(portions) })
      case 'light':
        return t('ready.fix.light', { n: fix.minutes })
      case 'staff':
        return t('ready.fix.staff')
      case 'check':
        return t('ready.fix.check')
      case 'rice':
        return t('ready.fix.rice', { mass: mass(fix.massG) })
    }
  }
}
