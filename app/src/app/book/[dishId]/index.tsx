import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const DishScreen = lazyScreen(async () => (await import('../../../book/screens')).DishScreen)

export default function Page() {
  const { dishId } = useLocalSearchParams<{ dishId: string }>()
  return <DishScreen key={dishId} id={dishId} />
}
