import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { Button } from '../ui/Button'
import { Empty } from '../ui/states'
import { useWords } from '../words/i18n'

export default function NotFound() {
  const t = useWords('ui')
  const router = useRouter()
  return (
    <View role="main" className="flex-1 bg-ground p-4">
      <Empty isPage title={t('notFound')} detail={t('notFoundDetail')} />
      <Button kind="main" isTall label={t('stages.line')} onPress={() => router.replace('/line')} />
    </View>
  )
}
