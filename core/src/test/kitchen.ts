import type { Component, Dish, Role } from '../book/dish'
import { heatOf } from '../line/batchHeat'
import { batchScore } from '../line/batchScore'
import type { MeasureTools } from '../measure/practical'
import type { CookRules } from '../safety/limits'
import type { Score } from '../wok/score'

export const TOOLS: MeasureTools = {
  system: 'us',
  ladles: [{ name: 'small ladle', volumeML: 40 }],
  scaleResolutionG: 1,
  fineScale: { belowG: 10, resolutionG: 0.1 },
}

export const US: CookRules = { ruleSet: 'us' }

type Part = Partial<Component> & Pick<Component, 'id' | 'role' | 'food' | 'ratioG'>
const STATE_BY_ROLE: Partial<Record<Role, Component['state']>> = { rice: 'cooked', egg: 'raw', protein: 'raw' }

/** As the ingredient table would say of it: what its state calls cooked or cured is ready. */
const isRawHere = ({ role, state }: Part) => {
  const named = state ?? STATE_BY_ROLE[role] ?? 'fresh'
  return (role === 'protein' || role === 'egg') && named !== 'cooked' && named !== 'cured'
}

export const component = (part: Part): Component => ({
  name: part.id,
  state: STATE_BY_ROLE[part.role] ?? 'fresh',
  cut: null,
  scaling: 'linear',
  allergens: [],
  mayContain: [],
  ingredientId: part.id,
  isRaw: isRawHere(part),
  ...part,
})

/** A dish with one of everything that the sequence has a place for. */
export const EVERYTHING: Component[] = [
  component({ id: 'rice', role: 'rice', food: 'rice', ratioG: 100 }),
  component({ id: 'egg', role: 'egg', food: 'egg', ratioG: 16, allergens: ['egg'] }),
  component({ id: 'chicken', role: 'protein', food: 'poultry', state: 'marinated', ratioG: 20 }),
  component({
    id: 'shrimp',
    role: 'protein',
    food: 'seafood',
    ratioG: 12,
    cut: { shape: 'whole', sizeMm: 13 },
    allergens: ['crustacean'],
  }),
  component({ id: 'ham', role: 'protein', food: 'meat', state: 'cured', ratioG: 8 }),
  component({ id: 'carrot', role: 'vegetable', food: 'hardVeg', ratioG: 8 }),
  component({ id: 'onion', role: 'aromatic', food: 'allium', ratioG: 8 }),
  component({ id: 'garlic', role: 'aromatic', food: 'garlic', ratioG: 1.5 }),
  component({ id: 'bean-paste', role: 'paste', food: 'paste', ratioG: 3, allergens: ['soy'] }),
  component({ id: 'pepper', role: 'vegetable', food: 'crispVeg', ratioG: 6 }),
  component({ id: 'salt', role: 'drySeasoning', food: 'seasoning', ratioG: 0.4 }),
  component({
    id: 'soy',
    role: 'liquidSeasoning',
    food: 'seasoning',
    ratioG: 3,
    gPerML: 1.2,
    allergens: ['soy', 'gluten'],
  }),
  component({ id: 'lettuce', role: 'vegetable', food: 'leafy', ratioG: 12 }),
  component({ id: 'scallion', role: 'finish', food: 'allium', ratioG: 4 }),
  component({ id: 'sesame-oil', role: 'fat', food: 'sesameOil', ratioG: 0.8, allergens: ['sesame'] }),
  component({ id: 'nori', role: 'garnish', food: 'herb', ratioG: 0.5 }),
  component({ id: 'oil', role: 'fat', food: 'oil', ratioG: 5 }),
]

export const DISH: Dish = {
  id: 'everything',
  version: 1,
  name: 'Everything rice',
  shortName: 'everything',
  stationKind: 'wok',
  schools: { egg: 'firstOut', heat: 'mediumThenHigh' },
  portionRiceG: 220,
  components: EVERYTHING,
  modifiers: [
    { id: 'no-egg', name: 'no egg', removes: ['egg'], scales: [] },
    { id: 'no-nori', name: 'no nori', removes: ['nori'], scales: [] },
    { id: 'less-salt', name: 'less salt', removes: [], scales: [{ componentId: 'soy', factor: 0.5 }] },
    { id: 'no-rice', name: 'no rice', removes: ['rice'], scales: [] },
  ],
}

/** A jet ring of 24 kW with rice from the fridge. */
export const RING_HEAT = heatOf({ kind: 'wok', powerW: 24_000 })

/** The score of so many portions of a dish, as written, on the ring. */
export function scoreOnRing(portions: number, dish: Dish = DISH, rules: CookRules = US): Score {
  const parts = [{ portions, modifiers: [] }]
  const result = batchScore(dish, { modifiers: [], allergies: [], parts }, RING_HEAT, TOOLS, rules)
  if (result.kind !== 'score') throw new Error(`${dish.name}: ${result.kind}`)
  return result.score
}
