import { Pressable, View } from 'react-native'
import { valueOf } from '../../device/worked'
import { Text } from '../../ui/Text'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Heading } from '../MisePage'
import { useMiseWords } from '../miseWords'
import type { Mise } from '../useKitchenPlan'

const SHOWN = 6

/** The chain that decides, as beads on a taut thread with their latest starts. */
export function Tight({ mise, onOpen }: { mise: Mise; onOpen: (id: string) => void }) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const zone = mise.kitchen.timeZone
  const chain = (valueOf(mise.plan)?.schedule.chain ?? [])
    .flatMap((id) => mise.byId.get(id) ?? [])
    .filter((task) => task.status === 'open')
    .slice(-SHOWN)
  if (chain.length === 0) return null
  return (
    <View>
      <Heading>{t('doing.tight')}</Heading>
      <View role="list">
        {chain.map((task, i) => (
          <View key={task.id} role="listitem">
            <Pressable
              role="button"
              onPress={() => onOpen(task.id)}
              className="ring-focus min-h-11 flex-row items-center gap-3"
            >
              <View className="w-3 items-center self-stretch" aria-hidden>
                <View className={`w-1 flex-1 ${i === 0 ? '' : 'bg-rice'}`} />
                <View className="h-2.5 w-2.5 rounded-full bg-rice" />
                <View className={`w-1 flex-1 ${i === chain.length - 1 ? '' : 'bg-rice'}`} />
              </View>
              <Text size="step" weight="semi" stretch="slim" className="min-w-0 flex-1">
                {words.task(task)}
              </Text>
              <Text size="step" weight="bold" stretch="narrow">
                {formatTime(task.at?.latestStartMs ?? task.at?.startMs ?? 0, zone)}
              </Text>
            </Pressable>
          </View>
        ))}
      </View>
      {mise.next && (
        <Text tone="ash" stretch="slim">
          {t('doing.tightDetail', { time: formatTime(mise.next.fromMs, zone) })}
        </Text>
      )}
    </View>
  )
}
