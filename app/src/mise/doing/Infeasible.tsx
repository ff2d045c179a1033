import type { Infeasible as Fault } from 'core/mise/plan/task'
import { View } from 'react-native'
import { valueOf } from '../../device/worked'
import { Notice } from '../../ui/Notice'
import { useWords } from '../../words/i18n'
import { useMiseWords } from '../miseWords'
import type { Mise } from '../useKitchenPlan'
import { toolName } from './NextTask'

/** What cannot be planned, each with why and the smallest change that helps. */
export function Infeasible({ mise }: { mise: Mise }) {
  const words = useMiseWords(mise.kitchen)
  const sentence = useFaultSentence(mise)
  const faults = valueOf(mise.plan)?.schedule.infeasible ?? []
  if (faults.length === 0) return null
  return (
    <View className="gap-1 pt-1">
      {faults.map((fault) => {
        const task = mise.byId.get(fault.taskId)
        return (
          <Notice key={fault.taskId} kind="conflict" isSmall title={task ? words.task(task) : fault.taskId}>
            {sentence(fault)}
          </Notice>
        )
      })}
    </View>
  )
}

function useFaultSentence(mise: Mise) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const named = (id: string) => {
    const task = mise.byId.get(id)
    return task ? words.task(task) : id
  }
  return (fault: Fault): string => {
    switch (fault.why) {
      case 'loop':
        return t('doing.why.loop', { path: fault.path.map(named).join(' → ') })
      case 'unknown-need':
      case 'no-people':
        return t(`doing.why.${fault.why}`)
      case 'unknown-equipment':
        return t('doing.why.unknown-equipment', { name: toolName(mise, fault.name) })
      case 'unknown-person':
        return t('doing.why.unknown-person', { name: words.person(fault.name) })
      case 'no-skill':
        return t('doing.why.no-skill', { name: fault.name })
      case 'too-few-hands':
        return t('doing.why.too-few-hands', {
          hands: fault.hands,
          people: fault.people,
          missing: fault.hands - fault.people,
        })
      case 'no-hours':
        return t('doing.why.no-hours', { needed: words.span(fault.neededS), longest: words.span(fault.longestS) })
      case 'needs-infeasible':
        return t('doing.why.needs-infeasible', { name: named(fault.name) })
      case 'due-max-lag':
        return t('doing.why.due-max-lag', {
          name: named(fault.name),
          most: words.span(fault.maxLagS),
          over: words.span(fault.overS),
        })
      case 'max-lag':
        return t('doing.why.max-lag', {
          name: named(fault.name),
          lag: words.span(fault.lagS),
          most: words.span(fault.maxLagS),
        })
    }
  }
}
