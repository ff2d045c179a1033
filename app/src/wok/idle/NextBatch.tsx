import { useRouter } from 'expo-router'
import { Pressable, View } from 'react-native'
import Svg from 'react-native-svg'
import { plannedSpans, scoreDrawing } from 'core/wok/drawing/scoreDrawing'
import { useLineWords } from '../../line/lineWords'
import type { Line, ShownBatch } from '../../line/useLinePlan'
import { Channel, Score } from '../../score/Score'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'

const CHANNEL_PX = 128
const SCORE_PX = 150

/** A batch that waits for this station: when it is set up and lit, for which tickets, and its score. */
export function NextBatch({ line, batch, hasScore }: { line: Line; batch: ShownBatch; hasScore: boolean }) {
  const t = useWords('wok')
  const router = useRouter()
  const words = useLineWords(line)
  const zone = line.kitchen.timeZone
  return (
    <Pressable
      role="link"
      onPress={() => router.push('/line')}
      className="ring-focus gap-1 border-b border-edge px-4 py-3 active:bg-plate"
    >
      <View className="flex-row items-baseline justify-between gap-2">
        <Text size="step" weight="bold" stretch="slim" numberOfLines={1} className="min-w-0 shrink">
          {`${batch.dish.shortName} ${batch.portions}`}
        </Text>
        <Text size="title" weight="bold" stretch="narrow">
          {formatTime(batch.startMs, zone)}
        </Text>
      </View>
      <Text tone="ash" stretch="slim">
        {[
          t('idle.tickets', { list: words.tickets(batch) }),
          batch.setUp === 'none' ? '' : t(`idle.setUp.${batch.setUp}`, { time: formatTime(batch.setUpStartMs, zone) }),
          words.lateness(batch.lateS),
        ]
          .filter(Boolean)
          .join(' · ')}
      </Text>
      {batch.allergies.length > 0 && <Notice kind="allergy" isSmall title={words.allergens(batch.allergies)} />}
      {hasScore && batch.score && (
        <Svg width={CHANNEL_PX * 2} height={SCORE_PX} aria-hidden>
          <Channel x={0} y={0} widthPx={CHANNEL_PX} heightPx={SCORE_PX} />
          <Score
            drawing={scoreDrawing(batch.score, plannedSpans(batch.score))}
            x={0}
            y={0}
            channelPx={CHANNEL_PX}
            pxPerS={SCORE_PX / Math.max(1, batch.score.totalS)}
            topS={0}
            hasLabels
          />
        </Svg>
      )}
    </Pressable>
  )
}
