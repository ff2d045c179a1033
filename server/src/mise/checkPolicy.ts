import type { MisePolicy } from 'contract/mise/house'
import { Problem } from '../http/problems'
import type { MiseKitchen } from './miseKitchen'
import { knownItems } from './stock'

/**
 * Names in a policy that stand for nothing.
 * @throws {Problem} unknown-item, unknown-place
 */
export function checkPolicy(policy: MisePolicy, from: MiseKitchen): void {
  const { shelf, rice, kitchen } = from
  const known = new Set([
    ...knownItems(from).map((item) => item.itemId),
    ...[...shelf.recipes.keys()].map((id) => `recipe:${id}`),
    ...shelf.rows.map((row) => `ingredient:${row.id}`),
  ])
  for (const { itemId } of [...policy.pars, ...policy.cards]) {
    if (known.has(itemId) || itemId.startsWith('cut:')) continue
    throw new Problem('unknown-item', {
      detail: `${itemId} is not in the book: choose a sub-recipe, an ingredient or a cut of one`,
      values: { item: itemId },
    })
  }
  const tools = new Set([...policy.equipment.map((one) => one.id), ...rice.vessels.map((one) => `vessel:${one.id}`)])
  const places = new Set(policy.places.map((one) => one.id))
  const lost = [
    ...policy.cards.flatMap((card) => card.steps.flatMap((step) => step.equipment)).filter((id) => !tools.has(id)),
    ...Object.values(policy.homes).filter((id) => !places.has(id)),
    ...policy.people.map((one) => one.staffId).filter((id) => !kitchen.staff.some((one) => one.id === id)),
  ]
  if (lost.length === 0) return
  throw new Problem('unknown-place', {
    detail: `the kitchen has no "${lost[0]}": use one of ${[...tools, ...places, ...kitchen.staff.map((one) => one.id)].join(', ')}`,
  })
}
