import { localDay } from 'core/time/localTime'
import { Pressable, View } from 'react-native'
import { Diamond } from '../../ui/icons'
import { Text } from '../../ui/Text'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Heading } from '../MisePage'
import { useMiseWords } from '../miseWords'
import type { Mise, MiseTask } from '../useKitchenPlan'
import { useMassWords } from '../../setup/useMassWords'

const SHOWN = 4
const isToday = (ms: number, { nowMs, kitchen }: Mise) =>
  localDay(ms, kitchen.timeZone) === localDay(nowMs, kitchen.timeZone)

/** What comes after: the next few, each with when and how much. */
export function ThenList({
  mise,
  tasks,
  onOpen,
}: {
  mise: Mise
  tasks: readonly MiseTask[]
  onOpen: (id: string) => void
}) {
  const t = useWords('mise')
  if (tasks.length === 0) return null
  return (
    <View>
      <Heading>{t('doing.then')}</Heading>
      <View role="list">
        {tasks.slice(0, SHOWN).map((task) => (
          <TaskRow key={task.id} mise={mise} task={task} onOpen={onOpen} />
        ))}
      </View>
    </View>
  )
}

/** One task in a line: when, what, how much; a diamond where it will be late. */
export function TaskRow({ mise, task, onOpen }: { mise: Mise; task: MiseTask; onOpen: (id: string) => void }) {
  const { mass } = useMassWords()
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const { at } = task
  const isLate = (at?.lateAheadS ?? 0) > 60
  const who = task.status === 'underway' ? task.who : (at?.who ?? [])
  const massG = task.massG * task.share
  const detail = [
    massG > 0 ? mass(massG) : '',
    words.cut(task.cut),
    words.span(task.durationS),
    task.hands === 0 ? t('chart.noHands').toLowerCase() : words.people(who),
  ]
  return (
    <View role="listitem">
      <Pressable
        role="button"
        onPress={() => onOpen(task.id)}
        className="ring-focus min-h-14 flex-row items-center gap-3 border-b border-edge py-1 active:bg-plate"
      >
        <View className="w-14 flex-row items-center gap-1">
          {isLate && <Diamond sizePx={12} />}
          <View>
            <Text weight="bold" stretch="narrow" size="step">
              {at ? formatTime(at.startMs, mise.kitchen.timeZone) : '–'}
            </Text>
            {at && !isToday(at.startMs, mise) && (
              <Text size="small" tone="ash" stretch="narrow">
                {formatDay(at.startMs, mise.kitchen.timeZone)}
              </Text>
            )}
          </View>
        </View>
        <View className="min-w-0 flex-1">
          <Text size="step" weight="semi" stretch="slim">
            {words.task(task)}
          </Text>
          <Text tone="ash" stretch="slim">
            {detail.filter(Boolean).join(' · ')}
          </Text>
        </View>
        {isLate && at && (
          <Text weight="bold" stretch="narrow">
            {t('doing.overBy', { time: words.span(at.lateAheadS) })}
          </Text>
        )}
      </Pressable>
    </View>
  )
}
