import { useQueryClient } from '@tanstack/react-query'
import type { Kitchen } from 'contract/kitchen'
import { RecipeList, type Recipe } from 'contract/recipe'
import { explodeRecipe, recipeAsIngredient } from 'core/book/recipe/explode'
import { useRouter } from 'expo-router'
import { useMemo, useState } from 'react'
import { useWatch } from 'react-hook-form'
import { sendJson } from '../../device/http'
import { newId } from '../../device/ids'
import { useValidForm } from '../../ui/form/useValidForm'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { blankDraft, blankLine } from '../draft/draft'
import { lineReader } from '../draft/readLines'
import { useHistory } from '../draft/useHistory'
import type { Shelf } from '../useShelf'
import { blankRecipeHead, recipeHeadForm, recipeHeadOf, recipeLines, recipeOf, type RecipeHead } from './recipeDraft'

/** A sub-recipe being edited: its lines with their history, its head as a form, what they come to, and saving it. */
export function useRecipeEdit(saved: Recipe | undefined, kitchen: Kitchen, shelf: Shelf) {
  const t = useWords('book')
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
  const read = useMemo(() => lineReader(shelf, kitchen.tools.system), [shelf, kitchen.tools.system])
  const wanted = recipeOf(head, lines, read, recipe?.id ?? null)
  const whole: Recipe = { ...wanted, version: (recipe?.version ?? 0) + 1 }
  const ingredients = new Map(shelf.rows.map((row) => [row.id, row]))
  const opened = explodeRecipe(whole, { ingredients, recipes: new Map(shelf.recipes).set(whole.id, whole) })
  const holds = opened.kind === 'exploded' && opened.parts.length > 0 ? recipeAsIngredient(whole, opened.parts) : null
  const unread = lines.filter(
    (line) => line.name.trim() !== '' && (read(line).massG === null || !read(line).source),
  ).length
  const saving = useRecipeSaving()
  const save = form.handleSubmit(() =>
    saving.attempt(async () => {
      const version = recipe?.version ?? 0
      await sendJson('PUT', `/recipes/${wanted.id}`, { version, recipe: wanted }, RecipeList)
      form.reset(undefined, { keepValues: true })
      return t('editor.recipe.saved', { recipe: wanted.name, n: version + 1 })
    }),
  )
  const takeOut = (gone: Recipe) =>
    saving.attempt(async () => {
      await sendJson('DELETE', `/recipes/${gone.id}?version=${gone.version}`, undefined, RecipeList)
      return t('editor.tookOut', { dish: gone.name })
    })
  return {
    recipe,
    store,
    history,
    edit,
    lines,
    form,
    read,
    wanted,
    whole,
    opened,
    holds,
    /** Lines that keep it from being saved. */
    unread: wanted.lines.length === 0 ? Math.max(1, unread) : unread,
    isSaving: saving.isSaving,
    failure: saving.failure,
    save,
    takeOut,
  }
}

/** One change at a time at the server; what it says after is shown on the list of what is made ahead. */
function useRecipeSaving() {
  const queries = useQueryClient()
  const router = useRouter()
  const [failure, setFailure] = useState<Error | null>(null)
  const [isSaving, setIsSaving] = useState(false)
  const attempt = async (work: () => Promise<string>) => {
    setIsSaving(true)
    setFailure(null)
    try {
      toast(await work())
      router.replace('/book/made-ahead')
      await queries.invalidateQueries({ queryKey: ['book'] })
    } catch (error) {
      setFailure(error as Error)
    } finally {
      setIsSaving(false)
    }
  }
  return { attempt, isSaving, failure }
}
