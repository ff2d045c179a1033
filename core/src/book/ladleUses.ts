import type { MeasureTools } from '../measure/practical'
import type { Component } from './dish'
import { batchAmounts } from './scale'

/** Batches that are looked at, in portions: those that most stations cook. */
const BATCHES = [1, 2, 3, 4] as const
type Measured = { id: string; portionRiceG: number; components: readonly Component[] }

/**
 * The dishes that each ladle measures something of in a batch of one to four portions, by the ladle's name; a ladle that
 * measures nothing has an empty list. What a changed or lost ladle would touch.
 */
export function ladleUses(dishes: readonly Measured[], tools: MeasureTools): ReadonlyMap<string, readonly string[]> {
  const uses = new Map<string, string[]>(tools.ladles.map(({ name }) => [name, []]))
  for (const dish of dishes) {
    const named = BATCHES.flatMap((portions) =>
      batchAmounts(weighed(dish), portions * dish.portionRiceG, dish.portionRiceG, tools),
    ).flatMap(({ measure }) => (measure.tool === 'ladle' ? [measure.name] : []))
    for (const name of new Set(named)) uses.get(name)?.push(dish.id)
  }
  return uses
}

/** Components that there is something of: a mass of none is measured with nothing. */
const weighed = ({ components }: Measured) =>
  components.filter(
    ({ ratioG, filmG = 0, count, scaling }) => ratioG > 0 || filmG > 0 || (scaling === 'stepwise' && count),
  )
