import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { useKitchen } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Empty, Loading, Problem } from '../ui/states'
import { useIsWide } from '../ui/useIsWide'
import { DishLine } from './DishLine'
import { WideBook } from './WideBook'
import { useWords } from '../words/i18n'
import { BookPage } from './BookParts'
import { useDishes } from './useDishes'
import { useShelf, useStyles } from './useShelf'

export function BookScreen() {
  const t = useWords('book')
  const router = useRouter()
  const book = useDishes()
  const kitchen = useKitchen().data
  const { shelf } = useShelf()
  const styles = useStyles().data?.styles
  const isWide = useIsWide()
  if (isWide && kitchen && shelf && styles && book.data && book.data.dishes.length > 0)
    return <WideBook dishes={book.data.dishes} kitchen={kitchen} shelf={shelf} styles={styles} />
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
