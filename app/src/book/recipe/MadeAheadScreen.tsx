import { recipeYieldG } from 'core/book/recipe/explode'
import type { Recipe } from 'contract/recipe'
import { useRouter } from 'expo-router'
import { Pressable, View } from 'react-native'
import { Button } from '../../ui/Button'
import { Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { formatMassG } from '../../words/format'
import { useWords } from '../../words/i18n'
import { BookPage } from '../BookParts'
import { useDishes } from '../useDishes'
import { useRecipes } from '../useShelf'

/** Everything made ahead: one batch, how long it keeps, and where it goes. */
export function MadeAheadScreen() {
  const t = useWords('book')
  const router = useRouter()
  const recipes = useRecipes()
  const dishes = useDishes().data?.dishes ?? []
  const list = recipes.data?.recipes ?? []
  const usesOf = (id: string) => [
    ...dishes.filter((dish) => dish.components.some((one) => one.recipeId === id)).map((dish) => dish.shortName),
    ...list.filter((one) => one.lines.some((line) => line.recipeId === id)).map((one) => one.name),
  ]
  const open = (id: string) => router.push(`/book/made-ahead/${id}`)
  return (
    <BookPage
      part="madeAhead"
      bar={<Button kind="main" label={t('newRecipe')} className="flex-1" onPress={() => open('new')} />}
    >
      {recipes.isPending && <Loading what={t('loading')} />}
      {recipes.error && !recipes.data && <Problem error={recipes.error} onRetry={() => void recipes.refetch()} />}
      <View role="list">
        {list.map((recipe) => (
          <RecipeRow key={recipe.id} recipe={recipe} uses={usesOf(recipe.id)} onOpen={() => open(recipe.id)} />
        ))}
      </View>
      <Button label={t('newRecipe')} className="mt-4 hidden w-60 md:flex" onPress={() => open('new')} />
    </BookPage>
  )
}

const DAY_H = 24

function RecipeRow({ recipe, uses, onOpen }: { recipe: Recipe; uses: string[]; onOpen: () => void }) {
  const t = useWords('book')
  const { shelfLifeH } = recipe
  const time =
    shelfLifeH >= 2 * DAY_H ? t('row.days', { n: Math.round(shelfLifeH / DAY_H) }) : t('row.hours', { n: shelfLifeH })
  return (
    <View role="listitem">
      <Pressable
        role="link"
        onPress={onOpen}
        className="ring-focus min-h-16 justify-center border-b border-edge py-2 active:bg-plate"
      >
        <View className="flex-row items-baseline gap-3">
          <Text size="step" weight="bold" stretch="slim" className="min-w-0 flex-1">
            {recipe.name}
          </Text>
          <Text weight="bold" stretch="narrow">
            {formatMassG(recipeYieldG(recipe))}
          </Text>
        </View>
        <Text size="small" tone="ash" stretch="slim">
          {[
            t(`kinds.${recipe.kind}`),
            `${t('row.keeps', { time })}, ${t(`keep.${recipe.keep}`)}`,
            uses.length > 0 ? t('row.usedIn', { list: uses.join(', ') }) : t('row.unused'),
          ].join(' · ')}
        </Text>
      </Pressable>
    </View>
  )
}
