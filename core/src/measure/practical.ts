import type { KitchenVessel } from './convert'
import type { CountSize } from './ingredient'
import { volumeUnitML, type MeasureSystem } from './units'

/** What a cook can measure with at the station. */
export type MeasureTools = {
  system: MeasureSystem
  ladles: readonly KitchenVessel[]
  scaleResolutionG: number
  /** A finer scale for small amounts, where the kitchen has one. */
  fineScale: { belowG: number; resolutionG: number } | null
}

/** An amount as a cook would take it: so many of a tool, what that weighs, and how far it is off (0.04 = 4 % over). */
export type PracticalMeasure = {
  tool: 'count' | 'ladle' | 'tbsp' | 'tsp' | 'scale'
  /** Name of the ladle or of the thing counted; empty for spoons and scale. */
  name: string
  count: number
  massG: number
  errorFraction: number
}

/** A mass [g] and what is known of it, so that hands can measure it. */
export type Measurable = {
  massG: number
  gPerML?: number
  count?: CountSize
  isSalty: boolean
  /** Only what pours is taken by the ladle. */
  isPourable: boolean
}

/** Rounding errors a cook accepts before reaching for a finer tool: house figures, common practice. */
export const ROUNDING_LIMIT_FRACTION = { salty: 0.05, other: 0.1 } as const

const TBSP_STEPS = [1 / 3, 1 / 2, 2 / 3, 1] as const
const MAX_TSP = 2
const MAX_TBSP = 4
const MAX_LADLES = 6

/**
 * The coarsest tool that measures this mass [g] within the accepted rounding: whole or half counts, half ladles, thirds
 * and halves of a tablespoon, quarters of a teaspoon, then the scale at its resolution. Where none is good enough, the
 * one that comes closest.
 * Error: `errorFraction`, relative to the mass asked for.
 * @throws {RangeError} on a mass that is not positive
 */
export function practicalMeasure(thing: Measurable, tools: MeasureTools): PracticalMeasure {
  if (!(thing.massG > 0)) throw new RangeError(`massG ${thing.massG} is not positive`)
  const limit = thing.isSalty ? ROUNDING_LIMIT_FRACTION.salty : ROUNDING_LIMIT_FRACTION.other
  const choices = [...countChoice(thing), ...ladleChoices(thing, tools), ...spoonChoices(thing, tools)]
  const good = choices.find((choice) => Math.abs(choice.errorFraction) <= limit)
  const scale = scaleChoice(thing, tools)
  const closest = [...choices, scale].reduce((best, choice) =>
    Math.abs(choice.errorFraction) < Math.abs(best.errorFraction) ? choice : best,
  )
  return good ?? closest
}

function countChoice({ massG, count }: Measurable): PracticalMeasure[] {
  if (!count) return []
  return round(massG, 'count', count.size, count.massG, Math.max(0.5, Math.round((2 * massG) / count.massG) / 2))
}

function ladleChoices({ massG, gPerML, isPourable }: Measurable, { ladles }: MeasureTools): PracticalMeasure[] {
  if (!gPerML || !isPourable) return []
  const largestFirst = [...ladles].sort((a, b) => b.volumeML - a.volumeML)
  return largestFirst.flatMap((ladle) => {
    const unitG = ladle.volumeML * gPerML
    const count = Math.round((2 * massG) / unitG) / 2
    return count >= 0.5 && count <= MAX_LADLES ? round(massG, 'ladle', ladle.name, unitG, count) : []
  })
}

function spoonChoices({ massG, gPerML }: Measurable, { system }: MeasureTools): PracticalMeasure[] {
  const tbspML = volumeUnitML('tbsp', system)
  const tspML = volumeUnitML('tsp', system)
  if (!gPerML || tbspML === null || tspML === null) return []
  const tbsp = massG / (tbspML * gPerML)
  const tsp = massG / (tspML * gPerML)
  const choices: PracticalMeasure[] = []
  if (tsp > MAX_TSP && tbsp <= MAX_TBSP + 0.25) {
    const whole = Math.floor(tbsp)
    const steps = [0, ...TBSP_STEPS].map((step) => whole + step)
    choices.push(...round(massG, 'tbsp', '', tbspML * gPerML, nearest(steps, tbsp)))
  }
  if (tsp <= MAX_TSP + 0.125) choices.push(...round(massG, 'tsp', '', tspML * gPerML, Math.round(4 * tsp) / 4))
  return choices
}

function scaleChoice({ massG }: Measurable, { scaleResolutionG, fineScale }: MeasureTools): PracticalMeasure {
  const resolutionG = fineScale && massG < fineScale.belowG ? fineScale.resolutionG : scaleResolutionG
  const count = Math.max(1, Math.round(massG / resolutionG))
  const roundedG = Number((count * resolutionG).toFixed(6))
  return { tool: 'scale', name: '', count: roundedG, massG: roundedG, errorFraction: roundedG / massG - 1 }
}

function round(massG: number, tool: PracticalMeasure['tool'], name: string, unitG: number, count: number) {
  if (count <= 0) return []
  return [{ tool, name, count, massG: count * unitG, errorFraction: (count * unitG) / massG - 1 }]
}

function nearest(values: readonly number[], target: number): number {
  return values.reduce((best, value) => (Math.abs(value - target) < Math.abs(best - target) ? value : best))
}
