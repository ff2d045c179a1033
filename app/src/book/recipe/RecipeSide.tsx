import type { Recipe } from 'contract/recipe'
import { recipeYieldG } from 'core/book/recipe/explode'
import { useRouter, type Href } from 'expo-router'
import { Pressable, ScrollView, View } from 'react-native'
import { download } from '../../device/download'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { Heading } from '../BookParts'
import { useDishes } from '../useDishes'
import { useRecipes } from '../useShelf'
import { useMassWords } from '../../setup/useMassWords'

/** Something made ahead beside the list: what goes into a batch, and what uses it. */
export function RecipeSide({ recipe }: { recipe: Recipe }) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const router = useRouter()
  const dishes = useDishes().data?.dishes ?? []
  const recipes = useRecipes().data?.recipes ?? []
  const uses: { id: string; href: Href; name: string; massG: string }[] = [
    ...dishes.flatMap((dish) =>
      dish.components
        .filter((one) => one.recipeId === recipe.id)
        .map((one) => ({
          id: `dish ${dish.id} ${one.id}`,
          href: `/book/${dish.id}` as const,
          name: dish.name,
          massG: t('portion', { mass: mass((one.ratioG * dish.portionRiceG) / 100) }),
        })),
    ),
    ...recipes.flatMap((other) =>
      other.lines
        .filter((line) => line.recipeId === recipe.id)
        .map((line) => ({
          id: `recipe ${other.id} ${line.id}`,
          href: `/book/made-ahead/${other.id}` as const,
          name: other.name,
          massG: mass(line.massG),
        })),
    ),
  ]
  return (
    <ScrollView tabIndex={0} className="min-h-0 flex-1">
      <View className="gap-2 p-4">
        <View className="flex-row items-center justify-between gap-3">
          <Text role="heading" aria-level={2} size="lead" weight="bold" stretch="slim" className="min-w-0 flex-1">
            {recipe.name}
          </Text>
          <Text size="title" weight="bold" stretch="narrow">
            {mass(recipeYieldG(recipe))}
          </Text>
        </View>
        <View className="flex-row gap-2">
          <Button
            kind="main"
            size="body"
            label={t('dish.edit')}
            className="min-w-28"
            onPress={() => router.push(`/book/made-ahead/${recipe.id}`)}
          />
          <Button
            size="body"
            label={t('editor.recipe.label')}
            onPress={() => download(`/api/recipes/${recipe.id}/label.pdf`, `${recipe.id}-label.pdf`)}
          />
        </View>
        <Heading>{t('recipeSide.lines')}</Heading>
        <View role="list">
          {recipe.lines.map((line) => (
            <View key={line.id} role="listitem" className="flex-row justify-between gap-3 border-b border-edge py-1.5">
              <Text className="min-w-0 flex-1">{line.name}</Text>
              <Text weight="bold" stretch="narrow">
                {mass(line.massG)}
              </Text>
            </View>
          ))}
        </View>
        <Heading>{t('recipeSide.uses')}</Heading>
        {uses.length === 0 && <Text tone="ash">{t('row.unused')}</Text>}
        <View role="list">
          {uses.map(({ id, href, name, massG }) => (
            <View key={id} role="listitem">
              <Pressable
                role="link"
                onPress={() => router.push(href)}
                className="ring-focus min-h-11 flex-row items-center justify-between gap-3 border-b border-edge active:bg-plate"
              >
                <Text className="min-w-0 flex-1 underline">{name}</Text>
                <Text stretch="narrow">{massG}</Text>
              </Pressable>
            </View>
          ))}
        </View>
      </View>
    </ScrollView>
  )
}
