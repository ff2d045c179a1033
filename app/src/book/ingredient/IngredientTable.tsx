import type { KitchenIngredient } from 'contract/ingredient'
import { priceOn } from 'core/book/balance/cost'
import { useRouter } from 'expo-router'
import { useMemo } from 'react'
import { DataTable } from '../../ui/table/DataTable'
import type { DataColumn } from '../../ui/table/useDataTable'
import { Text } from '../../ui/Text'
import { formatMoney } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useToday } from '../useToday'
import { PriceCell } from './PriceCell'
import { bulkUnitG, bulkUnitOf } from 'core/measure/scaleUnit'
import { useMassWords } from '../../setup/useMassWords'

const ROW_PX = 50
const SALT_PER_SODIUM = 2.5

/** The ingredient table on a wide screen: sorted, found, its prices edited in place. */
export function IngredientTable({ rows, currency }: { rows: readonly KitchenIngredient[]; currency: string }) {
  const { weighsIn } = useMassWords()
  const t = useWords('book')
  const name = useWords('ui')
  const router = useRouter()
  const day = useToday()
  const columns = useMemo((): DataColumn<KitchenIngredient>[] => {
    const perKg = (row: KitchenIngredient) => {
      const price = priceOn(row.prices, day)
      return price && (price.priceMinor / price.packG / row.ediblePortion) * bulkUnitG(weighsIn)
    }
    const grams = (
      id: string,
      title: string,
      value: (row: KitchenIngredient) => number,
    ): DataColumn<KitchenIngredient> => ({
      id,
      title,
      value: (row) => Math.round(value(row) * 10) / 10,
      widthPx: 72,
      isNumber: true,
      isExtra: true,
    })
    return [
      {
        id: 'name',
        title: t('ingredient.columns.name'),
        value: (row) => row.name,
        cell: (row) => (
          <Text weight="bold" stretch="slim" numberOfLines={2}>
            {row.name}
          </Text>
        ),
        widthPx: 220,
        isGrowing: true,
      },
      {
        id: 'price',
        title: t('ingredient.columns.price'),
        value: (row) => priceOn(row.prices, day)?.priceMinor ?? null,
        cell: (row) => <PriceCell row={row} currency={currency} />,
        widthPx: 200,
        isNumber: true,
      },
      {
        id: 'perKg',
        title: t('ingredient.columns.perKg', { unit: bulkUnitOf(weighsIn) }),
        value: perKg,
        cell: (row) => {
          const minor = perKg(row)
          return <Text stretch="narrow">{minor === null ? '–' : formatMoney(minor, currency)}</Text>
        },
        widthPx: 84,
        isNumber: true,
      },
      {
        id: 'allergens',
        title: t('compare.allergens'),
        value: (row) =>
          row.areAllergensKnown
            ? row.allergens.map((one) => name(`allergens.${one}`)).join(', ')
            : t('ingredient.notKnown'),
        widthPx: 170,
        isGrowing: true,
      },
      {
        id: 'confidence',
        title: t('ingredient.columns.confidence'),
        value: (row) => t(`confidence.${row.confidence}`),
        widthPx: 108,
      },
      grams('water', t('ingredient.water'), (row) => row.waterG),
      grams('fat', t('ingredient.fat'), (row) => row.fatG),
      grams('sugars', t('ingredient.sugars'), (row) => row.sugarsG),
      grams('salt', t('ingredient.columns.salt'), (row) => (row.sodiumMg * SALT_PER_SODIUM) / 1000),
      { id: 'source', title: t('ingredient.columns.source'), value: (row) => row.source, widthPx: 200, isExtra: true },
    ]
  }, [t, name, day, currency, weighsIn])
  return (
    <DataTable
      label={t('parts.ingredients')}
      rows={rows}
      columns={columns}
      rowId={(row) => row.id}
      rowPx={ROW_PX}
      onChoose={(row) => router.push(`/book/ingredients/${row.id}`)}
      empty={t('ingredient.none')}
    />
  )
}
