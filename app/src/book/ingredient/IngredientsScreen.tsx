import type { KitchenIngredient } from 'contract/ingredient'
import { likeNames } from 'core/book/lookUp'
import { priceOn } from 'core/book/balance/cost'
import { useRouter } from 'expo-router'
import { useDeferredValue, useMemo, useState } from 'react'
import { Pressable, View } from 'react-native'
import { useKitchen } from '../../setup/useKitchen'
import { useMassWords } from '../../setup/useMassWords'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Empty, Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { formatMoney } from '../../words/format'
import { useWords } from '../../words/i18n'
import { BookPage } from '../BookParts'
import { useIngredients } from '../useShelf'
import { useToday } from '../useToday'
import { AddIngredient } from './AddIngredient'
import { IngredientTable } from './IngredientTable'
import { bulkUnitG, bulkUnitOf } from 'core/measure/scaleUnit'

const MAX_SHOWN = 60

/** The ingredient table: looked through by name, every row with where its figures come from. */
export function IngredientsScreen() {
  const t = useWords('book')
  const table = useIngredients()
  const [input, setAsked] = useState('')
  const [isAdding, setIsAdding] = useState(false)
  const wanted = useDeferredValue(input)
  const rows = table.data?.ingredients
  const shown = useMemo(() => {
    if (!rows) return []
    return wanted.trim() === '' ? rows : (likeNames(rows, wanted, MAX_SHOWN) as KitchenIngredient[])
  }, [rows, wanted])
  const isWide = useIsWide()
  const currency = useKitchen().data?.currency ?? 'USD'
  const add = <Button label={t('ingredient.add')} className="flex-1" onPress={() => setIsAdding(true)} />
  if (isWide && rows)
    return (
      <BookPage
        part="ingredients"
        isTable
        tools={<Button size="body" label={t('ingredient.add')} onPress={() => setIsAdding(true)} />}
      >
        <IngredientTable rows={rows} currency={currency} />
        {isAdding && <AddIngredient rows={rows} name="" onClose={() => setIsAdding(false)} />}
      </BookPage>
    )
  return (
    <BookPage part="ingredients" bar={add}>
      <View className="flex-row flex-wrap items-end gap-3">
        <Field label={t('ingredient.search')} value={input} onChange={setAsked} className="min-w-[220px] flex-1" />
      </View>
      {table.isPending && <Loading what={t('loading')} />}
      {table.error && !rows && <Problem error={table.error} onRetry={() => void table.refetch()} />}
      {rows && shown.length === 0 && <Empty title={t('ingredient.none')} detail={t('ingredient.add')} />}
      <Text size="small" tone="ash" className="pt-2">
        {t('ingredient.count', { count: shown.length })}
      </Text>
      <View role="list">
        {shown.slice(0, MAX_SHOWN).map((row) => (
          <IngredientRow key={row.id} row={row} />
        ))}
      </View>
      {shown.length > MAX_SHOWN && (
        <Text tone="ash" className="py-3">
          {t('ingredient.firstShown', { count: MAX_SHOWN })}
        </Text>
      )}
      {isAdding && rows && <AddIngredient rows={rows} name={input} onClose={() => setIsAdding(false)} />}
    </BookPage>
  )
}

function IngredientRow({ row }: { row: KitchenIngredient }) {
  const { weighsIn } = useMassWords()
  const t = useWords('book')
  const name = useWords('ui')
  const router = useRouter()
  const day = useToday()
  const currency = useKitchen().data?.currency ?? 'USD'
  const price = priceOn(row.prices, day)
  const perKg = price && (price.priceMinor / price.packG / row.ediblePortion) * bulkUnitG(weighsIn)
  return (
    <View role="listitem">
      <Pressable
        role="link"
        onPress={() => router.push(`/book/ingredients/${row.id}`)}
        className="ring-focus min-h-14 justify-center border-b border-edge py-1 active:bg-plate"
      >
        <View className="flex-row items-baseline gap-3">
          <Text weight="bold" stretch="slim" className="min-w-0 flex-1">
            {row.name}
          </Text>
          <Text stretch="narrow">
            {perKg === null
              ? t('ingredient.noPrice')
              : t('ingredient.perKg', { price: formatMoney(perKg, currency), unit: bulkUnitOf(weighsIn) })}
          </Text>
        </View>
        <Text size="small" tone="ash" stretch="slim">
          {[
            row.isOwn ? t('ingredient.own', { n: row.version }) : row.source,
            t(`confidence.${row.confidence}`),
            row.allergens.map((one) => name(`allergens.${one}`)).join(', '),
            row.mayContain.length > 0 &&
              t('ingredient.mayList', { list: row.mayContain.map((one) => name(`allergens.${one}`)).join(', ') }),
            !row.areAllergensKnown && t('ingredient.notKnown'),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Text>
      </Pressable>
    </View>
  )
}
