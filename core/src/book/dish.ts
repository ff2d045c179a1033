import type { CountSize } from '../measure/ingredient'
import type { Allergen } from './ingredient'

export const ROLES = [
  'rice',
  'egg',
  'aromatic',
  'paste',
  'protein',
  'vegetable',
  'drySeasoning',
  'liquidSeasoning',
  'fat',
  'finish',
  'garnish',
] as const
export type Role = (typeof ROLES)[number]

export const STATES = [
  'raw',
  'marinated',
  'cooked',
  'cured',
  'fresh',
  'frozen',
  'thawed',
  'blanched',
  'soaked',
] as const
export type State = (typeof STATES)[number]

/** What a component is at the wok: the class that decides its heat, its seconds and its safety check. */
export const FOODS = [
  'rice',
  'egg',
  'garlic',
  'ginger',
  'allium',
  'herb',
  'paste',
  'hardVeg',
  'stem',
  'crispVeg',
  'leafy',
  'readyVeg',
  'mushroom',
  'seafood',
  'poultry',
  'meat',
  'mince',
  'tofu',
  'nut',
  'oil',
  'sesameOil',
  'seasoning',
] as const
export type Food = (typeof FOODS)[number]

export const CUT_SHAPES = ['whole', 'dice', 'mince', 'slice', 'shred', 'ribbon', 'strip', 'floret', 'beaten'] as const
export type Cut = { shape: (typeof CUT_SHAPES)[number]; sizeMm: number | null }

/** How an amount grows with the batch: with the rice, or so much a batch (the oil film that a wok needs). */
export type Scaling = 'linear' | 'perBatch'

/** One thing in a dish. `ratioG` is grams per 100 g of cooked rice, edible portion, in the stated state and cut. */
export type Component = {
  id: string
  name: string
  role: Role
  state: State
  food: Food
  cut: Cut | null
  ratioG: number
  scaling: Scaling
  allergens: readonly Allergen[]
  /** Density in this form [g/mL]; absent where it was never weighed. */
  gPerML?: number
  count?: CountSize
  /** The row of the ingredient table that density, counts and allergens come from. */
  ingredientId?: string
}

export const EGG_SCHOOLS = ['firstOut', 'well', 'onTop', 'none'] as const
export type EggSchool = (typeof EGG_SCHOOLS)[number]
export const HEAT_SCHOOLS = ['mediumThenHigh', 'full'] as const
export type HeatSchool = (typeof HEAT_SCHOOLS)[number]
export type Schools = { egg: EggSchool; heat: HeatSchool }

/** A written variation: what it takes out or multiplies. What it takes out, an allergy may also take out. */
export type Modifier = {
  id: string
  name: string
  removes: readonly string[]
  scales: readonly { componentId: string; factor: number }[]
}

export const STATION_KINDS = ['wok', 'griddle'] as const
export type StationKind = (typeof STATION_KINDS)[number]

export type Dish = {
  id: string
  version: number
  name: string
  /** What the cooks call it across the station. */
  shortName: string
  stationKind: StationKind
  schools: Schools
  /** Cooked rice in one portion [g]. */
  portionRiceG: number
  components: readonly Component[]
  modifiers: readonly Modifier[]
}
