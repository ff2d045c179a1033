import { Pressable, View } from 'react-native'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { Heading } from '../MisePage'
import { useMiseWords } from '../miseWords'
import type { Mise, MiseTask } from '../useKitchenPlan'
import { useEndTask } from './TaskBar'
import { dueMs, waitsOf } from './taskOrder'

/** What goes on without hands: soaking, thawing, cooling, each with the time it has left. */
export function Waits({ mise, onOpen }: { mise: Mise; onOpen: (id: string) => void }) {
  const t = useWords('mise')
  const waits = waitsOf(mise.tasks)
  if (waits.length === 0) return null
  return (
    <View>
      <Heading {...(waits.length > SHOWN && { detail: t('doing.ofAll', { n: SHOWN, all: waits.length }) })}>
        {t('doing.underWay')}
      </Heading>
      <View role="list">
        {waits.slice(0, SHOWN).map((task) => (
          <Wait key={task.id} mise={mise} task={task} onOpen={onOpen} />
        ))}
      </View>
    </View>
  )
}

const FULL_PERCENT = 100
const SHOWN = 4

function Wait({ mise, task, onOpen }: { mise: Mise; task: MiseTask; onOpen: (id: string) => void }) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const done = useEndTask(mise)
  const leftS = (dueMs(task) - mise.nowMs) / 1000
  const share = Math.min(1, Math.max(0, 1 - leftS / task.durationS))
  return (
    <View role="listitem" className="flex-row items-center gap-3 border-b border-edge py-1">
      <Pressable
        role="button"
        onPress={() => onOpen(task.id)}
        className="ring-focus min-h-14 min-w-0 flex-1 justify-center"
      >
        <View className="flex-row items-baseline justify-between gap-2">
          <Text size="step" weight="semi" stretch="slim" className="min-w-0 flex-1">
            {words.task(task)}
          </Text>
          <Text size="step" weight="bold" stretch="narrow">
            {leftS >= 0 ? t('doing.left', { time: words.span(leftS) }) : t('doing.overBy', { time: words.span(leftS) })}
          </Text>
        </View>
        <View className="dashed mt-1 h-2 border border-line" aria-hidden>
          <View className="h-full bg-line" style={{ width: `${share * FULL_PERCENT}%` }} />
        </View>
      </Pressable>
      <Button
        size="body"
        label={t('doing.check')}
        accessibleName={t('doing.checkName', { name: words.task(task) })}
        className="w-16"
        onPress={() => done(task, null)}
      />
    </View>
  )
}
