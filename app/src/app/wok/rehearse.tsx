import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../ui/lazyScreen'

const RehearseScreen = lazyScreen(['rice'], async () => (await import('../../screens')).RehearseScreen)

export default function Page() {
  const { station, dish } = useLocalSearchParams<{ station?: string; dish?: string }>()
  return <RehearseScreen key={`${station ?? ''} ${dish ?? ''}`} stationId={station ?? null} dishId={dish ?? null} />
}
