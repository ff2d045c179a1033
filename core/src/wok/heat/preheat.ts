import { advance } from './advance'
import { emptyPan, metalC, rimC } from './pan'
import { AIR_C } from './parameters'
import type { Vessel } from './vessel'

/** Longest preheating that is tried [s], and how long no warmer counts as never. */
const MOST_S = 1800

/** An empty vessel heated from the kitchen's air to a temperature: seconds, and what its rim has by then. */
export type Preheated = { seconds: number | null; metalC: number; rimC: number }

const heatedBefore = new WeakMap<Vessel, Map<number, Preheated>>()

/** As `preheat`, remembered for as long as the vessel is. */
export function preheatOf(vessel: Vessel, toC: number): Preheated {
  const known = heatedBefore.get(vessel) ?? new Map<number, Preheated>()
  heatedBefore.set(vessel, known)
  const heated = known.get(toC) ?? preheat(vessel, toC)
  known.set(toC, heated)
  return heated
}

/**
 * How long an empty vessel takes from cold to `toC` [s], null if its flame never brings it there; the step in which it
 * arrives is divided in proportion.
 */
export function preheat(vessel: Vessel, toC: number): Preheated {
  const pan = emptyPan(vessel, AIR_C, AIR_C, 0, 'leave')
  if (toC <= AIR_C) return { seconds: 0, metalC: toC, rimC: toC }
  let wasC = AIR_C
  let wasRimC = AIR_C
  for (let seconds = 0; seconds < MOST_S; seconds += 1) {
    advance(pan, seconds + 1, 1, 'rk4')
    const nowC = metalC(pan)
    if (nowC >= toC) {
      const share = (toC - wasC) / (nowC - wasC)
      return { seconds: seconds + share, metalC: toC, rimC: wasRimC + share * (rimC(pan) - wasRimC) }
    }
    if (nowC - wasC < 1e-4 && rimC(pan) - wasRimC < 1e-4) break
    wasC = nowC
    wasRimC = rimC(pan)
  }
  return { seconds: null, metalC: wasC, rimC: wasRimC }
}
