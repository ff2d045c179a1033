import { useEffect, useState } from 'react'
import { View } from 'react-native'
import type { PlanChange } from 'core/mise/doing/planChanges'
import { valueOf } from '../../device/worked'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'
import { Text } from '../../ui/Text'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMiseWords } from '../miseWords'
import type { Mise } from '../useKitchenPlan'
import { markSeen, usePlanChanges } from '../usePlanChanges'

/** What the plan made of what was said since somebody here last looked. */
export function ChangedPlan({ mise }: { mise: Mise }) {
  const t = useWords('mise')
  const { plan, planKey, isBest, kitchen } = mise
  const words = useMiseWords(kitchen)
  const [isOpen, setIsOpen] = useState(false)
  const schedule = isBest ? (valueOf(plan)?.schedule ?? null) : null
  const changes = usePlanChanges(planKey, schedule)
  const isQuiet = schedule !== null && changes.length === 0
  useEffect(() => {
    if (isQuiet) markSeen(planKey, schedule)
  }, [isQuiet, planKey, schedule])
  if (!schedule || changes.length === 0) return null
  const close = () => {
    setIsOpen(false)
    markSeen(planKey, schedule)
  }
  const sentence = (change: PlanChange): string => {
    switch (change.kind) {
      case 'later':
      case 'sooner':
        return t(`doing.change.${change.kind}`, {
          time: words.span(change.byS),
          at: formatTime(change.startMs, kitchen.timeZone),
        })
      case 'person':
        return t('doing.change.person', { to: words.people(change.to) || t('doing.nobody') })
      case 'late':
        return t('doing.change.late', { time: words.span(change.lateS) })
      case 'new':
      case 'gone':
      case 'inTime':
        return t(`doing.change.${change.kind}`)
    }
  }
  return (
    <View className="mt-2 flex-row items-center gap-2 rounded-lg border border-line px-3">
      <Text weight="semi" stretch="slim" className="min-w-0 flex-1">
        {t('doing.changed', { count: changes.length })}
      </Text>
      <Button size="body" label={t('doing.see')} className="w-16" onPress={() => setIsOpen(true)} />
      <Button size="body" label={t('doing.seen')} className="w-16" onPress={close} />
      <Sheet title={t('doing.changes')} isOpen={isOpen} onClose={close}>
        <View role="list">
          {changes.map((change, i) => {
            const task = mise.byId.get(change.taskId)
            return (
              <View
                key={`${change.taskId} ${change.kind} ${i}`}
                role="listitem"
                className="min-h-11 justify-center border-b border-edge py-1"
              >
                <Text weight="semi" stretch="slim">
                  {task ? words.task(task) : change.taskId}
                </Text>
                <Text tone="ash" stretch="slim">
                  {sentence(change)}
                </Text>
              </View>
            )
          })}
        </View>
      </Sheet>
    </View>
  )
}
