import { useRouter } from 'expo-router'
import { Pressable, ScrollView, View } from 'react-native'
import { runState } from 'core/wok/run'
import { useNowMs } from '../device/clock'
import { useKitchen, useReadsIn } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Frame } from '../ui/Frame'
import { Loading, Problem } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useIsWide } from '../ui/useIsWide'
import { useLinePlan } from '../line/useLinePlan'
import { WideWok } from './WideWok'
import { formatClock } from '../words/format'
import { useWords } from '../words/i18n'
import { PhoneStations } from './idle/PhoneStations'
import { HeatChip } from './StepFace'
import { useStepWords } from './stepWords'
import { useOpenRuns } from './useRuns'

/** Every run at a station now; on a wide screen the stations side by side with what is next for each. */
export function WokScreen() {
  return useIsWide() ? <WideWokPage /> : <PhoneWok />
}

function WideWokPage() {
  const t = useWords('wok')
  const router = useRouter()
  const { line, error, refetch } = useLinePlan()
  return (
    <Frame stage="wok">
      <View className="flex-row items-center justify-between border-b border-edge bg-plate px-4 py-2">
        <PageHeading size="title" weight="bold" stretch="wide">
          {t('title')}
        </PageHeading>
        <Button size="body" label={t('finished.toLine')} onPress={() => router.push('/line')} />
      </View>
      {line ? (
        <WideWok line={line} />
      ) : error ? (
        <Problem error={error} onRetry={() => void refetch()} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

/** The run that wants a hand first on top. */
function PhoneWok() {
  const t = useWords('wok')
  const line = useWords('line')
  const router = useRouter()
  const nowMs = useNowMs()
  const { runs, isPending, error, refetch } = useOpenRuns()
  const kitchen = useKitchen().data
  const words = useStepWords(useReadsIn())
  const open = runs
    .map((run) => ({ run, state: runState(run, run.events, nowMs) }))
    .filter(({ state }) => state.endedMs === null)
    .sort((a, b) => a.state.dueMs - b.state.dueMs)
  return (
    <Frame
      stage="wok"
      bar={<Button isTall kind="main" label={t('finished.toLine')} onPress={() => router.push('/line')} />}
    >
      <View className="border-b border-edge bg-plate px-4 py-3">
        <PageHeading size="title" weight="bold" stretch="wide">
          {t('title')}
        </PageHeading>
      </View>
      {error && runs.length === 0 ? (
        <Problem error={error} onRetry={() => void refetch()} />
      ) : isPending && runs.length === 0 ? (
        <Loading what={t('loading')} />
      ) : open.length === 0 ? (
        <PhoneStations />
      ) : (
        <ScrollView tabIndex={0} className="min-h-0 flex-1">
          <View role="list">
            {open.map(({ run, state }) => {
              const step = state.steps[state.stepIndex]
              const station = kitchen?.stations.find((one) => one.id === run.stationId)
              const leftS = Math.ceil((state.dueMs - nowMs) / 1000)
              return (
                <View key={run.id} role="listitem">
                  <Pressable
                    role="link"
                    aria-label={line('openRun', { dish: run.dishName })}
                    onPress={() => router.push(`/wok/${run.id}`)}
                    className="ring-focus min-h-24 flex-row items-center gap-3 border-b border-edge px-4 py-3 active:bg-plate"
                  >
                    <View className="min-w-0 flex-1">
                      <Text tone="ash">{`${station?.name ?? run.stationId} · ${run.dishName}`}</Text>
                      <Text size="amount" weight="bold" stretch="narrow">
                        {step ? words(step, station?.kind === 'griddle').title : ''}
                      </Text>
                      {step && <HeatChip heat={step.heat} />}
                    </View>
                    <Text size="action" weight="bold" stretch="narrow">
                      {formatClock(leftS)}
                    </Text>
                  </Pressable>
                </View>
              )
            })}
          </View>
        </ScrollView>
      )}
    </Frame>
  )
}
