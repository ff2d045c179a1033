import type { Station } from 'contract/kitchen'
import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { useWords } from '../../words/i18n'

/** To a rehearsal at a station, of what is next for it. */
export function RehearseLink({ station, dishId }: { station: Station; dishId: string | null }) {
  const t = useWords('wok')
  const router = useRouter()
  const of = dishId ? `&dish=${dishId}` : ''
  return (
    <View className="flex-row px-4 py-2">
      <Button
        size="body"
        label={t('rehearse.open')}
        accessibleName={t('rehearse.openAt', { station: station.name })}
        onPress={() => router.push(`/wok/rehearse?station=${station.id}${of}`)}
      />
    </View>
  )
}
