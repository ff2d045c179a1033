import type { Run } from 'contract/run'
import type { RunState } from 'core/wok/run'
import { View } from 'react-native'
import { useMeasureWords } from '../ui/measureWords'
import { Button } from '../ui/Button'
import { Text } from '../ui/Text'
import { formatClock } from '../words/format'
import { useWords } from '../words/i18n'
import type { RunStep, StepWords } from './stepWords'
import type { LastSaid } from './useLastSaid'
import { useMassWords } from '../setup/useMassWords'

type NextBarProps = {
  run: Run
  state: RunState
  wordsOf: (step: RunStep) => StepWords
  last: LastSaid | null
  onUndo: (eventId: string) => void
}

/** What comes next and when, by the clock of the run; beside it for a few seconds the way back from the last tap. */
export function NextBar({ run, state, wordsOf, last, onUndo }: NextBarProps) {
  const { mass } = useMassWords()
  const t = useWords('wok')
  const measureWords = useMeasureWords()
  const next = state.steps[state.stepIndex + 1]
  const undo = last && (
    <Button
      label={t('undoLast')}
      accessibleName={t('undoWhat', { what: last.what })}
      className="w-24"
      onPress={() => onUndo(last.eventId)}
    />
  )
  if (!next)
    return (
      <View className="flex-row items-center justify-between">
        <Text tone="ash">{t('last')}</Text>
        {undo}
      </View>
    )
  const atS = (state.dueMs - run.firedAtMs) / 1000
  const entries = next.entries.filter((entry) => entry.motion === 'in' || entry.motion === 'plate')
  const detail = entries.slice(0, 2).map((entry) => {
    const name = entries.length > 1 ? entry.name : null
    return [name, mass(entry.massG), measureWords(entry.measure)].filter(Boolean).join(' ')
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
      {undo}
    </View>
  )
}
