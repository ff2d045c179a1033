import type { TempUnit } from 'core/measure/temperature'
import type { Score, Step } from 'core/wok/score'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { formatClock, formatMassG, formatPercent, formatTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useStepWords } from '../../wok/stepWords'

/** From here on it is worth saying how near a thing is to burning. */
const NEAR_BURNT = 0.2

/** The steps of a score in words: when, what and how much, why, and the figures behind that. */
export function ScoreSteps(props: { score: Score; isGriddle: boolean; readsIn: TempUnit }) {
  const { score, isGriddle, readsIn } = props
  const stepWords = useStepWords(readsIn)
  const figuresOf = useFigureWords(readsIn)
  return (
    <View role="list" className="min-w-0 flex-1">
      {score.steps.map((step) => {
        const words = stepWords(step, isGriddle)
        const figures = figuresOf(step)
        return (
          <View key={step.id} role="listitem" className="border-b border-edge py-1.5">
            <Text weight="bold" stretch="slim">
              {`${formatClock(step.startS)}  ${words.title}`}
            </Text>
            <Text size="small" tone="ash" stretch="slim">
              {step.entries
                .filter((entry) => entry.motion !== 'out')
                .map((entry) => `${entry.name} ${formatMassG(entry.massG)}`)
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

/** The figures of the model behind a step, as one line. */
function useFigureWords(readsIn: TempUnit): (step: Step) => string {
  const t = useWords('book')
  const temp = (tempC: number) => formatTemp({ tempC, tempF: null }, readsIn)
  return ({ figures = {} }) => {
    const { metalC, lowestC, dryS, coreC, oilG, burnFraction } = figures
    const falls = metalC !== undefined && lowestC !== undefined && metalC - lowestC >= 2
    return [
      metalC === undefined
        ? ''
        : falls
          ? t('score.figures.metalFalls', { from: temp(metalC), to: temp(lowestC) })
          : t('score.figures.metal', { from: temp(metalC) }),
      dryS === undefined ? '' : t('score.figures.dry', { seconds: Math.round(dryS) }),
      coreC === undefined ? '' : t('score.figures.core', { core: temp(coreC) }),
      oilG === undefined ? '' : t('score.figures.oil', { mass: formatMassG(oilG) }),
      burnFraction === undefined || burnFraction < NEAR_BURNT
        ? ''
        : t('score.figures.burn', { percent: formatPercent(burnFraction) }),
    ]
      .filter(Boolean)
      .join(', ')
  }
}
