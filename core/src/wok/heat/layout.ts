import type { Portion } from './load'
import type { Handling } from './parameters'
import type { Vessel } from './vessel'

/** Where each number stands in the flat arrays of a vessel. */

/** What is integrated: of the metal [J] and the sauce on it [kg], then sums of heat [J] and water [kg]. */
export const METAL_A = 0
export const METAL_B = 1
export const FILM = 2
export const HEAT_IN = 3
export const HEAT_OUT = 4
export const WATER_OUT = 5
/** So many numbers stand before those of the components. */
export const COMMON = 6
/** Of each component: heat above 0 °C [J], free and bound water [kg], heat that its ice still takes [J]. */
export const HEAT = 0
export const FREE = 1
export const BOUND = 2
export const ICE = 3
export const PER_FOOD = 4

/** What is fixed for a component between two changes. */
export const P_AREA_A = 0
export const P_AREA_B = 1
export const P_SURFACE = 2
export const P_FOOD_SIDE = 3
export const P_SUPPLY = 4
export const P_INNER = 5
export const P_DRY_J_PER_K = 6
export const P_DRY_KG = 7
export const P_BOUND_KG = 8
export const P_KEEPS_KG = 9
export const P_GIVES_UP_PER_S = 10
export const P_TAKES_UP_PER_S = 11
export const P_CATCH = 12
export const P_SHARE = 13
export const P_DRY_ACTIVITY = 14
/** Heat of ice below which melting slows [J], so that it ends without a jump. */
export const P_ICE_TAPER = 15
/** Of a liquid: water below which it covers less and less [kg]; 0 for what has dry matter. */
export const P_AWAY_KG = 16
/** 1 where drops of it float on metal that is too hot; 0 for a pool, which wets it. */
export const P_FLOATS = 17
/** Browning: share of the time on the metal; how far the film is towards it, and how much of that is reached; most [1/s]. */
export const P_TIME_SHARE = 18
export const P_TOWARDS = 19
export const P_REACHED = 20
export const P_MOST_BROWN = 21
/** How fast it comes to the heat of other food that lies against its pieces [1/s]: a piece that dries takes less heat from them. */
export const P_MIXES = 22
export const PER_PART = 23

/** What is fixed for the vessel between two changes. */
export const V_LEVEL = 0
export const V_HOLD_C = 1
export const V_BARE_A = 2
export const V_BARE_B = 3
export const V_DRY_SIDE = 4
export const V_PRESSED = 5
export const V_AIR = 6
export const V_FILM_C = 7
export const V_FILM_MOST_M2 = 8
/** Fastest change of what could be dried out in the vessel [1/s]: no step is longer than it bears. */
export const V_FASTEST_PER_S = 9
/** How fast food gives off its surplus above the boil [1/s]; slower where the step is longer than that. */
export const V_BOIL_PER_S = 10
export const PER_VESSEL = 11

/** Most components in one vessel. */
export const MOST_FOODS = 40

/** A vessel with food in it, in flat arrays: the derivative allocates nothing. */
export type Pan = {
  readonly vessel: Vessel
  readonly portions: Portion[]
  readonly y: Float64Array
  readonly fixed: Float64Array
  readonly parts: Float64Array
  /** Metal, food and water that were put in: heat [J] and water [kg], for the balance. */
  readonly put: Float64Array
  /** Temperature of each component's face on the metal, as the last step had it [°C]. */
  readonly faces: Float64Array
  /** Metal that each has for itself, as an egg in a well among the rice [m²]; 0 where it lies in the heap. */
  readonly patches: Float64Array
  handling: Handling
  oilKg: number
  atS: number
}
