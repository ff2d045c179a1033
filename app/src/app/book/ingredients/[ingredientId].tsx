import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const IngredientScreen = lazyScreen(async () => (await import('../../../book/screens')).IngredientScreen)

export default function Page() {
  const { ingredientId } = useLocalSearchParams<{ ingredientId: string }>()
  return <IngredientScreen key={ingredientId} id={ingredientId} />
}
