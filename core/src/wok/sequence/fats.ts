import type { HeatFood } from '../heat/foods'
import type { WokComponent } from './component'

/**
 * From here on a fat smokes [°C]: typical of refined oil, of butter and of pressed sesame oil. From memory; how a fat was
 * refined and how old it is moves it by tens of degrees.
 */
const SMOKES_AT_C: Readonly<Partial<Record<HeatFood, number>>> = { oil: 225, butter: 150, sesameOil: 177 }
/** The same of fat that ran out of meat [°C]; from memory. */
export const RENDERED_SMOKES_AT_C = 190
/** So near to it a fat is called near its smoke point [K]. */
const NEAR_K = 10
/** So much fat on the metal fries what comes next [g]. [C] */
const FRIES_FROM_G = 3

export const smokePointC = (food: HeatFood, known: number | undefined): number | null =>
  known ?? SMOKES_AT_C[food] ?? null

/** Whether one of these fats smokes, or nearly, on metal so hot [°C]. */
export const isNearSmoke = (fats: readonly WokComponent[], metalC: number): boolean =>
  fats.some(({ smokesAtC }) => smokesAtC !== null && metalC >= smokesAtC - NEAR_K)

/** What gives enough fat to fry in, fattest first: where a dish has no other, it goes in before everything. */
export const renderers = (some: readonly WokComponent[]): WokComponent[] =>
  some
    .filter(({ rendersG }) => rendersG >= FRIES_FROM_G)
    .sort((a, b) => b.rendersG - a.rendersG || (a.id < b.id ? -1 : 1))
