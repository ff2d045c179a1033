import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const EveningScreen = lazyScreen(['record'], async () => (await import('../../../screens')).EveningScreen)

export default function Page() {
  const { day } = useLocalSearchParams<{ day: string }>()
  return <EveningScreen key={day} day={day} />
}
