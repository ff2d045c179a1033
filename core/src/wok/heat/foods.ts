import type { ProximateComposition } from '../../physics/food'

/** What the heat model tells apart. */
export const HEAT_FOODS = [
  'rice',
  'noodle',
  'egg',
  'garlic',
  'ginger',
  'herb',
  'paste',
  'allium',
  'hardVeg',
  'stem',
  'crispVeg',
  'leafy',
  'softVeg',
  'readyVeg',
  'peas',
  'mushroom',
  'seafood',
  'poultry',
  'meat',
  'mince',
  'cured',
  'tofu',
  'nut',
  'butter',
  'oil',
  'sesameOil',
  'seasoning',
  'water',
] as const
export type HeatFood = (typeof HEAT_FOODS)[number]

/** A rate that follows Arrhenius: so much a second at a temperature. */
export type Rate = { perS: number; atC: number; activationJPerMol: number }
/** Death of what makes people ill: one tenth is left after `dS` at `atC`; ten times faster every `zK`. */
export type Kill = { dS: number; atC: number; zK: number }

export type FoodThermal = {
  composition: ProximateComposition
  /** Of a heap with its gaps [kg/m³]. */
  bulkKgPerM3: number
  /** Thickness of a piece [m], and 6 for a slab, 8 for a cylinder, 10 for a ball. */
  pieceM: number
  shapeN: 6 | 8 | 10
  /** Free water as it enters, by mass. */
  freeFraction: number
  /** Water that a hot piece gives up, by mass, and how fast at the boil [1/s]. */
  givesUpFraction: number
  givesUpPerS: number
  /** How fast it takes up free water [1/s], and up to how much against its dry matter. */
  takesUpPerS: number
  /** Water that comes from within the piece to a hot face [kg/m² s]. */
  innerKgPerM2S: number
  /** Water activity of its face when no free water is on it. */
  dryActivity: number
  /** What a liquid carries from the metal by itself [W/m² K]; pieces leave it out. */
  convectsWPerM2K?: number
  /** Whether its pieces lie with air between them; a poured egg has none. */
  hasGaps: boolean
  /** What tells that it is done: softness or setting by its mean, or browning by its surface; null where only heat counts. */
  softens: Rate | null
  browns: Rate
  kill: Kill | null
}
