import { foldDay } from 'core/mise/doing/foldDay'
import { outlookOf, shortsOf } from 'core/mise/doing/shorts'
import type { MiseEvent } from 'contract/mise/event'
import { useMemo, useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Dial } from '../../ui/Dial'
import { Text } from '../../ui/Text'
import { formatMassG } from '../../words/format'
import { useWords } from '../../words/i18n'
import type { Mise, MiseTask } from '../useKitchenPlan'
import { useEndTask } from './TaskBar'

const STEPS = 40
const ROUNDS = [1, 2, 5, 10, 20, 50, 100, 200, 500] as const

/** Less came out than planned: how much, and what that means for the portions before it is said. */
export function DoneShort({ mise, task, onClose }: { mise: Mise; task: MiseTask; onClose: () => void }) {
  const t = useWords('mise')
  const done = useEndTask(mise)
  const planned = Math.round(task.massG * task.share)
  const step = ROUNDS.find((one) => one * STEPS >= planned) ?? 1000
  const [massG, setMassG] = useState(Math.round((planned * 0.8) / step) * step)
  const effect = useEffectOf(mise, task, massG)
  return (
    <View className="gap-2.5">
      <Dial
        name={t('doing.out')}
        value={massG}
        least={0}
        most={planned}
        step={step}
        unit={t('count.grams')}
        lessLabel={`${t('doing.out')} −${step}`}
        moreLabel={`${t('doing.out')} +${step}`}
        onChange={setMassG}
      />
      {effect && (
        <Text size="step" weight="semi">
          {t('doing.lasts', { portions: effect.portions, of: effect.ofPortions })}
        </Text>
      )}
      <Button
        isTall
        kind="main"
        label={t('doing.keepShort', { mass: formatMassG(massG) })}
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
