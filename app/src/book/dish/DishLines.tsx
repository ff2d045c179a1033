import { cutWords } from './cutWords'
import type { Dish } from 'contract/dish'
import { batchAmounts } from 'core/book/scale'
import type { MeasureTools } from 'core/measure/practical'
import { View } from 'react-native'
import { useMeasureWords } from '../../ui/measureWords'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { useWords } from '../../words/i18n'
import { CutDrawing } from './CutDrawing'
import { useMassWords } from '../../setup/useMassWords'

/** What a batch takes: the ratio as a bar, grams, the kitchen's own measure, the cut beside a grain. */
export function DishLines({ dish, portions, tools }: { dish: Dish; portions: number; tools: MeasureTools }) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const isWide = useIsWide()
  const measureWords = useMeasureWords()
  const amounts = batchAmounts(dish.components, dish.portionRiceG * portions, dish.portionRiceG, tools)
  return (
    <View>
      <View className="flex-row gap-3 py-1" aria-hidden>
        <Text size="small" tone="ash" className="flex-1">
          {t('dish.per100')}
        </Text>
        <Text size="small" tone="ash" className="w-[70px] text-right">
          {t('dish.weight')}
        </Text>
        <Text size="small" tone="ash" className="w-[118px]">
          {t('dish.byHand')}
        </Text>
        {isWide && (
          <Text size="small" tone="ash" className="w-[250px]">
            {t('dish.cut')}
          </Text>
        )}
      </View>
      <View role="list">
        {dish.components.map((component, i) => {
          const amount = amounts[i]!
          const cut = component.cut
          const cutText = cutWords(cut)
          return (
            <View key={component.id} role="listitem">
              <View className="min-h-[40px] flex-row items-center gap-3 py-0.5">
                <View className="min-w-0 flex-1 flex-row items-baseline gap-2">
                  <View className="min-w-0 flex-1">
                    <Text stretch="slim" weight="medium">
                      {component.name}
                    </Text>
                    {!isWide && cutText !== '' && (
                      <Text size="small" tone="ash" stretch="slim">
                        {cutText}
                      </Text>
                    )}
                  </View>
                  <Text size="step" weight="bold" stretch="narrow" className="text-right">
                    {ratioText(component.ratioG)}
                  </Text>
                </View>
                <Text weight="bold" stretch="narrow" className="w-[70px] text-right">
                  {mass(amount.massG)}
                </Text>
                <Text stretch="slim" size={isWide ? 'body' : 'small'} className="w-[118px]">
                  {measureWords(amount.measure) ?? t('dish.weigh')}
                </Text>
                {isWide && (
                  <View className="w-[250px] flex-row items-center gap-2">
                    <CutDrawing cut={cut} role={component.role} />
                    <Text size="small" tone="ash" stretch="slim" className="flex-1 text-right">
                      {cutText}
                    </Text>
                  </View>
                )}
              </View>
              <View className="h-[3px] w-full bg-edge" aria-hidden>
                <View className="h-[3px] bg-rice" style={{ width: `${Math.min(100, component.ratioG)}%` }} />
              </View>
            </View>
          )
        })}
      </View>
    </View>
  )
}

const ratioText = (ratioG: number) => (ratioG >= 10 ? ratioG.toFixed(0) : ratioG.toFixed(1))
