import type { Recipe } from 'contract/recipe'
import type { Ingredient } from 'core/book/ingredient'
import { recipeYieldG } from 'core/book/recipe/explode'
import { panFor } from 'core/measure/gastronorm'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { useMassWords } from '../../setup/useMassWords'

const KJ_PER_KCAL = 4.184

/** What a batch comes to: how much, in which pan, and of 100 g what it holds. */
export function RecipeFacts({ recipe, holds }: { recipe: Recipe; holds: Ingredient | null }) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const name = useWords('ui')
  const gPerML = holds?.densities[0]?.gPerML
  const pan = gPerML === undefined ? null : panFor(recipeYieldG(recipe) / gPerML)
  const batch = [
    t('editor.recipe.batch', { mass: mass(recipeYieldG(recipe)) }),
    ...(pan ? [t('editor.recipe.pan', { size: pan.size, depth: pan.depthMm })] : []),
  ]
  const allergens = (list: Ingredient['allergens']) => list.map((one) => name(`allergens.${one}`)).join(', ')
  const of100 = holds && [
    t('editor.recipe.of100', {
      kcal: Math.round(holds.energyKJ / KJ_PER_KCAL),
      salt: ((holds.sodiumMg * 2.5) / 1000).toFixed(1),
      sugars: holds.sugarsG.toFixed(1),
      fat: holds.fatG.toFixed(1),
    }),
    t('editor.recipe.contains', { list: allergens(holds.allergens) || '–' }),
    ...(holds.mayContain.length > 0 ? [t('mayContain', { list: allergens(holds.mayContain) })] : []),
    ...(holds.areAllergensKnown ? [] : [t('ingredient.notKnown')]),
    ...holds.diets.map((one) => t(`traits.${one}`)),
  ]
  return (
    <>
      <Text weight="bold">{batch.join(', ')}</Text>
      {of100 && (
        <Text size="small" tone="ash">
          {of100.join(' · ')}
        </Text>
      )}
    </>
  )
}
