import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

/** Without anything to cook in there is no load to plan. */
export function NoVessel() {
  const t = useWords('rice')
  const router = useRouter()
  return (
    <View className="gap-2">
      <Text>{t('tomorrow.noVessel')}</Text>
      <Button label={t('tomorrow.addVessel')} onPress={() => router.push('/setup/rice')} />
    </View>
  )
}
