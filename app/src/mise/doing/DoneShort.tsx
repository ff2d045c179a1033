import { foldDay } from 'core/mise/doing/foldDay'
import { outlookOf, shortsOf } from 'core/mise/doing/shorts'
import type { MiseEvent } from 'contract/mise/event'
import { useMemo, useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import type { Mise, MiseTask } from '../useKitchenPlan'
import { MassDial, roundStep } from '../count/MassDial'
import { useEndTask } from './TaskBar'
import { useMassWords } from '../../setup/useMassWords'

/** Less came out than planned: how much, and what that means for the portions before it is said. */
export function DoneShort({ mise, task, onClose }: { mise: Mise; task: MiseTask; onClose: () => void }) {
  const { mass, weighsIn } = useMassWords()
  const t = useWords('mise')
  const done = useEndTask(mise)
  const planned = Math.round(task.massG * task.share)
  const { unitG, step } = roundStep(planned, weighsIn)
  const [massG, setMassG] = useState(Math.round((planned * 0.8) / (step * unitG)) * step * unitG)
  const effect = useEffectOf(mise, task, massG)
  return (
    <View className="gap-2.5">
      <MassDial name={t('doing.out')} massG={massG} aroundG={planned} mostG={planned} onChange={setMassG} />
      {effect && (
        <Text size="step" weight="semi">
          {t('doing.lasts', { portions: effect.portions, of: effect.ofPortions })}
        </Text>
      )}
      <Button
        isTall
        kind="main"
        label={t('doing.keepShort', { mass: mass(massG) })}
        onPress={() => {
          done(task, massG)
          onClose()
        }}
      />
    </View>
  )
}

/** What the item would be short by, were that said. */
function useEffectOf(mise: Mise, task: MiseTask, massG: number) {
  const plan = mise.plans.find((one) => one.id === task.planId)
  return useMemo(() => {
    if (!plan?.drawn || task.itemId === null) return null
    const event = {
      id: 'ffffffff-ffff-7fff-8fff-ffffffffffff',
      day: plan.id,
      deviceId: '',
      atMs: mise.nowMs,
      counter: 0,
      kind: 'ended',
      taskId: task.id,
      massG,
      gave: null,
      took: [],
    } as unknown as MiseEvent
    const day = foldDay(plan.drawn, [...plan.events, event])
    return shortsOf(outlookOf(plan.drawn.items, day)).find((short) => short.itemId === task.itemId) ?? null
  }, [plan, task, massG, mise.nowMs])
}
