import { chance } from '../chance'
import type { Scale } from '../devices'

const NOISE_FRACTION = 0.006

/** The stand-in that ships: what should lie on it, off by up to 0.6 % of chance from the time, at the scale's own resolution. */
export const simulatedScale = (expectedG: number, resolutionG: number, atMs: number): Scale => ({
  weigh: () => {
    const massG = expectedG * (1 + (chance(7, Math.round(atMs / 1000)) - 0.5) * 2 * NOISE_FRACTION)
    return Promise.resolve({ massG: Math.round(massG / resolutionG) * resolutionG, isSettled: true })
  },
})
