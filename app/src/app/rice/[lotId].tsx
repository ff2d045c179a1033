import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../ui/lazyScreen'

const LotScreen = lazyScreen(['rice'], async () => (await import('../../screens')).LotScreen)

export default function Page() {
  const { lotId } = useLocalSearchParams<{ lotId: string }>()
  return <LotScreen key={lotId} id={lotId} />
}
