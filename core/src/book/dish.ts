import type { ProximateComposition } from '../physics/food'
import type { EggWish } from './eggWish'
import type { CountSize } from '../measure/ingredient'
import type { Food } from './food'
import type { Allergen } from './ingredient'
import type { Pin } from './pins'
import type { StatedSchools } from './schools'

/** What a component is in a dish; it decides when it goes in and how it grows. */
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

/** In which state a component comes to the wok. */
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
  'dried',
] as const
export type State = (typeof STATES)[number]

/** How something may be cut. */
export const CUT_SHAPES = ['whole', 'dice', 'mince', 'slice', 'shred', 'ribbon', 'strip', 'floret', 'beaten'] as const
export type Cut = { shape: (typeof CUT_SHAPES)[number]; sizeMm: number | null }

/**
 * How an amount grows with the batch: with the rice · so much a batch · a film for the vessel plus a share of the rice
 * (oil) · with the rice up to a cap a batch (garnish) · in whole pieces (eggs).
 */
export const SCALINGS = ['linear', 'perBatch', 'film', 'capped', 'stepwise'] as const
export type Scaling = (typeof SCALINGS)[number]

/** Stages in which a share of something may go in, besides the place where it would go alone. */
export const STAGES = ['egg', 'protein', 'base', 'rice', 'end', 'finish'] as const
export type Stage = (typeof STAGES)[number]
/** Share of a component's mass that goes in with a stage: 0.25 is a quarter. */
export type StageShare = { at: Stage; share: number }

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
  /** Grams a batch besides the share of the rice; only for `film`. */
  filmG?: number
  /** At most so many grams a batch; only for `capped`. */
  capG?: number
  allergens: readonly Allergen[]
  /** By the list of the US, and what common kinds hold; absent where the table was not asked. */
  allergensUs?: readonly Allergen[]
  mayContain?: readonly Allergen[]
  /** Names in it of which nobody said what they hold. */
  unknownParts?: readonly string[]
  /** Whether its row says that it must still be cooked; absent where nobody knows, which a wok takes for raw. */
  isRaw?: boolean
  /** What its row says of how it heats, in mass fractions; absent where it says nothing, or its class decides. */
  composition?: ProximateComposition
  /** Fat by mass of a protein, in versions from before its composition was kept. */
  fatFraction?: number
  /** Density in this form [g/mL]; absent where it was never weighed. */
  gPerML?: number
  count?: CountSize
  /** The row of the ingredient table that density, counts and allergens come from. */
  ingredientId?: string
  /** The sub-recipe that it is made by, instead of a row of the ingredient table. */
  recipeId?: string
  /** Shares of it that go in with other stages: half of a paste rubbed into the rice. */
  stages?: readonly StageShare[]
  /** The line as somebody wrote it: "1½ tbsp light soy". */
  written?: string
}

/**
 * A written variation: what it takes out, multiplies, puts in place of another component or adds. What it takes out, an
 * allergy may also take out.
 */
export type Modifier = {
  id: string
  name: string
  removes: readonly string[]
  scales: readonly { componentId: string; factor: number }[]
  /** The component that stands in has the id of the one it replaces. */
  swaps?: readonly Component[]
  adds?: readonly Component[]
  /** How the guest wants the egg; the way it is cooked is derived anew. */
  egg?: EggWish
  /** What the guest pays more or less, in the smallest unit of the currency. */
  priceMinor?: number
}

/** A dish name bound to written amounts: who cooks something else may not call it so. Grams per 100 g of rice. */
export type HouseStandard = {
  name: string
  lines: readonly { componentId: string; name: string; ratioG: number; toleranceFraction: number }[]
}

/** The kinds of station that cook dishes. */
export const STATION_KINDS = ['wok', 'griddle'] as const
export type StationKind = (typeof STATION_KINDS)[number]

/** A dish: its components to 100 g of rice, its schools and its variations. */
export type Dish = {
  id: string
  version: number
  name: string
  /** What the cooks call it across the station. */
  shortName: string
  stationKind: StationKind
  /** What the house holds of how it is cooked; what is not said is left to the engine. */
  schools: StatedSchools
  /** What the chef holds in its place of the score. */
  pins?: readonly Pin[]
  /** Cooked rice in one portion [g]. */
  portionRiceG: number
  /** It stays on the pass so long as if it were just up, and so long at all [s]; absent leaves it to what is usual. */
  holdFreeS?: number
  holdMostS?: number
  components: readonly Component[]
  modifiers: readonly Modifier[]
  /** The style whose bands its balance is judged by. */
  style?: string
  /** What a portion sells at and may cost, in the smallest unit of the currency. */
  priceMinor?: number
  costCeilingMinor?: number
  standard?: HouseStandard
}
