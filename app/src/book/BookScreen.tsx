import { ROLES, STATES } from 'core/book/dish'
import { allergensOf } from 'core/book/vary'
import type { Dish } from 'contract/dish'
import { useRouter } from 'expo-router'
import { Pressable, ScrollView, View } from 'react-native'
import { Frame } from '../ui/Frame'
import { Empty, Loading, Problem } from '../ui/states'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { ImportDish } from './ImportDish'
import { useDishes } from './useDishes'

export function BookScreen() {
  const t = useWords('book')
  const book = useDishes()
  return (
    <Frame stage="book">
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-4xl self-center p-4">
          <Text role="heading" aria-level={1} size="title" weight="bold" stretch="wide">
            {t('title')}
          </Text>
          {book.isPending && <Loading what={t('loading')} />}
          {book.error && !book.data && <Problem error={book.error} onRetry={() => void book.refetch()} />}
          {book.data?.dishes.length === 0 && <Empty title={t('empty')} detail={t('emptyDetail')} />}
          <View role="list">
            {book.data?.dishes.map((dish) => (
              <DishLine key={dish.id} dish={dish} />
            ))}
          </View>
          <ImportDish />
          <Text size="small" tone="ash" className="mt-3">
            {t('import.roles', { list: ROLES.join(', ') })}
          </Text>
          <Text size="small" tone="ash">
            {t('import.states', { list: STATES.join(', ') })}
          </Text>
        </View>
      </ScrollView>
    </Frame>
  )
}

function DishLine({ dish }: { dish: Dish }) {
  const t = useWords('book')
  const name = useWords('ui')
  const router = useRouter()
  const allergens = allergensOf(dish.components).map((one) => name(`allergens.${one}`))
  return (
    <View role="listitem">
      <Pressable
        role="link"
        onPress={() => router.push(`/book/${dish.id}`)}
        className="ring-focus min-h-16 justify-center border-b border-edge py-2 active:bg-plate"
      >
        <Text size="step" weight="bold" stretch="slim">
          {dish.name}
        </Text>
        <Text size="small" tone="ash" stretch="slim">
          {[
            t('version', { n: dish.version }),
            allergens.length > 0 ? t('contains', { list: allergens.join(', ') }) : t('containsNone'),
          ].join(' · ')}
        </Text>
      </Pressable>
    </View>
  )
}
