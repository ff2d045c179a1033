import { useLocalSearchParams } from 'expo-router'
import { IngredientScreen } from '../../../book/ingredient/IngredientScreen'

export default function Page() {
  const { ingredientId } = useLocalSearchParams<{ ingredientId: string }>()
  return <IngredientScreen key={ingredientId} id={ingredientId} />
}
