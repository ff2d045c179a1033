import type { Run } from 'contract/run'
import { projectedStartsMs } from 'core/wok/projectedStarts'
import { type RunState } from 'core/wok/run'
import { ScrollView, View } from 'react-native'
import { Choice } from '../ui/Choice'
import { useMeasureWords } from '../ui/measureWords'
import { Text } from '../ui/Text'
import { formatClock } from '../words/format'
import { useWords } from '../words/i18n'
import { useReadsIn } from '../setup/useKitchen'
import { useMassWords } from '../setup/useMassWords'
import { useFigureWords } from './figureWords'
import type { RunStep, StepWords } from './stepWords'
import { sayOfRun } from './useRuns'

type Props = { run: Run; state: RunState; nowMs: number; wordsOf: (step: RunStep) => StepWords }

/** Wide screens only: why this step stands here, and every step to come with its amounts. */
export function StepList({ run, state, nowMs, wordsOf }: Props) {
  const { mass } = useMassWords()
  const t = useWords('wok')
  const measureWords = useMeasureWords()
  const figuresOf = useFigureWords(useReadsIn())
  const spans = projectedStartsMs(run, state, nowMs)
  const step = state.steps[state.stepIndex]
  return (
    <View className="w-[360px] border-l border-edge bg-plate">
      <View className="gap-1 border-b border-edge p-4">
        <Text tone="ash">{t('why')}</Text>
        <Text>{step && wordsOf(step).reason}</Text>
        {step && figuresOf(step) !== '' && (
          <Text size="small" tone="ash" stretch="slim">
            {figuresOf(step)}
          </Text>
        )}
        {!run.score.basis?.stationVersion && (
          <Text size="small" tone="ash">
            {t('estimate')}
          </Text>
        )}
        <Choice
          role="checkbox"
          label={t('handsFreeSwitch')}
          isChosen={state.handsFree}
          onChoose={() => sayOfRun(run.id, { kind: 'handsFree', on: !state.handsFree })}
          className="min-w-0 self-start px-0"
        />
      </View>
      <ScrollView tabIndex={0} className="flex-1 px-4 py-2">
        {state.steps.slice(state.stepIndex + 1).map((one) => {
          const span = spans.find((each) => each.stepId === one.id)
          const amounts = one.entries.filter((entry) => entry.motion !== 'out')
          return (
            <View key={one.id} className="flex-row gap-3 border-b border-edge py-2">
              <Text weight="bold" stretch="narrow" className="w-12">
                {span ? formatClock((span.startMs - run.firedAtMs) / 1000) : ''}
              </Text>
              <View className="min-w-0 flex-1">
                <Text weight="bold">{wordsOf(one).title}</Text>
                {amounts.map((entry) => (
                  <Text key={entry.componentId} tone="ash" stretch="slim">
                    {[entry.name, mass(entry.massG), measureWords(entry.measure)].filter(Boolean).join(' · ')}
                  </Text>
                ))}
              </View>
            </View>
          )
        })}
      </ScrollView>
    </View>
  )
}
