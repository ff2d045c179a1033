import type { Dish } from 'contract/dish'
import type { TempUnit } from 'core/measure/temperature'
import type { Score } from 'core/wok/score'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { formatClock } from '../../words/format'
import { useFigureWords } from '../../wok/figureWords'
import { useStepWords } from '../../wok/stepWords'
import { cutWords } from './cutWords'
import { useMassWords } from '../../setup/useMassWords'

/** The steps of a score in words: when, what and how much, why, and the figures behind that. */
export function ScoreSteps(props: { dish: Dish; score: Score; readsIn: TempUnit }) {
  const { mass } = useMassWords()
  const { dish, score, readsIn } = props
  const stepWords = useStepWords(readsIn)
  const figuresOf = useFigureWords(readsIn)
  const cutOf = (id: string) => cutWords(dish.components.find((one) => one.id === id)?.cut ?? null)
  return (
    <View role="list" className="min-w-0 flex-1">
      {score.steps.map((step) => {
        const words = stepWords(step, dish.stationKind === 'griddle')
        const figures = figuresOf(step)
        return (
          <View key={step.id} role="listitem" className="border-b border-edge py-1.5">
            <Text weight="bold" stretch="slim">
              {`${formatClock(step.startS)}  ${words.title}`}
            </Text>
            <Text size="small" tone="ash" stretch="slim">
              {step.entries
                .filter((entry) => entry.motion !== 'out')
                .map((entry) =>
                  [entry.name, mass(entry.massG), entry.motion === 'in' ? cutOf(entry.componentId) : '']
                    .filter(Boolean)
                    .join(' '),
                )
                .join(' · ')}
            </Text>
            <Text size="small" stretch="slim">
              {words.reason}
            </Text>
            {figures !== '' && (
              <Text size="small" tone="ash" stretch="slim">
                {figures}
              </Text>
            )}
          </View>
        )
      })}
    </View>
  )
}
