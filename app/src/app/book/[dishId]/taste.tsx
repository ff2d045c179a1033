import { useLocalSearchParams } from 'expo-router'
import { TasteScreen } from '../../../book/taste/TasteScreen'

export default function Page() {
  const { dishId } = useLocalSearchParams<{ dishId: string }>()
  return <TasteScreen key={dishId} id={dishId} />
}
