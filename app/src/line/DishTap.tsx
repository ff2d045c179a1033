import type { Dish } from 'contract/dish'
import { Pressable, View } from 'react-native'
import { openSound } from '../device/signal'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'

type DishTapProps = { dish: Dish; count: number; gone: string | null; onTap: () => void }

/** A dish to tap: a tap is a portion. What is 86 of it stands in place of the rest of its name. */
export function DishTap({ dish, count, gone, onTap }: DishTapProps) {
  const t = useWords('line')
  const rest = dish.name
    .toLowerCase()
    .replace(dish.shortName.toLowerCase(), '')
    .replace(/^[\s,]*(and )?/, '')
  return (
    <Pressable
      role="button"
      aria-label={[dish.name, t('portions', { count }), gone].filter(Boolean).join(', ')}
      onPress={() => {
        openSound()
        onTap()
      }}
      className={`ring-focus min-h-16 w-1/2 flex-row md:w-1/4 items-center gap-3 border-b-[3px] px-4 active:bg-plate ${count > 0 ? 'border-rice bg-plate' : 'border-edge'}`}
    >
      {count > 0 && (
        <Text size="figure" weight="bold" stretch="narrow">
          {count}
        </Text>
      )}
      <View className="min-w-0 flex-1">
        <Text size="title" weight="semi" stretch="slim" numberOfLines={1}>
          {dish.shortName}
        </Text>
        <Text
          size="small"
          tone={gone ? 'rice' : 'ash'}
          weight={gone ? 'bold' : 'normal'}
          stretch="narrow"
          numberOfLines={1}
        >
          {gone ?? rest}
        </Text>
      </View>
    </Pressable>
  )
}
