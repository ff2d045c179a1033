import type { Station as KitchenStation } from 'contract/kitchen'
import { useRouter } from 'expo-router'
import { Pressable, ScrollView, View } from 'react-native'
import { useNowMs } from '../device/clock'
import { runAt } from '../line/nextForHands'
import type { Line, ShownRun } from '../line/useLinePlan'
import { useReadsIn } from '../setup/useKitchen'
import { Text } from '../ui/Text'
import { formatClock } from '../words/format'
import { useWords } from '../words/i18n'
import { CleanUp } from './idle/CleanUp'
import { NextBatch } from './idle/NextBatch'
import { RehearseLink } from './idle/RehearseLink'
import { useIdleWords } from './idle/useIdleWords'
import { HeatChip } from './StepFace'
import { useStepWords } from './stepWords'

const SHOWN = 3

/** The stations side by side: what each cooks or when it was last hot, and what is next for it, with its score. */
export function WideWok({ line }: { line: Line }) {
  return (
    <View className="min-h-0 flex-1 flex-row">
      {line.kitchen.stations.map((station) => (
        <Station key={station.id} line={line} station={station} />
      ))}
    </View>
  )
}

type StationProps = { line: Line; station: KitchenStation }

function Station({ line, station }: StationProps) {
  const { id: stationId, name } = station
  const isGriddle = station.kind === 'griddle'
  const t = useWords('wok')
  const nowMs = useNowMs()
  const idleWords = useIdleWords()
  const run = runAt(line, stationId)
  const next = line.batches.filter((batch) => batch.stationId === stationId)
  const isPlanned = line.pending.length === 0
  const past = line.pasts.find((one) => one.stationId === stationId)
  const idle = idleWords(station, past, (id) => line.dishes.find((dish) => dish.id === id)?.shortName, nowMs)
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
        {next.slice(0, 1).map((batch) => (
          <NextBatch key={batch.key} line={line} batch={batch} hasScore />
        ))}
        {!run && <CleanUp station={station} past={past} next={next[0]} />}
        {next.slice(1, SHOWN).map((batch) => (
          <NextBatch key={batch.key} line={line} batch={batch} hasScore={false} />
        ))}
        {next.length > SHOWN && (
          <Text tone="ash" className="px-4 py-2">
            {t('idle.more', { count: next.length - SHOWN })}
          </Text>
        )}
        {!run && <RehearseLink station={station} dishId={next[0]?.dish.id ?? null} />}
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
