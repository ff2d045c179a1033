import type { Kitchen } from 'contract/kitchen'
import type { Recipe } from 'contract/recipe'
import { ScrollView, View } from 'react-native'
import { download } from '../../device/download'
import { useKitchen } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { Frame } from '../../ui/Frame'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { PageHeading } from '../../ui/PageHeading'
import { useIsWide } from '../../ui/useIsWide'
import { useWords } from '../../words/i18n'
import { LinesEditor } from '../editor/LinesEditor'
import { UndoBar } from '../editor/UndoBar'
import { useShelf, type Shelf } from '../useShelf'
import { RecipeFacts } from './RecipeFacts'
import { RecipeFields } from './RecipeFields'
import { useRecipeEdit } from './useRecipeEdit'

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

/** The page of one sub-recipe, saved or new. */
function RecipePage({ saved, kitchen, shelf }: { saved: Recipe | undefined; kitchen: Kitchen; shelf: Shelf }) {
  const t = useWords('book')
  const isWide = useIsWide()
  const page = useRecipeEdit(saved, kitchen, shelf)
  const { recipe, lines, wanted, form, history, edit } = page
  const baseG = wanted.lines.find((line) => line.id === wanted.baseLineId)?.massG
  const bar = (
    <View className="flex-1 flex-row items-stretch gap-2">
      <UndoBar editor={{ canUndo: history.past.length > 0, canRedo: history.future.length > 0, edit }} />
      <Button
        kind="main"
        label={t('editor.save')}
        className="flex-1"
        isBusy={page.isSaving}
        disabledBecause={page.unread > 0 ? t('editor.saveBlocked', { count: page.unread }) : undefined}
        onPress={() => void page.save()}
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
          <RecipeFaults failure={page.failure} opened={page.opened} />
          <FormField control={form.control} name="name" label={t('editor.recipe.name')} maxLength={120} />
          <LinesEditor
            lines={lines}
            store={page.store}
            read={page.read}
            riceG={baseG ?? null}
            shelf={shelf}
            tools={kitchen.tools}
            isRecipe
            edit={edit}
          />
          <RecipeFacts recipe={page.whole} holds={page.holds} />
          <RecipeFields control={form.control} lines={lines} />
          {recipe && <SavedRecipe recipe={recipe} onTakeOut={() => void page.takeOut(recipe)} />}
        </View>
      </ScrollView>
    </Frame>
  )
}

/** Why it was not saved, and the circle that it stands in with others. */
function RecipeFaults({ failure, opened }: Pick<ReturnType<typeof useRecipeEdit>, 'failure' | 'opened'>) {
  const name = useWords('ui')
  const sentence = useProblemSentence(failure)
  return (
    <>
      {failure && <Notice kind="conflict" isSmall title={sentence} />}
      {opened.kind === 'cycle' && (
        <Notice kind="conflict" isSmall title={name('problem.codes.recipe-cycle', { path: opened.path.join(' → ') })} />
      )}
    </>
  )
}

/** What can be done with a sub-recipe that is in the book: its label, and taking it out. */
function SavedRecipe({ recipe, onTakeOut }: { recipe: Recipe; onTakeOut: () => void }) {
  const t = useWords('book')
  return (
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
        onHeld={onTakeOut}
      />
    </View>
  )
}
