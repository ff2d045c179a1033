import { useReadsIn } from '../../setup/useKitchen'
import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import { batchScore } from 'core/line/batchScore'
import { View } from 'react-native'
import Svg, { G } from 'react-native-svg'
import { Channel, Score } from '../../score/Score'
import { plannedSpans, scoreDrawing } from '../../score/scoreDrawing'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { formatClock, formatMassG } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useStepWords } from '../../wok/stepWords'

const PX_PER_S = 2.4
const CHANNEL_PX = 110
/** Room beside the ribbon for what is set aside. */
const THREAD_PX = 30

/** The score of a batch with its steps beside it. */
export function DishScore({ dish, portions, kitchen }: { dish: Dish; portions: number; kitchen: Kitchen }) {
  const t = useWords('book')
  const stepWords = useStepWords(useReadsIn())
  const batch = { modifiers: [], allergies: [], parts: [{ portions, modifiers: [] }] }
  const result = batchScore(dish, batch, kitchen.tools, kitchen)
  if (result.kind !== 'score')
    return result.reason === 'eggSchool' ? (
      <Notice kind="conflict" title={t('dish.noEggSchool', { list: result.names.join(', ') })} />
    ) : null
  const { score } = result
  const drawing = scoreDrawing(score, plannedSpans(score))
  const heightPx = score.totalS * PX_PER_S + 10
  return (
    <View className="gap-2">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {`${t('dish.scoreOf')}, ${formatClock(score.totalS)}, ${formatMassG(score.batchMassG)}`}
      </Text>
      <View className="flex-row gap-3">
        <Svg width={CHANNEL_PX + THREAD_PX} height={heightPx} aria-hidden>
          <Channel x={0} y={0} widthPx={CHANNEL_PX + THREAD_PX} heightPx={heightPx} />
          <G>
            <Score drawing={drawing} x={0} y={0} channelPx={CHANNEL_PX} pxPerS={PX_PER_S} topS={0} hasLabels />
          </G>
        </Svg>
        <View role="list" className="min-w-0 flex-1">
          {score.steps.map((step) => {
            const words = stepWords(step, dish.stationKind === 'griddle')
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
              </View>
            )
          })}
        </View>
      </View>
    </View>
  )
}
