import { useRouter } from 'expo-router'
import { Pressable, ScrollView, View } from 'react-native'
import Svg from 'react-native-svg'
import { useNowMs } from '../device/clock'
import { useLineWords } from '../line/lineWords'
import { runAt } from '../line/nextForHands'
import type { Line, ShownBatch, ShownRun } from '../line/useLinePlan'
import { Channel, Score } from '../score/Score'
import { plannedSpans, scoreDrawing } from 'core/wok/drawing/scoreDrawing'
import { useReadsIn } from '../setup/useKitchen'
import { Notice } from '../ui/Notice'
import { Text } from '../ui/Text'
import { formatClock, formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { HeatChip } from './StepFace'
import { useStepWords } from './stepWords'

const CHANNEL_PX = 128
const SCORE_PX = 150
const SHOWN = 3

/** The stations side by side: what each cooks or when it was last hot, and what is next for it, with its score. */
export function WideWok({ line }: { line: Line }) {
  return (
    <View className="min-h-0 flex-1 flex-row">
      {line.kitchen.stations.map((station) => (
        <Station
          key={station.id}
          line={line}
          stationId={station.id}
          name={station.name}
          isGriddle={station.kind === 'griddle'}
        />
      ))}
    </View>
  )
}

type StationProps = { line: Line; stationId: string; name: string; isGriddle: boolean }

function Station({ line, stationId, name, isGriddle }: StationProps) {
  const t = useWords('wok')
  const nowMs = useNowMs()
  const run = runAt(line, stationId)
  const next = line.batches.filter((batch) => batch.stationId === stationId)
  const isPlanned = line.pending.length === 0
  const past = line.pasts.find((one) => one.stationId === stationId)
  const lastDish = line.dishes.find((dish) => dish.id === past?.lastDishId)?.shortName
  const idle =
    lastDish && past?.usedUntilMs
      ? t('idle.last', { dish: lastDish, min: Math.max(0, Math.round((nowMs - past.usedUntilMs) / 60_000)) })
      : t('idle.never')
  return (
    <View role="group" aria-label={name} className="min-w-0 flex-1 border-r border-edge">
      <View className="border-b border-edge px-4 py-2">
        <Text role="heading" aria-level={2} size="title" weight="bold" stretch="wide">
          {name}
        </Text>
        <Text tone="ash" stretch="slim">
          {run ? t('idle.cooking') : idle}
        </Text>
      </View>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        {run && <RunNow shown={run} isGriddle={isGriddle} nowMs={nowMs} />}
        <Text role="heading" aria-level={3} weight="bold" tone="ash" className="px-4 pt-3">
          {t('idle.next')}
        </Text>
        {next.length === 0 && (
          <Text tone="ash" className="px-4 py-2">
            {t(isPlanned ? 'idle.nothing' : 'idle.working')}
          </Text>
        )}
        {next.slice(0, SHOWN).map((batch, i) => (
          <NextBatch key={batch.key} line={line} batch={batch} hasScore={i === 0} />
        ))}
        {next.length > SHOWN && (
          <Text tone="ash" className="px-4 py-2">
            {t('idle.more', { count: next.length - SHOWN })}
          </Text>
        )}
      </ScrollView>
    </View>
  )
}

/** The run in hand: its step, its heat, and what is left of it. */
function RunNow({ shown, isGriddle, nowMs }: { shown: ShownRun; isGriddle: boolean; nowMs: number }) {
  const line = useWords('line')
  const router = useRouter()
  const words = useStepWords(useReadsIn())
  const { run, state } = shown
  const step = state.steps[state.stepIndex]
  return (
    <Pressable
      role="link"
      aria-label={line('openRun', { dish: run.dishName })}
      onPress={() => router.push(`/wok/${run.id}`)}
      className="ring-focus gap-1 border-b border-edge px-4 py-3 active:bg-plate"
    >
      <Text tone="ash">{run.dishName}</Text>
      <View className="flex-row items-baseline justify-between gap-2">
        <Text size="amount" weight="bold" stretch="narrow" className="min-w-0 shrink">
          {step ? words(step, isGriddle).title : ''}
        </Text>
        <Text size="action" weight="bold" stretch="narrow">
          {formatClock(Math.ceil((state.dueMs - nowMs) / 1000))}
        </Text>
      </View>
      {step && <HeatChip heat={step.heat} />}
    </Pressable>
  )
}

/** A batch that waits for this station: when it is set up and lit, for which tickets, and its score. */
function NextBatch({ line, batch, hasScore }: { line: Line; batch: ShownBatch; hasScore: boolean }) {
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
