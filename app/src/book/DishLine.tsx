import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import type { Style } from 'core/book/balance/style'
import { useRouter } from 'expo-router'
import { memo, useMemo } from 'react'
import { Pressable, View } from 'react-native'
import { Diamond } from '../ui/icons'
import { Text } from '../ui/Text'
import { formatMoney, formatPercent } from '../words/format'
import { useWords } from '../words/i18n'
import { judgeDish } from './balance/judge'
import { useAllergenLines } from './dish/AllergenNotice'
import { type Shelf } from './useShelf'
import { useToday } from './useToday'

/** Keeps the line's room until its words are here: rows must not jump under a finger. */
const ROOM = '\u00a0'

type LineProps = {
  dish: Dish
  kitchen: Kitchen | undefined
  shelf: Shelf | null
  styles: readonly Style[] | undefined
  isChosen?: boolean
  /** Where absent, the page of the dish opens. */
  onPress?: () => void
}

/** A dish in the book: what it is, whether it stands in its bands, what it costs and contains. */
export const DishLine = memo(function DishLine({ dish, kitchen, shelf, styles, isChosen = false, onPress }: LineProps) {
  const t = useWords('book')
  const router = useRouter()
  const day = useToday()
  const style = styles?.find((one) => one.id === dish.style) ?? styles?.[0]
  const judged = useMemo(
    () => (shelf && style ? judgeDish(dish.components, dish.portionRiceG, shelf, style, dish.schools.oil, day) : null),
    [dish, shelf, style, day],
  )
  const { contains, may, unknown } = useAllergenLines()(dish.components)
  const money = (minor: number) => formatMoney(minor, kitchen?.currency ?? 'USD')
  const findings = judged?.findings.length ?? 0
  const cost =
    judged?.costMinor !== null && judged?.costMinor !== undefined && dish.priceMinor !== undefined
      ? t('row.cost', { cost: money(judged.costMinor), price: money(dish.priceMinor) })
      : judged && judged.unpriced.length > 0
        ? t('row.noCost', { list: judged.unpriced.join(', ') })
        : ''
  return (
    <View role="listitem">
      <Pressable
        role="link"
        aria-current={isChosen ? 'true' : undefined}
        onPress={onPress ?? (() => router.push(`/book/${dish.id}`))}
        className={`ring-focus min-h-16 justify-center border-b border-edge px-1 py-2 active:bg-plate ${isChosen ? 'border-l-4 border-l-rice bg-plate' : ''}`}
      >
        <View className="flex-row items-baseline gap-3">
          <Text size="step" weight="bold" stretch="slim" className="min-w-0 flex-1">
            {dish.name}
          </Text>
          <Text weight="bold" stretch="narrow">
            {cost}
          </Text>
        </View>
        <View className="flex-row items-center gap-1.5">
          {findings > 0 && <Diamond sizePx={14} />}
          <Text size="small" weight={findings > 0 ? 'bold' : 'normal'} stretch="slim" className="min-w-0 flex-1">
            {judged
              ? [
                  style?.name,
                  `${t('metrics.saltFraction')} ${formatPercent(judged.balance.metrics.saltFraction)}\u00a0%`,
                  findings > 0 ? t('row.findings', { count: findings }) : t('row.fine'),
                ].join(' · ')
              : ROOM}
          </Text>
        </View>
        <Text size="small" tone="ash" stretch="slim">
          {[t('version', { n: dish.version }), contains, may, unknown].filter(Boolean).join(' · ')}
        </Text>
      </Pressable>
    </View>
  )
})
