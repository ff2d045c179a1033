import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const DishScreen = lazyScreen(['book'], async () => (await import('../../../screens')).DishScreen)

export default function Page() {
  const { dishId } = useLocalSearchParams<{ dishId: string }>()
  return <DishScreen key={dishId} id={dishId} />
}
