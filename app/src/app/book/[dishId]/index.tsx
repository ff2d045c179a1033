import { useLocalSearchParams } from 'expo-router'
import { DishScreen } from '../../../book/DishScreen'

export default function Page() {
  const { dishId } = useLocalSearchParams<{ dishId: string }>()
  return <DishScreen key={dishId} id={dishId} />
}
