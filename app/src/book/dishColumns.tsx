import type { Dish } from 'contract/dish'
import { marginFraction } from 'core/book/balance/cost'
import type { Style } from 'core/book/balance/style'
import { View } from 'react-native'
import { Diamond } from '../ui/icons'
import type { DataColumn } from '../ui/table/useDataTable'
import { Text } from '../ui/Text'
import { formatClock, formatMoney, formatPercent } from '../words/format'
import type { useWords } from '../words/i18n'
import { judgeDish } from './balance/judge'
import type { Shelf } from './useShelf'

/** A dish as it is compared; what cannot be known is null. */
export type DishRow = {
  id: string
  name: string
  style: string
  costMinor: number | null
  priceMinor: number | null
  margin: number | null
  saltFraction: number
  liquidFraction: number | null
  /** How long one portion takes by its score [s]; null while that is worked out, too. */
  seconds: number | null
  findings: number
  contains: string
}

export const dishRows = (
  dishes: readonly Dish[],
  shelf: Shelf,
  styles: readonly Style[],
  day: string,
  containsOf: (dish: Dish) => string,
  secondsOf: (dish: Dish) => number | null,
): DishRow[] =>
  dishes.flatMap((dish) => {
    const style = styles.find((one) => one.id === dish.style) ?? styles[0]
    if (!style) return []
    const judged = judgeDish(dish.components, dish.portionRiceG, shelf, style, dish.schools.oil, day)
    const { costMinor } = judged
    return [
      {
        id: dish.id,
        name: dish.name,
        style: style.name,
        costMinor,
        priceMinor: dish.priceMinor ?? null,
        margin: costMinor !== null && dish.priceMinor ? marginFraction(dish.priceMinor, costMinor) : null,
        saltFraction: judged.balance.metrics.saltFraction,
        liquidFraction: judged.balance.metrics.freeLiquidFraction,
        seconds: secondsOf(dish),
        findings: judged.findings.length,
        contains: containsOf(dish),
      },
    ]
  })

export function dishColumns(t: ReturnType<typeof useWords<'book'>>, currency: string): DataColumn<DishRow>[] {
  const figure = (
    id: string,
    title: string,
    value: (row: DishRow) => number | null,
    words: (value: number) => string,
  ): DataColumn<DishRow> => ({
    id,
    title,
    value,
    cell: (row) => {
      const one = value(row)
      return <Text stretch="narrow">{one === null ? '–' : words(one)}</Text>
    },
    widthPx: 84,
    isNumber: true,
  })
  const money = (minor: number) => formatMoney(minor, currency)
  const percent = (fraction: number) => `${formatPercent(fraction)} %`
  return [
    {
      id: 'name',
      title: t('compare.dish'),
      value: (row) => row.name,
      cell: (row) => (
        <View className="flex-row items-center gap-1.5">
          {row.findings > 0 && <Diamond sizePx={13} />}
          <Text weight="bold" stretch="slim" numberOfLines={1} className="min-w-0 shrink">
            {row.name}
          </Text>
        </View>
      ),
      widthPx: 190,
      isGrowing: true,
    },
    { id: 'style', title: t('compare.style'), value: (row) => row.style, widthPx: 108 },
    figure('cost', t('compare.cost'), (row) => row.costMinor, money),
    figure('price', t('compare.price'), (row) => row.priceMinor, money),
    figure('margin', t('compare.margin'), (row) => row.margin, percent),
    figure('salt', t('metrics.saltFraction'), (row) => row.saltFraction, percent),
    figure('liquid', t('metrics.freeLiquidFraction'), (row) => row.liquidFraction, percent),
    figure('seconds', t('compare.seconds'), (row) => row.seconds, formatClock),
    {
      id: 'allergens',
      title: t('compare.allergens'),
      value: (row) => row.contains,
      cell: (row) => (
        <Text size="small" stretch="slim" numberOfLines={2}>
          {row.contains}
        </Text>
      ),
      widthPx: 210,
      isGrowing: true,
    },
  ]
}
