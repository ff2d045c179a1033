import type { WokComponent } from './component'

/** Fat that ran out of meat smokes from here on [°C]; from memory. */
export const RENDERED_SMOKES_AT_C = 190
/** So near to it a fat is called near its smoke point [K]. */
const NEAR_K = 10
/** So much fat on the metal fries what comes next [g]. [C] */
const FRIES_FROM_G = 3

/** Whether one of these fats smokes, or nearly, on metal so hot [°C]. */
export const isNearSmoke = (fats: readonly WokComponent[], metalC: number): boolean =>
  fats.some(({ smokesAtC }) => smokesAtC !== null && metalC >= smokesAtC - NEAR_K)

/** What gives enough fat to fry in, fattest first: where a dish has no other, it goes in before everything. */
export const renderers = (some: readonly WokComponent[]): WokComponent[] =>
  some
    .filter(({ rendersG }) => rendersG >= FRIES_FROM_G)
    .sort((a, b) => b.rendersG - a.rendersG || (a.id < b.id ? -1 : 1))

/** Fat melts out of what is warm: none below 45 °C, and at the boil so much of it a second. [C] */
const RENDERS = { fromC: 45, fullC: 100, perS: 1 / 120 } as const
/** Share of its fat that a piece of so mean a temperature loses each second. */
export const rendersPerS = (tempC: number): number =>
  RENDERS.perS * Math.min(1, Math.max(0, (tempC - RENDERS.fromC) / (RENDERS.fullC - RENDERS.fromC)))
