import { advance } from './advance'
import { emptyPan, metalC, setWork } from './pan'
import { AIR_C } from './parameters'
import type { Vessel } from './vessel'

/** Metal that a batch leaves behind, as it comes off the flame [°C]. [C] */
const LEFT_AT_C = 220
const STEP_S = 5
/** After so long it is as cold as the kitchen [s]. */
const COLD_AFTER_S = 1800

/** What the metal of an empty vessel has so long after its flame went off [°C]: an estimate, nobody has touched it. */
export function restingC(vessel: Vessel, restedS: number): number {
  if (restedS >= COLD_AFTER_S) return AIR_C
  const hotC = Math.min(LEFT_AT_C, vessel.holdC)
  const pan = emptyPan(vessel, hotC, hotC, 0, 'leave')
  setWork(pan, { level: 0 })
  while (pan.atS < restedS) advance(pan, Math.min(restedS, pan.atS + STEP_S), STEP_S, 'heun')
  return metalC(pan)
}
