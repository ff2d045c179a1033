/** How rice is cooked for frying. Figures are common practice: no published source. */
export const GRAINS = ['long', 'medium', 'short', 'brown'] as const
export type Grain = (typeof GRAINS)[number]
/** Shares of grains by dry mass that sum to 1. */
export type Blend = Partial<Readonly<Record<Grain, number>>>

type GrainFigures = {
  /** Dry rice, poured [kg/L]. */
  bulkKgPerL: number
  /** Water by mass when it leaves the heat: a touch drier than for the table. */
  targetWaterFraction: number
}
export const GRAIN_FIGURES: Readonly<Record<Grain, GrainFigures>> = {
  long: { bulkKgPerL: 0.78, targetWaterFraction: 0.6 },
  medium: { bulkKgPerL: 0.77, targetWaterFraction: 0.58 },
  short: { bulkKgPerL: 0.8, targetWaterFraction: 0.57 },
  brown: { bulkKgPerL: 0.76, targetWaterFraction: 0.6 },
}
/** Cooked rice, loosely filled [kg/L]: 140–142 g a US cup. */
export const COOKED_BULK_KG_PER_L = 0.596

/** Changes of water. */
export const WASHES = ['none', 'two', 'three', 'four'] as const
export type Wash = (typeof WASHES)[number]
/** Water that drained, washed grain keeps, by dry mass; from memory: weigh a drained load. */
export const WASH_HELD_FRACTION: Readonly<Record<Wash, number>> = { none: 0, two: 0.08, three: 0.09, four: 0.1 }

export const METHODS = ['steamer', 'pot', 'cooker', 'microwave', 'pilaf'] as const
export type Method = (typeof METHODS)[number]
type MethodFigures = {
  /** Water to rice, by mass or by volume, and a splash for each load. */
  rule: { by: 'mass' | 'volume'; ratio: number; extraML: number }
  cookMin: number
  restMin: number
  /** Steam that leaves a kitchen's usual vessel before it was weighed. */
  steamGPerMin: number
}
export const METHOD_FIGURES: Readonly<Record<Method, MethodFigures>> = {
  steamer: { rule: { by: 'mass', ratio: 1, extraML: 0 }, cookMin: 20, restMin: 10, steamGPerMin: 8 },
  pot: { rule: { by: 'volume', ratio: 1, extraML: 15 }, cookMin: 10, restMin: 10, steamGPerMin: 6 },
  cooker: { rule: { by: 'volume', ratio: 0.9, extraML: 0 }, cookMin: 18, restMin: 10, steamGPerMin: 5 },
  microwave: { rule: { by: 'volume', ratio: 1.5, extraML: 0 }, cookMin: 18, restMin: 5, steamGPerMin: 15 },
  pilaf: { rule: { by: 'volume', ratio: 0.9, extraML: 0 }, cookMin: 22, restMin: 5, steamGPerMin: 6 },
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

/** Water by the method's rule of thumb [g]. */
export function ruleWaterG(method: Method, blend: Blend, dryMassG: number): number {
  const { by, ratio, extraML } = METHOD_FIGURES[method].rule
  const base = by === 'mass' ? dryMassG : dryMassG / bulkKgPerL(blend)
  return ratio * base + extraML
}

/** @throws {RangeError} where the shares do not sum to 1 */
function sharesOf(blend: Blend): [Grain, number][] {
  const shares = Object.entries(blend) as [Grain, number][]
  const sum = shares.reduce((total, [, share]) => total + share, 0)
  if (Math.abs(sum - 1) > 1e-6) throw new RangeError(`shares of a blend sum to ${sum}, not to 1`)
  return shares
}
