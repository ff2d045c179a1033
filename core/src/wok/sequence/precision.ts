/**
 * Steps of the simulation [s]: two seconds where runs are ranked, one for the run that is kept, eight where only the whole time
 * is asked for; shorter while an egg sets, and never shorter than `leastS` before the end of a move.
 */
export const PRECISION = {
  ranking: { stepS: 2, eggStepS: 0.5, leastS: 0.5, method: 'heun' },
  fine: { stepS: 1, eggStepS: 0.25, leastS: 0.25, method: 'rk4' },
  coarse: { stepS: 8, eggStepS: 2, leastS: 2, method: 'heun' },
} as const
export type Precision = keyof typeof PRECISION
