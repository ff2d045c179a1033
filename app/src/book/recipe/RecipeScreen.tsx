import { useQueryClient } from '@tanstack/react-query'
import type { Kitchen } from 'contract/kitchen'
import { RecipeList, type Recipe } from 'contract/recipe'
import { panFor } from 'core/measure/gastronorm'
import { explodeRecipe, recipeAsIngredient, recipeYieldG } from 'core/book/recipe/explode'
import { useRouter } from 'expo-router'
import { useMemo, useState } from 'react'
import { useWatch } from 'react-hook-form'
import { ScrollView, View } from 'react-native'
import { download } from '../../device/download'
import { sendJson } from '../../device/http'
import { newId } from '../../device/ids'
import { useKitchen } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { Frame } from '../../ui/Frame'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { PageHeading } from '../../ui/PageHeading'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useIsWide } from '../../ui/useIsWide'
import { formatMassG } from '../../words/format'
import { useWords } from '../../words/i18n'
import { blankDraft, blankLine } from '../draft/draft'
import { LinesEditor } from '../editor/LinesEditor'
import { lineReader } from '../draft/readLines'
import { UndoBar } from '../editor/UndoBar'
import { useHistory } from '../draft/useHistory'
import { useShelf, type Shelf } from '../useShelf'
import { RecipeFields } from './RecipeFields'
import { blankRecipeHead, recipeHeadForm, recipeHeadOf, recipeLines, recipeOf, type RecipeHead } from './recipeDraft'

/** Something made ahead, shown and edited in one place; `id` "new" begins one. */
export function RecipeScreen({ id }: { id: string }) {
  const t = useWords('book')
  const kitchen = useKitchen()
  const { shelf, error, refetch, isFresh } = useShelf()
  const recipe = shelf?.recipes.get(id)
  const fault = kitchen.error ?? error
  if (!kitchen.data || !shelf || !isFresh)
    return (
      <Frame stage="book">
        {fault && !shelf ? (
          <Problem error={fault} onRetry={() => [kitchen.refetch(), refetch()]} />
        ) : (
          <Loading what={t('loading')} />
        )}
      </Frame>
    )
  return <RecipePage saved={recipe} kitchen={kitchen.data} shelf={shelf} />
}

const KJ_PER_KCAL = 4.184

function RecipePage({ saved, kitchen, shelf }: { saved: Recipe | undefined; kitchen: Kitchen; shelf: Shelf }) {
  const t = useWords('book')
  const name = useWords('ui')
  const router = useRouter()
  const queries = useQueryClient()
  const isWide = useIsWide()
  /** The version that this edit began from: what somebody else saves meanwhile does not take it away. */
  const [recipe] = useState(saved)
  const { store, history, edit } = useHistory(() => ({
    ...blankDraft(newId()),
    lines: recipe ? recipeLines(recipe, newId) : [blankLine(newId())],
  }))
  const { lines } = history.present
  const form = useValidForm(
    recipeHeadForm((field) => t(`editor.recipe.faults.${field}`)),
    recipe ? recipeHeadOf(recipe, lines) : blankRecipeHead,
  )
  const head = useWatch({ control: form.control }) as RecipeHead
  const [failure, setFailure] = useState<Error | null>(null)
  const [isSaving, setIsSaving] = useState(false)
  const sentence = useProblemSentence(failure)
  const read = useMemo(() => lineReader(shelf, kitchen.tools.system), [shelf, kitchen.tools.system])
  const wanted = recipeOf(head, lines, read, recipe?.id ?? null)
  const whole: Recipe = { ...wanted, version: (recipe?.version ?? 0) + 1 }
  const ingredients = new Map(shelf.rows.map((row) => [row.id, row]))
  const opened = explodeRecipe(whole, { ingredients, recipes: new Map(shelf.recipes).set(whole.id, whole) })
  const holds = opened.kind === 'exploded' && opened.parts.length > 0 ? recipeAsIngredient(whole, opened.parts) : null
  const gPerML = holds?.densities[0]?.gPerML
  const pan = gPerML === undefined ? null : panFor(recipeYieldG(whole) / gPerML)
  const unread = lines.filter(
    (line) => line.name.trim() !== '' && (read(line).massG === null || !read(line).source),
  ).length
  const blocked =
    unread > 0 || wanted.lines.length === 0 ? t('editor.saveBlocked', { count: Math.max(1, unread) }) : undefined
  const baseG = wanted.lines.find((line) => line.id === wanted.baseLineId)?.massG

  const attempt = async (work: () => Promise<void>) => {
    setIsSaving(true)
    setFailure(null)
    try {
      await work()
      await queries.invalidateQueries({ queryKey: ['book'] })
    } catch (error) {
      setFailure(error as Error)
    } finally {
      setIsSaving(false)
    }
  }
  const save = form.handleSubmit(() =>
    attempt(async () => {
      const version = recipe?.version ?? 0
      await sendJson('PUT', `/recipes/${wanted.id}`, { version, recipe: wanted }, RecipeList)
      form.reset(undefined, { keepValues: true })
      toast(t('editor.recipe.saved', { recipe: wanted.name, n: version + 1 }))
      router.replace('/book/made-ahead')
    }),
  )
  const takeOut = (gone: Recipe) =>
    attempt(async () => {
      await sendJson('DELETE', `/recipes/${gone.id}?version=${gone.version}`, undefined, RecipeList)
      toast(t('editor.tookOut', { dish: gone.name }))
      router.replace('/book/made-ahead')
    })
  const bar = (
    <View className="flex-1 flex-row items-stretch gap-2">
      <UndoBar editor={{ canUndo: history.past.length > 0, canRedo: history.future.length > 0, edit }} />
      <Button
        kind="main"
        label={t('editor.save')}
        className="flex-1"
        isBusy={isSaving}
        disabledBecause={blocked}
        onPress={() => void save()}
      />
    </View>
  )
  return (
    <Frame stage="book" bar={bar}>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-5xl gap-3 self-center p-4">
          <View className="flex-row flex-wrap items-center gap-3">
            <PageHeading size="title" weight="bold" stretch="slim" className="min-w-0 flex-1">
              {recipe ? t('editor.recipe.title', { recipe: recipe.name }) : t('editor.recipe.newTitle')}
            </PageHeading>
            {isWide && <View className="w-[330px] flex-row">{bar}</View>}
          </View>
          {failure && <Notice kind="conflict" isSmall title={sentence} />}
          {opened.kind === 'cycle' && (
            <Notice
              kind="conflict"
              isSmall
              title={name('problem.codes.recipe-cycle', { path: opened.path.join(' → ') })}
            />
          )}
          <FormField control={form.control} name="name" label={t('editor.recipe.name')} maxLength={120} />
          <LinesEditor
            lines={lines}
            store={store}
            read={read}
            riceG={baseG ?? null}
            shelf={shelf}
            tools={kitchen.tools}
            isRecipe
            edit={edit}
          />
          <Text weight="bold">
            {[
              t('editor.recipe.batch', { mass: formatMassG(recipeYieldG(whole)) }),
              ...(pan ? [t('editor.recipe.pan', { size: pan.size, depth: pan.depthMm })] : []),
            ].join(', ')}
          </Text>
          {holds && (
            <Text size="small" tone="ash">
              {[
                t('editor.recipe.of100', {
                  kcal: Math.round(holds.energyKJ / KJ_PER_KCAL),
                  salt: ((holds.sodiumMg * 2.5) / 1000).toFixed(1),
                  sugars: holds.sugarsG.toFixed(1),
                  fat: holds.fatG.toFixed(1),
                }),
                t('editor.recipe.contains', {
                  list: holds.allergens.map((one) => name(`allergens.${one}`)).join(', ') || '–',
                }),
                ...(holds.mayContain.length > 0
                  ? [t('mayContain', { list: holds.mayContain.map((one) => name(`allergens.${one}`)).join(', ') })]
                  : []),
                ...(holds.areAllergensKnown ? [] : [t('ingredient.notKnown')]),
                ...holds.diets.map((one) => t(`traits.${one}`)),
              ].join(' · ')}
            </Text>
          )}
          <RecipeFields control={form.control} lines={lines} />
          {recipe && (
            <View className="flex-row flex-wrap gap-2">
              <Button
                label={t('editor.recipe.label')}
                className="min-w-[140px] flex-1"
                onPress={() => download(`/api/recipes/${recipe.id}/label.pdf`, `${recipe.id}-label.pdf`)}
              />
              <HoldButton
                kind="plain"
                label={t('editor.recipe.takeOut')}
                detail={t('editor.takeOutHold')}
                className="min-w-[140px] flex-1"
                onHeld={() => void takeOut(recipe)}
              />
            </View>
          )}
        </View>
      </ScrollView>
    </Frame>
  )
}
