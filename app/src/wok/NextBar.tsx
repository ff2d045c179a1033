import type { Run } from 'contract/run'
import type { RunState } from 'core/wok/run'
import { View } from 'react-native'
import { useMeasureWords } from '../ui/measureWords'
import { Text } from '../ui/Text'
import { formatClock, formatMassG } from '../words/format'
import { useWords } from '../words/i18n'
import type { RunStep, StepWords } from './stepWords'

/** What comes next and when, by the clock of the run. */
export function NextBar({ run, state, wordsOf }: { run: Run; state: RunState; wordsOf: (step: RunStep) => StepWords }) {
  const t = useWords('wok')
  const measureWords = useMeasureWords()
  const next = run.score.steps[state.stepIndex + 1]
  if (!next) return <Text tone="ash">{t('last')}</Text>
  const atS = (state.dueMs - run.firedAtMs) / 1000
  const entries = next.entries.filter((entry) => entry.motion === 'in' || entry.motion === 'plate')
  const detail = entries.slice(0, 2).map((entry) => {
    const name = entries.length > 1 ? entry.name : null
    return [name, formatMassG(entry.massG), measureWords(entry.measure)].filter(Boolean).join(' ')
  })
  return (
    <View className="flex-row items-start gap-4">
      <View className="w-20">
        <Text tone="ash" stretch="slim">
          {t('then')}
        </Text>
        <Text size="amount" weight="bold" tone="celadon" stretch="narrow">
          {formatClock(atS)}
        </Text>
      </View>
      <View className="min-w-0 flex-1">
        <Text size="step" weight="bold" numberOfLines={1}>
          {wordsOf(next).title}
        </Text>
        <Text tone="ash" stretch="slim" numberOfLines={2}>
          {detail.length > 0 ? detail.join(' · ') : wordsOf(next).how}
        </Text>
      </View>
    </View>
  )
}
