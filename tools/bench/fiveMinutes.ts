import { HOB } from '../../core/src/test/stations'
import { advance, type Method } from '../../core/src/wok/heat/advance'
import type { HeatFood } from '../../core/src/wok/heat/foods'
import type { Pan } from '../../core/src/wok/heat/layout'
import { emptyPan, putIn } from '../../core/src/wok/heat/pan'
import { preheat } from '../../core/src/wok/heat/preheat'
import { vesselOf } from '../../core/src/wok/heat/vessel'

export const FOODS: readonly HeatFood[] = ['garlic', 'allium', 'hardVeg', 'poultry', 'egg', 'rice', 'leafy', 'peas']
export const RUN_S = 300
const RICE_G = 400
const OTHER_G = 40
const COLD_C = 5
const warm = preheat(vesselOf(HOB), 230)

/** A hob's wok with eight components in it, cold. */
export function loaded(): Pan {
  const pan = emptyPan(vesselOf(HOB), warm.metalC, warm.rimC, 15, 'stir')
  for (const food of FOODS) putIn(pan, { food, massG: food === 'rice' ? RICE_G : OTHER_G, tempC: COLD_C })
  return pan
}

/** Five minutes of it by steps of so many seconds. */
export function fiveMinutes(method: Method, stepS: number): Pan {
  const pan = loaded()
  advance(pan, RUN_S, stepS, method)
  return pan
}
