import type { Role, State } from '../../book/dish'
import { rateAt } from '../heat/doneness'
import { FOOD_THERMAL } from '../heat/foodTable'
import type { HeatFood } from '../heat/foods'
import type { ComponentInput, Tag, TargetKind } from './vocabulary'

/** Where a component stands in the grammar of a run. */
export type Place =
  | 'rice'
  | 'egg'
  | 'raw'
  | 'ready'
  | 'quick'
  | 'paste'
  | 'slow'
  | 'crisp'
  | 'readyVeg'
  | 'leaf'
  | 'soft'
  | 'dry'
  | 'volatile'
  | 'sauce'
  | 'fat'
  | 'butter'
  | 'sesame'
  | 'finish'
  | 'garnish'

const PLANT_PROTEIN: readonly HeatFood[] = ['tofu', 'nut', 'peas']
export const MEATS: readonly HeatFood[] = ['seafood', 'poultry', 'meat', 'mince', 'cured']
const QUICK: readonly HeatFood[] = ['garlic', 'ginger', 'herb']
const READY_STATES: readonly State[] = ['cooked', 'frozen', 'thawed', 'blanched', 'soaked']
/** From this need on a softened vegetable goes in before the quick aromatics [s]. */
const SLOW_FROM_S = 60

/** Every protein that is neither cooked nor ready to eat, whatever it is called; what nobody knows is raw. */
export function isRawProtein({ role, readyToEat, mustCook }: ComponentInput, food: HeatFood, state: State): boolean {
  if (mustCook && role !== 'egg') return true
  if (role === 'rice' || role === 'egg' || readyToEat === true || state === 'cooked') return false
  if (PLANT_PROTEIN.includes(food)) return false
  return role === 'protein' || MEATS.includes(food) || food === 'egg'
}

/** Where a component stands in the grammar, by its role, food, state and tags. */
export function placeOf(
  { role, readyToEat, mustCook, target }: ComponentInput,
  food: HeatFood,
  state: State,
  tags: ReadonlySet<Tag>,
  isRaw: boolean,
): Place {
  if (isRaw) return 'raw'
  switch (role) {
    case 'rice':
      return 'rice'
    case 'egg':
      return !mustCook && (readyToEat || state === 'cooked') ? 'ready' : 'egg'
    case 'fat':
      return food === 'butter' ? 'butter' : food === 'sesameOil' || tags.has('sesame') ? 'sesame' : 'fat'
    case 'paste':
      return 'paste'
    case 'drySeasoning':
      if (target?.kind === 'bloomed') return 'paste'
      return tags.has('volatile') ? 'volatile' : 'dry'
    case 'liquidSeasoning':
      return food === 'sesameOil' || tags.has('sesame') ? 'sesame' : 'sauce'
    case 'finish':
      // What has to be hot goes in while there is a flame.
      return target?.kind === 'heatedThrough' ? 'soft' : 'finish'
    case 'garnish':
      return 'garnish'
    case 'protein':
      return 'ready'
    case 'aromatic':
    case 'vegetable':
      return plantPlace(role, food, state, tags)
  }
}

function plantPlace(role: Role, food: HeatFood, state: State, tags: ReadonlySet<Tag>): Place {
  if (tags.has('tender')) return 'finish'
  if (QUICK.includes(food)) return role === 'aromatic' ? 'quick' : 'leaf'
  if (food === 'paste') return 'paste'
  if (MEATS.includes(food) || food === 'egg' || food === 'tofu' || food === 'nut') return 'ready'
  if (food === 'leafy') return state === 'cooked' || state === 'blanched' ? 'readyVeg' : 'leaf'
  if (tags.has('quick')) return 'soft'
  if (food === 'softVeg') return 'soft'
  if (food === 'readyVeg' || food === 'peas' || food === 'noodle' || READY_STATES.includes(state)) return 'readyVeg'
  return 'crisp'
}

/** An onion or a vegetable that only has to smell is quick. */
export const refined = (place: Place, target: TargetKind): Place =>
  place === 'crisp' && target === 'fragrant' ? 'quick' : place

/** What is to be softened and needs so long in all [s] is slow: it goes in before the quick aromatics. */
export const isSlow = ({ place, target }: { place: Place; target: TargetKind }, needS: number): boolean =>
  place === 'crisp' && target === 'softened' && needS >= SLOW_FROM_S

const AT_C = 88

/** Seconds of softening at 88 °C to an index. */
export function softSeconds(food: HeatFood, index: number): number {
  const { softens } = FOOD_THERMAL[food]
  return softens ? index / rateAt(softens, AT_C) : 0
}
