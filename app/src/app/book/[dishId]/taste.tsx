import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const TasteScreen = lazyScreen(['book'], async () => (await import('../../../screens')).TasteScreen)

export default function Page() {
  const { dishId } = useLocalSearchParams<{ dishId: string }>()
  return <TasteScreen key={dishId} id={dishId} />
}
