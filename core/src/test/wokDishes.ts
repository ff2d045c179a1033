import type { SequenceInput } from '../wok/sequence/derive'
import type { ComponentInput, DishInput } from '../wok/sequence/vocabulary'
import type { StatedSchools } from '../book/schools'
import { HOB } from './stations'

/** Plain fried rice of the house: the least that every kitchen has. */
export const PLAIN: readonly ComponentInput[] = [
  { id: 'rice', role: 'rice', ratioG: 100 },
  { id: 'egg', role: 'egg', ratioG: 14 },
  { id: 'garlic', role: 'aromatic', ratioG: 1 },
  { id: 'salt', role: 'drySeasoning', ratioG: 0.4 },
  { id: 'soy', role: 'liquidSeasoning', ratioG: 1.5 },
  { id: 'scallion', role: 'finish', ratioG: 3 },
  { id: 'oil', role: 'fat', ratioG: 3 },
]
export const SHRIMP: ComponentInput = {
  id: 'shrimp',
  role: 'protein',
  food: 'seafood',
  ratioG: 25,
  cut: { sizeMm: 13 },
}
export const CHICKEN: ComponentInput = {
  id: 'chicken',
  role: 'protein',
  food: 'poultry',
  ratioG: 25,
  cut: { sizeMm: 6 },
}
export const DUCK: ComponentInput = { id: 'duck', role: 'protein', food: 'poultry', state: 'cooked', ratioG: 18 }
export const ONION: ComponentInput = { id: 'onion', role: 'aromatic', food: 'allium', ratioG: 10 }
export const CARROT: ComponentInput = {
  id: 'carrot',
  role: 'vegetable',
  food: 'hardVeg',
  ratioG: 8,
  cut: { sizeMm: 4 },
}
export const GREENS: ComponentInput = { id: 'greens', role: 'vegetable', food: 'leafy', ratioG: 12 }
export const PEAS: ComponentInput = { id: 'peas', role: 'vegetable', food: 'peas', state: 'frozen', ratioG: 8 }
export const PASTE: ComponentInput = { id: 'paste', role: 'paste', ratioG: 4 }

/** A batch of the plain dish with more in it, on a hob unless another station is given. */
export function aBatch(
  more: readonly ComponentInput[] = [],
  schools: StatedSchools = {},
  rest: Partial<Omit<SequenceInput, 'dish'>> & { dish?: Partial<DishInput> } = {},
): SequenceInput {
  const { dish, ...others } = rest
  return {
    station: HOB,
    handling: 'stir',
    batchMassG: 280,
    riceTempC: 5,
    rules: { ruleSet: 'us' },
    ...others,
    dish: { name: 'a dish', schools, components: [...PLAIN, ...more], ...dish },
  }
}
