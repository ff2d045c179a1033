import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import type { Style } from 'core/book/balance/style'
import { useRouter } from 'expo-router'
import { useMemo, useState } from 'react'
import { View } from 'react-native'
import { Button } from '../ui/Button'
import { DataTable } from '../ui/table/DataTable'
import { useWords } from '../words/i18n'
import { BookPage } from './BookParts'
import { DishBody } from './DishBody'
import { DishLine } from './DishLine'
import { useAllergenLines } from './dish/AllergenNotice'
import { plainBatch, stationOf, useBatchScores } from '../wok/useBatchScores'
import { dishColumns, dishRows } from './dishColumns'
import type { Shelf } from './useShelf'
import { useToday } from './useToday'

type WideBookProps = { dishes: readonly Dish[]; kitchen: Kitchen; shelf: Shelf; styles: readonly Style[] }

const ROW_PX = 52

/** The book on a wide screen: the list with the dish beside it, or all dishes compared in a table. */
export function WideBook({ dishes, kitchen, shelf, styles }: WideBookProps) {
  const t = useWords('book')
  const router = useRouter()
  const [chosenId, setChosenId] = useState<string | null>(null)
  const [isComparing, setIsComparing] = useState(false)
  const [portions, setPortions] = useState(1)
  const chosen = dishes.find((dish) => dish.id === chosenId) ?? dishes[0]
  const style = styles.find((one) => one.id === chosen?.style) ?? styles[0]
  const tools = (
    <View className="flex-row gap-2">
      <Button
        size="body"
        label={t(isComparing ? 'compare.list' : 'compare.table')}
        onPress={() => setIsComparing(!isComparing)}
      />
      <Button size="body" label={t('newDish')} onPress={() => router.push('/book/new')} />
    </View>
  )
  if (isComparing)
    return (
      <BookPage part="dishes" isTable tools={tools}>
        <Compare dishes={dishes} kitchen={kitchen} shelf={shelf} styles={styles} />
      </BookPage>
    )
  const side = chosen && style && (
    <DishBody
      key={chosen.id}
      dish={chosen}
      kitchen={kitchen}
      shelf={shelf}
      style={style}
      portions={portions}
      onPortions={setPortions}
      hasScore
      isBeside
    />
  )
  return (
    <BookPage part="dishes" tools={tools} side={side}>
      <View role="list">
        {dishes.map((dish) => (
          <DishLine
            key={dish.id}
            dish={dish}
            kitchen={kitchen}
            shelf={shelf}
            styles={styles}
            isChosen={dish.id === chosen?.id}
            onPress={() => setChosenId(dish.id)}
          />
        ))}
      </View>
    </BookPage>
  )
}

/** Dishes against each other: cost, margin, salt, liquid, seconds, allergens. */
function Compare({ dishes, kitchen, shelf, styles }: WideBookProps) {
  const t = useWords('book')
  const router = useRouter()
  const day = useToday()
  const allergens = useAllergenLines()
  const answers = useBatchScores(
    dishes.map((dish) => ({ dish, batch: plainBatch(1), station: stationOf(kitchen, dish) })),
    kitchen,
  )
  const seconds = answers.map((one) =>
    one.kind === 'value' && one.value.kind === 'score' ? one.value.score.totalS : null,
  )
  const known = seconds.join()
  const rows = useMemo(
    () =>
      dishRows(
        dishes,
        shelf,
        styles,
        day,
        (dish) => allergens(dish.components).contains,
        (dish) => seconds[dishes.indexOf(dish)] ?? null,
      ),
    // The seconds are an array of their own each time: `known` is what they say.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
    [dishes, shelf, styles, day, allergens, known],
  )
  const columns = useMemo(() => dishColumns(t, kitchen.currency), [t, kitchen.currency])
  return (
    <DataTable
      label={t('compare.table')}
      rows={rows}
      columns={columns}
      rowId={(row) => row.id}
      rowPx={ROW_PX}
      onChoose={(row) => router.push(`/book/${row.id}`)}
      empty={t('emptyDetail')}
    />
  )
}
