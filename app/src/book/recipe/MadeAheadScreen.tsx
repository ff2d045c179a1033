import { recipeYieldG } from 'core/book/recipe/explode'
import type { Recipe } from 'contract/recipe'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { Pressable, View } from 'react-native'
import { Button } from '../../ui/Button'
import { Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { BookPage } from '../BookParts'
import { useDishes } from '../useDishes'
import { useIsWide } from '../../ui/useIsWide'
import { useRecipes } from '../useShelf'
import { RecipeSide } from './RecipeSide'
import { useMassWords } from '../../setup/useMassWords'

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
  const isWide = useIsWide()
  const [chosenId, setChosenId] = useState<string | null>(null)
  const chosen = list.find((one) => one.id === chosenId) ?? list[0]
  const open = (id: string) => router.push(`/book/made-ahead/${id}`)
  return (
    <BookPage
      part="madeAhead"
      tools={<Button size="body" label={t('newRecipe')} onPress={() => open('new')} />}
      side={chosen && <RecipeSide recipe={chosen} />}
      bar={<Button kind="main" label={t('newRecipe')} className="flex-1" onPress={() => open('new')} />}
    >
      {recipes.isPending && <Loading what={t('loading')} />}
      {recipes.error && !recipes.data && <Problem error={recipes.error} onRetry={() => void recipes.refetch()} />}
      <View role="list">
        {list.map((recipe) => (
          <RecipeRow
            key={recipe.id}
            recipe={recipe}
            uses={usesOf(recipe.id)}
            isChosen={isWide && recipe.id === chosen?.id}
            onOpen={() => (isWide ? setChosenId(recipe.id) : open(recipe.id))}
          />
        ))}
      </View>
    </BookPage>
  )
}

const DAY_H = 24

function RecipeRow(props: { recipe: Recipe; uses: string[]; isChosen: boolean; onOpen: () => void }) {
  const { mass } = useMassWords()
  const { recipe, uses, isChosen, onOpen } = props
  const t = useWords('book')
  const { shelfLifeH } = recipe
  const time =
    shelfLifeH >= 2 * DAY_H ? t('row.days', { n: Math.round(shelfLifeH / DAY_H) }) : t('row.hours', { n: shelfLifeH })
  return (
    <View role="listitem">
      <Pressable
        role="link"
        aria-current={isChosen ? 'true' : undefined}
        onPress={onOpen}
        className={`ring-focus min-h-16 justify-center border-b border-edge px-1 py-2 active:bg-plate ${isChosen ? 'border-l-4 border-l-rice bg-plate' : ''}`}
      >
        <View className="flex-row items-baseline gap-3">
          <Text size="step" weight="bold" stretch="slim" className="min-w-0 flex-1">
            {recipe.name}
          </Text>
          <Text weight="bold" stretch="narrow">
            {mass(recipeYieldG(recipe))}
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
