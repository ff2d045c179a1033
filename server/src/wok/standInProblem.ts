import type { Run, RunEvent } from 'contract/run'
import { allergenListOf } from 'core/book/allergens'
import { refreshComponent } from 'core/book/resolve'
import { keepsItsCheck } from 'core/book/variation/substitutes'
import { staysFree } from 'core/wok/standIn'
import type { PoolConnection } from 'mysql2/promise'
import { listIngredients } from '../book/ingredient/ingredients.sql'
import { Problem } from '../http/problems'
import { findKitchen } from '../setup/kitchen.sql'
import { findDishVersion } from './runs.sql'

/**
 * Why something that stands in cannot be taken: the table does not have it, or it does not keep the batch free of an allergy
 * that was ordered, or is raw where nothing would check it. Null where nothing is wrong with it.
 */
export async function standInProblem(
  connection: PoolConnection,
  kitchenId: string,
  run: Run,
  events: readonly RunEvent[],
): Promise<Problem | null> {
  const standIns = events.flatMap((event) =>
    event.kind === 'trouble' && event.trouble === 'ranOut' && event.standIn ? [{ ...event, ...event.standIn }] : [],
  )
  if (standIns.length === 0) return null
  const rows = await listIngredients(connection, kitchenId)
  const kitchen = await findKitchen(connection, kitchenId)
  const dish = await findDishVersion(connection, kitchenId, run.dishId, run.dishVersion)
  for (const { componentId, ingredientId, name } of standIns) {
    const row = rows.find(({ id }) => id === ingredientId)
    const component = dish?.components.find(({ id }) => id === componentId)
    if (!row || !component || !kitchen)
      return new Problem('unknown-ingredient', {
        detail: `${name} is not in the table of ingredients: leave ${componentId} out, or write it into the table first`,
        values: { name },
      })
    const of = rows.find(({ id }) => id === component.ingredientId)
    if (!of || !keepsItsCheck(component, of, row))
      return new Problem('stand-in-raw', {
        detail: `${name} is raw and would have no check of its own: cook it through in another pan first, or leave it out`,
        values: { name },
      })
    const standIn = refreshComponent({ ...component, ingredientId, name }, row)
    for (const allergen of run.allergies) {
      if (staysFree(standIn, [allergen], allergenListOf(kitchen.ruleSet))) continue
      return new Problem('stand-in-unsafe', {
        detail: `${name} is not known to be free of ${allergen}: stop, and cook ${run.dishName} again without it`,
        values: { allergen, name, dish: run.dishName },
      })
    }
  }
  return null
}
