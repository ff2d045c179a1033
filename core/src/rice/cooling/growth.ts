import { tableOf } from './byTemperature'

const { exp, log } = Math

/**
 * Baranyi and Roberts over what a place in the tray went through, rate by Ratkowsky's square root. Parameters from memory: an order of magnitude,
 * the lag weakest of all. Information only: it never excuses a broken limit.
 */
type Organism = { b: number; leastC: number; c: number; mostC: number; lag: number }
const ORGANISMS = {
  bacillusCereus: { b: 0.0538, leastC: 6, c: 0.2, mostC: 50, lag: 2 },
  clostridiumPerfringens: { b: 0.0619, leastC: 11, c: 0.4, mostC: 52.5, lag: 4 },
} as const satisfies Record<string, Organism>
/** An organism whose growth is estimated. */
export type OrganismName = keyof typeof ORGANISMS
/** The organisms, in the order in which they are shown. */
export const ORGANISM_NAMES = ['bacillusCereus', 'clostridiumPerfringens'] as const satisfies readonly OrganismName[]

const START_LOG10 = 2
const MAX_LOG10 = 8

/** Specific growth rate [1/h] at a temperature [°C]; 0 outside the organism's range. */
export function growthRatePerH(name: OrganismName, tempC: number): number {
  const { b, leastC, c, mostC } = ORGANISMS[name]
  if (tempC <= leastC || tempC >= mostC) return 0
  const root = b * (tempC - leastC) * (1 - exp(c * (tempC - mostC)))
  return root * root
}

/** The rates [1/h] by temperature, for a model that asks for many. */
export const growthRates = (name: OrganismName): Float64Array => tableOf((tempC) => growthRatePerH(name, tempC))

/** Growth [log10] from the integral of the rate over time, from 2 log10 per gram towards 8. */
export function growthLog10(name: OrganismName, rateIntegral: number): number {
  const { lag } = ORGANISMS[name]
  const adjusted = rateIntegral + log(exp(-rateIntegral) + exp(-lag) - exp(-rateIntegral - lag))
  const span = (MAX_LOG10 - START_LOG10) * Math.LN10
  const grown = adjusted - Math.log1p(Math.expm1(adjusted) / exp(span))
  return grown / Math.LN10
}
