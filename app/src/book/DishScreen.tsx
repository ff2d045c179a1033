import type { Dish } from 'contract/dish'
import { allergensOf } from 'core/book/vary'
import { batchScore } from 'core/line/batchScore'
import { largestCap } from 'core/line/planLine'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import Svg, { G } from 'react-native-svg'
import { Channel, Score } from '../score/Score'
import { plannedSpans, scoreDrawing } from '../score/scoreDrawing'
import { useKitchen } from '../setup/useKitchen'
import { Dial } from '../ui/Dial'
import { Frame } from '../ui/Frame'
import { useMeasureWords } from '../ui/measureWords'
import { Notice } from '../ui/Notice'
import { Empty, Loading, Problem } from '../ui/states'
import { Text } from '../ui/Text'
import { formatClock, formatMassG } from '../words/format'
import { useWords } from '../words/i18n'
import { useStepWords } from '../wok/stepWords'
import { useDishes } from './useDishes'

export function DishScreen({ id }: { id: string }) {
  const t = useWords('book')
  const book = useDishes()
  const dish = book.data?.dishes.find((one) => one.id === id)
  return (
    <Frame stage="book">
      {dish ? (
        <DishPage dish={dish} />
      ) : book.error ? (
        <Problem error={book.error} onRetry={() => void book.refetch()} />
      ) : book.data ? (
        <Empty title={t('notThere')} detail={t('notThereDetail')} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

const PX_PER_S = 2.4
const CHANNEL_PX = 110

function DishPage({ dish }: { dish: Dish }) {
  const t = useWords('book')
  const name = useWords('ui')
  const line = useWords('line')
  const kitchen = useKitchen().data
  const stepWords = useStepWords()
  const measureWords = useMeasureWords()
  const cap = kitchen ? Math.max(1, largestCap(kitchen.stations, dish.stationKind)) : 1
  const [portions, setPortions] = useState(1)
  const allergens = allergensOf(dish.components).map((one) => name(`allergens.${one}`))
  const result =
    kitchen &&
    batchScore(
      dish,
      { dishId: dish.id, modifiers: [], allergies: [], parts: [{ portions, modifiers: [] }] },
      kitchen.tools,
      kitchen.ruleSet,
    )
  const score = result?.kind === 'score' ? result.score : null
  const drawing = score && scoreDrawing(score, plannedSpans(score))
  return (
    <ScrollView tabIndex={0} className="min-h-0 flex-1">
      <View className="w-full max-w-4xl gap-3 self-center p-4">
        <Text role="heading" aria-level={1} size="lead" weight="bold" stretch="slim">
          {dish.name}
        </Text>
        <Text tone="ash">
          {[t('version', { n: dish.version }), t('portion', { mass: formatMassG(dish.portionRiceG) })].join(' · ')}
        </Text>
        <Notice
          kind="allergy"
          isSmall
          title={allergens.length > 0 ? t('contains', { list: allergens.join(', ') }) : t('containsNone')}
        >
          {t('traces')}
        </Notice>
        <View role="list">
          {dish.components.map((component) => (
            <View
              key={component.id}
              role="listitem"
              className="flex-row items-baseline gap-3 border-b border-edge py-1.5"
            >
              <Text weight="bold" stretch="narrow" className="w-14 text-right">
                {formatMassG(component.ratioG)}
              </Text>
              <Text className="min-w-0 flex-1">{component.name}</Text>
            </View>
          ))}
          <Text size="small" tone="ash">
            {t('per100')}
          </Text>
        </View>
        <View className="flex-row items-center gap-4">
          <Text role="heading" aria-level={2} size="step" weight="bold" className="flex-1">
            {t('score')}
          </Text>
          <View className="w-60">
            <Dial
              name={line('add.howMany')}
              value={portions}
              least={1}
              most={cap}
              unit=""
              lessLabel={line('add.less')}
              moreLabel={line('add.more')}
              onChange={setPortions}
            />
          </View>
        </View>
        {score && drawing && (
          <View className="flex-row gap-3">
            <Svg width={CHANNEL_PX + 40} height={score.totalS * PX_PER_S + 10} aria-hidden>
              <Channel x={0} y={0} widthPx={CHANNEL_PX} heightPx={score.totalS * PX_PER_S + 10} />
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
                        .map((entry) =>
                          [entry.name, formatMassG(entry.massG), measureWords(entry.measure)].filter(Boolean).join(' '),
                        )
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
        )}
      </View>
    </ScrollView>
  )
}
