import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import type { Style } from 'core/book/balance/style'
import { useRouter } from 'expo-router'
import { memo, useMemo } from 'react'
import { Pressable, View } from 'react-native'
import { useKitchen } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Diamond } from '../ui/icons'
import { Empty, Loading, Problem } from '../ui/states'
import { Text } from '../ui/Text'
import { formatMoney, formatPercent } from '../words/format'
import { useWords } from '../words/i18n'
import { BookPage } from './BookParts'
import { judgeDish } from './balance/judge'
import { useAllergenLines } from './dish/AllergenNotice'
import { useDishes } from './useDishes'
import { useShelf, useStyles, type Shelf } from './useShelf'
import { useToday } from './useToday'

export function BookScreen() {
  const t = useWords('book')
  const router = useRouter()
  const book = useDishes()
  const kitchen = useKitchen().data
  const { shelf } = useShelf()
  const styles = useStyles().data?.styles
  return (
    <BookPage
      part="dishes"
      bar={<Button kind="main" label={t('newDish')} className="flex-1" onPress={() => router.push('/book/new')} />}
    >
      {book.isPending && <Loading what={t('loading')} />}
      {book.error && !book.data && <Problem error={book.error} onRetry={() => void book.refetch()} />}
      {book.data?.dishes.length === 0 && <Empty title={t('empty')} detail={t('emptyDetail')} />}
      <View role="list">
        {book.data?.dishes.map((dish) => (
          <DishLine key={dish.id} dish={dish} kitchen={kitchen} shelf={shelf} styles={styles} />
        ))}
      </View>
      <Button label={t('newDish')} className="mt-4 hidden w-60 md:flex" onPress={() => router.push('/book/new')} />
    </BookPage>
  )
}

/** Keeps the line's room until its words are here: rows must not jump under a finger. */
const ROOM = '\u00a0'

type LineProps = { dish: Dish; kitchen: Kitchen | undefined; shelf: Shelf | null; styles: readonly Style[] | undefined }

/** A dish in the book: what it is, whether it stands in its bands, what it costs and contains. */
const DishLine = memo(function DishLine({ dish, kitchen, shelf, styles }: LineProps) {
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
        onPress={() => router.push(`/book/${dish.id}`)}
        className="ring-focus min-h-16 justify-center border-b border-edge py-2 active:bg-plate"
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
