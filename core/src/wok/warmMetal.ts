import { AIR_C } from './heat/parameters'
import { preheatOf } from './heat/preheat'
import { sameVesselOf, type HeatStation } from './heat/vessel'
import type { Score } from './score'

/** Less than this nobody sees [s]. */
const LEAST_SAVED_S = 5
/** A step that is shorter nobody reads [s]. */
const LEAST_HEATING_S = 5

/**
 * A score that begins on metal at `metalC`: heating up takes only what is missing, and everything after it comes as much
 * earlier. A griddle is kept at its heat; a score that heats oil with the vessel, or is on warm metal already, stays as it is.
 */
export function onWarmMetal<T extends Score>(score: T, station: HeatStation, metalC: number): T {
  const [heats, ...rest] = score.steps
  if (
    !score.basis ||
    station.kind === 'griddle' ||
    heats?.action !== 'heatVessel' ||
    heats.figures?.['fromC'] !== undefined
  )
    return score
  const fromC = Math.round(metalC)
  const saved = preheatOf(sameVesselOf(station), fromC).seconds ?? 0
  const savedS = Math.min(Math.round(saved), heats.durationS - LEAST_HEATING_S)
  if (savedS < LEAST_SAVED_S) return score
  return {
    ...score,
    totalS: score.totalS - savedS,
    steps: [
      { ...heats, durationS: heats.durationS - savedS, figures: { ...heats.figures, fromC } },
      ...rest.map((step) => ({
        ...step,
        startS: step.startS - savedS,
        ...(step.latestS !== undefined && { latestS: step.latestS - savedS }),
      })),
    ],
  }
}

/** What the metal held when a score began [°C]. */
export const startMetalC = ({ steps }: Pick<Score, 'steps'>): number => steps[0]?.figures?.['fromC'] ?? AIR_C
