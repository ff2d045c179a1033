import { runState } from 'core/wok/run'
import { useRouter } from 'expo-router'
import { Pressable, View } from 'react-native'
import { useKitchen, useReadsIn } from '../setup/useKitchen'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { Countdown } from './Countdown'
import { useStepWords } from './stepWords'
import { useOpenRuns } from './useRuns'

const MOST = 2

/** What burns beside this run: its step and when it wants a hand, one tap away. */
export function OtherRuns({ runId, nowMs }: { runId: string; nowMs: number }) {
  const t = useWords('wok')
  const line = useWords('line')
  const router = useRouter()
  const { runs } = useOpenRuns()
  const kitchen = useKitchen().data
  const words = useStepWords(useReadsIn())
  const others = runs
    .filter((run) => run.id !== runId)
    .map((run) => ({ run, state: runState(run, run.events, nowMs) }))
    .filter(({ state }) => state.endedMs === null)
    .sort((a, b) => a.state.dueMs - b.state.dueMs)
    .slice(0, MOST)
  if (others.length === 0) return null
  return (
    <View role="navigation" aria-label={t('openRuns')} className="flex-row gap-2 px-2 pt-1">
      {others.map(({ run, state }) => {
        const station = kitchen?.stations.find((one) => one.id === run.stationId)
        const step = state.steps[state.stepIndex]
        return (
          <Pressable
            key={run.id}
            role="link"
            aria-label={line('openRun', { dish: run.dishName })}
            onPress={() => router.replace(`/wok/${run.id}`)}
            className="ring-focus min-h-14 min-w-0 flex-1 flex-row items-center gap-2 rounded-lg border border-edge px-3 active:bg-plate"
          >
            <View className="min-w-0 flex-1">
              <Text size="small" tone="ash" stretch="slim" numberOfLines={1}>
                {station?.name ?? run.stationId}
              </Text>
              <Text weight="bold" stretch="narrow" numberOfLines={1}>
                {step ? words(step, station?.kind === 'griddle').title : run.dishName}
              </Text>
            </View>
            <Countdown untilMs={state.dueMs} mayPass={false} size="title" />
          </Pressable>
        )
      })}
    </View>
  )
}
