import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const IngredientScreen = lazyScreen(['book'], async () => (await import('../../../screens')).IngredientScreen)

export default function Page() {
  const { ingredientId } = useLocalSearchParams<{ ingredientId: string }>()
  return <IngredientScreen key={ingredientId} id={ingredientId} />
}
