import { useLocalSearchParams } from 'expo-router'
import { RecipeScreen } from '../../../book/recipe/RecipeScreen'

export default function Page() {
  const { recipeId } = useLocalSearchParams<{ recipeId: string }>()
  return <RecipeScreen key={recipeId} id={recipeId} />
}
