import type { CardRow } from 'contract/mise/cards'
import { Step } from 'contract/mise/house'
import { stepsOf } from 'core/mise/need/cards'
import type { MiseKitchen } from './miseKitchen'
import { formOf, knownItems } from './stock'

/** Every item that hands prepare, with its steps: the kitchen's own, or what its kind usually takes. */
export function cardRows(from: MiseKitchen): CardRow[] {
  const { cards } = from.house.policy
  return knownItems(from).flatMap((item) => {
    const recipe = item.ref.kind === 'recipe' ? from.shelf.recipes.get(item.ref.recipeId) : undefined
    const own = cards.find((card) => card.itemId === item.itemId)
    const steps = stepsOf(item, cards, recipe?.kind ?? null)
    if (steps.length === 0) return []
    return {
      itemId: item.itemId,
      name: item.name,
      form: formOf(item.ref.kind === 'cut' ? item.ref.cut : null),
      steps: steps.map((step) => Step.parse(step)),
      keepH: own?.keepH ?? null,
      isOwn: own !== undefined,
    }
  })
}
