import type { Food } from 'core/book/food'
import { useCallback } from 'react'
import type { RepairChanges } from '../balance/MoneyAndFood'
import { gramsText, type DraftLine } from '../draft/draft'
import { componentsOf, riceMassOf, type ReadLine } from '../draft/readLines'
import type { Editor } from '../draft/useEditor'

/** Writes a repair into the lines that it changes, as grams of the amounts that stand there now. */
export function useTakeRepair(
  { store, edit }: Pick<Editor, 'store' | 'edit'>,
  read: (line: DraftLine) => ReadLine,
  foodOfRecipe: (recipeId: string) => Food | undefined,
): (changes: RepairChanges) => void {
  return useCallback(
    (changes) => {
      const { head, lines } = store.history.present
      const riceG = riceMassOf(lines, read)
      const made = componentsOf(lines, read, foodOfRecipe)
      const weighed = lines.filter((line) => (read(line).massG ?? 0) > 0 && line.name.trim() !== '')
      changes.forEach(({ id, toG }) => {
        const line = weighed[made.findIndex((one) => one.id === id)]
        if (!line || riceG === null) return
        edit({ kind: 'line', key: line.key, changes: { written: gramsText((toG * riceG) / head.portionRiceG) } })
      })
    },
    [store, read, foodOfRecipe, edit],
  )
}
