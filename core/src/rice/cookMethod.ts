/** How rice is cooked for frying. Figures are common practice: no published source. */
export const GRAINS = ['long', 'jasmine', 'basmati', 'parboiled', 'medium', 'short', 'brown'] as const
export type Grain = (typeof GRAINS)[number]
/** Shares of grains by dry mass that sum to 1. */
export type Blend = Partial<Readonly<Record<Grain, number>>>

type GrainFigures = {
  /** Dry rice, poured [kg/L]: the density of the ingredient table. */
  bulkKgPerL: number
  /** Water by mass when it leaves the heat: a touch drier than for the table. */
  targetWaterFraction: number
  /** Against long white grain: how much longer it cooks, and how much more water its rule of thumb takes. */
  timeFactor: number
  waterFactor: number
}
/** What each grain takes and gives: water, times and yield, common practice. */
export const GRAIN_FIGURES: Readonly<Record<Grain, GrainFigures>> = {
  long: { bulkKgPerL: 0.78, targetWaterFraction: 0.6, timeFactor: 1, waterFactor: 1 },
  jasmine: { bulkKgPerL: 0.79, targetWaterFraction: 0.59, timeFactor: 1, waterFactor: 1.1 },
  basmati: { bulkKgPerL: 0.77, targetWaterFraction: 0.6, timeFactor: 0.9, waterFactor: 1.2 },
  parboiled: { bulkKgPerL: 0.78, targetWaterFraction: 0.62, timeFactor: 1.25, waterFactor: 1.4 },
  medium: { bulkKgPerL: 0.82, targetWaterFraction: 0.58, timeFactor: 1, waterFactor: 1 },
  short: { bulkKgPerL: 0.84, targetWaterFraction: 0.57, timeFactor: 1, waterFactor: 1 },
  brown: { bulkKgPerL: 0.79, targetWaterFraction: 0.6, timeFactor: 2, waterFactor: 1.6 },
}
/** Cooked rice, loosely filled [kg/L]: 140–142 g a US cup. */
export const COOKED_BULK_KG_PER_L = 0.596

/** Changes of water. */
export const WASHES = ['none', 'two', 'three', 'four'] as const
export type Wash = (typeof WASHES)[number]
/** Water that drained, washed grain keeps, by dry mass; from memory: weigh a drained load. */
export const WASH_HELD_FRACTION: Readonly<Record<Wash, number>> = { none: 0, two: 0.08, three: 0.09, four: 0.1 }

/** How rice is cooked. */
export const METHODS = ['steamer', 'pot', 'cooker', 'microwave', 'pilaf', 'oven'] as const
export type Method = (typeof METHODS)[number]
type MethodFigures = {
  /** Water to rice, by mass or by volume, and a splash for each load. */
  rule: { by: 'mass' | 'volume'; ratio: number; extraML: number }
  cookMin: number
  restMin: number
  /** Steam that leaves a kitchen's usual vessel before it was weighed. */
  steamGPerMin: number
}
const METHOD_FIGURES: Readonly<Record<Method, MethodFigures>> = {
  steamer: { rule: { by: 'mass', ratio: 1, extraML: 0 }, cookMin: 20, restMin: 10, steamGPerMin: 8 },
  pot: { rule: { by: 'volume', ratio: 1, extraML: 15 }, cookMin: 10, restMin: 10, steamGPerMin: 6 },
  cooker: { rule: { by: 'volume', ratio: 0.9, extraML: 0 }, cookMin: 18, restMin: 10, steamGPerMin: 5 },
  microwave: { rule: { by: 'volume', ratio: 1.5, extraML: 0 }, cookMin: 18, restMin: 5, steamGPerMin: 15 },
  pilaf: { rule: { by: 'volume', ratio: 0.9, extraML: 0 }, cookMin: 22, restMin: 5, steamGPerMin: 6 },
  /** A deep tray with its lid on, at 180 °C. */
  oven: { rule: { by: 'volume', ratio: 1.1, extraML: 0 }, cookMin: 28, restMin: 10, steamGPerMin: 4 },
}

/** Poured density of a blend [kg/L]. */
export function bulkKgPerL(blend: Blend): number {
  const litresPerKg = sharesOf(blend).reduce((sum, [grain, share]) => sum + share / GRAIN_FIGURES[grain].bulkKgPerL, 0)
  return 1 / litresPerKg
}

/** Wanted water by mass of a blend when it leaves the heat. */
export function blendWaterFraction(blend: Blend): number {
  return sharesOf(blend).reduce((sum, [grain, share]) => sum + share * GRAIN_FIGURES[grain].targetWaterFraction, 0)
}

/** Minutes on the heat and at rest: a blend takes as long as its slowest grain. */
export function cookTimes(method: Method, blend: Blend): { cookMin: number; restMin: number } {
  const { cookMin, restMin } = METHOD_FIGURES[method]
  const slowest = Math.max(
    ...sharesOf(blend).map(([grain, share]) => (share > 0 ? GRAIN_FIGURES[grain].timeFactor : 0)),
  )
  return { cookMin: Math.round(cookMin * slowest), restMin }
}

/** Water by the method's rule of thumb [g]. */
export function ruleWaterG(method: Method, blend: Blend, dryMassG: number): number {
  const { by, ratio, extraML } = METHOD_FIGURES[method].rule
  const base = by === 'mass' ? dryMassG : dryMassG / bulkKgPerL(blend)
  const factor = sharesOf(blend).reduce((sum, [grain, share]) => sum + share * GRAIN_FIGURES[grain].waterFactor, 0)
  return ratio * factor * base + extraML
}

/** @throws {RangeError} where the shares do not sum to 1 */
function sharesOf(blend: Blend): [Grain, number][] {
  const shares = Object.entries(blend) as [Grain, number][]
  const sum = shares.reduce((total, [, share]) => total + share, 0)
  if (Math.abs(sum - 1) > 1e-6) throw new RangeError(`shares of a blend sum to ${sum}, not to 1`)
  return shares
}

/** Steam that a vessel loses until its own loads were weighed [g/min]; common practice, from memory. */
export const usualSteamGPerMin = (method: Method): number => METHOD_FIGURES[method].steamGPerMin
