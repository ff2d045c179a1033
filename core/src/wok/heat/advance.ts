import { COMMON, MOST_FOODS, PER_FOOD, V_BOIL_PER_S, V_FASTEST_PER_S } from './layout'
import type { Pan } from './layout'
import { BULK_BOIL_PER_S } from './parameters'
import { rates } from './rates'

const { ceil, max, min } = Math

const SIZE = COMMON + MOST_FOODS * PER_FOOD
const k1 = new Float64Array(SIZE)
const k2 = new Float64Array(SIZE)
const k3 = new Float64Array(SIZE)
const k4 = new Float64Array(SIZE)
const at = new Float64Array(SIZE)

/** `rk4` for the answer, `heun` where many runs are ranked. */
export type Method = 'rk4' | 'heun'

/** Both methods are stable where a step times the fastest change stays below 2. A leaf of a gram needs shorter ones [s]. */
const STABLE = 1.6
const SHORTEST_S = 0.01

/** Moves a vessel forward to `toS` in equal steps of at most `stepS`, so that a change falls on the end of a step. */
export function advance(
  pan: Pan,
  toS: number,
  stepS: number,
  method: Method,
  afterStep?: (pan: Pan, stepS: number) => void,
): void {
  const spanS = toS - pan.atS
  if (!(spanS > 0)) return
  const bearsS = max(SHORTEST_S, STABLE / pan.fixed[V_FASTEST_PER_S]!)
  const steps = ceil(spanS / min(stepS, bearsS) - 1e-9)
  const fromS = pan.atS
  const hS = spanS / steps
  // A step that is longer than boiling takes would boil off more than the surplus of heat.
  pan.fixed[V_BOIL_PER_S] = min(BULK_BOIL_PER_S, 1 / hS)
  for (let n = 1; n <= steps; n += 1) {
    if (method === 'rk4') rk4(pan, hS)
    else heun(pan, hS)
    pan.atS = n === steps ? toS : fromS + n * hS
    afterStep?.(pan, hS)
  }
}

function rk4(pan: Pan, hS: number): void {
  const { y } = pan
  const size = COMMON + pan.portions.length * PER_FOOD
  rates(pan, y, k1)
  for (let i = 0; i < size; i += 1) at[i] = y[i]! + (hS / 2) * k1[i]!
  rates(pan, at, k2)
  for (let i = 0; i < size; i += 1) at[i] = y[i]! + (hS / 2) * k2[i]!
  rates(pan, at, k3)
  for (let i = 0; i < size; i += 1) at[i] = y[i]! + hS * k3[i]!
  rates(pan, at, k4)
  for (let i = 0; i < size; i += 1) y[i]! += (hS / 6) * (k1[i]! + 2 * (k2[i]! + k3[i]!) + k4[i]!)
}

function heun(pan: Pan, hS: number): void {
  const { y } = pan
  const size = COMMON + pan.portions.length * PER_FOOD
  rates(pan, y, k1)
  for (let i = 0; i < size; i += 1) at[i] = y[i]! + hS * k1[i]!
  rates(pan, at, k2)
  for (let i = 0; i < size; i += 1) y[i]! += (hS / 2) * (k1[i]! + k2[i]!)
}
