import type { Station } from 'contract/kitchen'
import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { useDishes } from '../../book/useDishes'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

/** What if, from the station: each dish that is cooked there, in another batch or on another flame. */
export function WonderHere({ station }: { station: Station }) {
  const t = useWords('setup')
  const router = useRouter()
  const dishes = useDishes().data?.dishes.filter((dish) => dish.stationKind === station.kind)
  if (!dishes || dishes.length === 0) return null
  return (
    <View className="gap-2">
      <Text role="heading" aria-level={2} tone="ash">
        {t('station.wonder')}
      </Text>
      <View className="flex-row flex-wrap gap-2">
        {dishes.map((dish) => (
          <Button
            key={dish.id}
            size="body"
            label={dish.shortName}
            onPress={() => router.push(`/book/${dish.id}/what-if?station=${station.id}`)}
          />
        ))}
      </View>
    </View>
  )
}
