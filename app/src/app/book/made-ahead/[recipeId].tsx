import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const RecipeScreen = lazyScreen(['book'], async () => (await import('../../../screens')).RecipeScreen)

export default function Page() {
  const { recipeId } = useLocalSearchParams<{ recipeId: string }>()
  return <RecipeScreen key={recipeId} id={recipeId} />
}
