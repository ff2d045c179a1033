import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const TasteScreen = lazyScreen(async () => (await import('../../../book/screens')).TasteScreen)

export default function Page() {
  const { dishId } = useLocalSearchParams<{ dishId: string }>()
  return <TasteScreen key={dishId} id={dishId} />
}
