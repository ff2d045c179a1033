import { OIL_FULL_KG_PER_M2, type Movement } from '../heat/parameters'
import type { Vessel } from '../heat/vessel'
import type { Heat } from '../sequence/levels'
import {
  AT_S,
  BEGAN_S,
  COLD_AT_S,
  COLD_J,
  FREE_KG,
  J_PER_K,
  LAYER_M2,
  OIL_KG,
  OWED_J,
  RICE_AT_S,
  SAUCE_KG,
  VOLUME_M3,
} from './inVessel'
import { KINDS, type Need, type PreparedMove } from './preparedWay'

const { log, max, min } = Math
/** Of figures of this size, as exact as need be, and quicker than `Math.log1p`. */
const log1p = (x: number) => log(1 + x)

/** So many figures say what the seconds of a move follow from; each of the order of one. */
export const FIGURES = KINDS + 44

/** The figures of one move, written anew for each. */
export const figures = new Float64Array(FIGURES)

/** Writes the figures of a move. Order and scale belong to the fitted weights: what changes here has to be fitted again. */
export function writeFigures(
  vessel: Vessel,
  heat: Heat,
  movement: Movement,
  preheatC: number,
  now: Float64Array,
  index: number,
  { kind, waits, goes }: PreparedMove,
  factor: number,
): void {
  const x = figures
  const netW = vessel.netW * heat.open
  x.fill(0)
  x[kind] = 1
  let f: number = KINDS
  x[f++] = log(netW) - 8
  x[f++] = heat.ceilingC / 100 - 2.5
  x[f++] = log(vessel.capacityAJPerK) - 6
  x[f++] = log(vessel.capacityBJPerK) - 6
  x[f++] = log(vessel.areaAM2) + 3
  x[f++] = vessel.isGriddle ? 1 : 0
  x[f++] = vessel.contact - 1
  x[f++] = log(movement.contactS)
  x[f++] = movement.contactShare * movement.pressed
  x[f++] = movement.surface * movement.air - 1
  x[f++] = movement.caught
  x[f++] = log1p(now[OWED_J]! / 1000) / 3
  x[f++] = log1p(now[COLD_J]! / 1000) / 3
  x[f++] = log1p(now[OWED_J]! / (netW * 10))
  x[f++] = log1p(now[FREE_KG]! * 1000) / 3
  x[f++] = log1p(now[J_PER_K]! / 100)
  x[f++] = min(3, now[LAYER_M2]! / vessel.areaAM2)
  x[f++] = log1p((now[VOLUME_M3]! / vessel.areaAM2) * 100)
  x[f++] = min(1, now[OIL_KG]! / (OIL_FULL_KG_PER_M2 * vessel.areaAM2))
  x[f++] = log1p(now[AT_S]! - now[COLD_AT_S]!) / 3
  x[f++] = log1p(now[SAUCE_KG]! * 1000) / 2
  x[f++] = (preheatC - 200) / 50
  if (now[RICE_AT_S]! >= 0) x[f] = log1p(now[AT_S]! - now[RICE_AT_S]!) / 3
  f += 1
  if (goes) {
    x[f] = log1p((factor * goes.boilJ) / 1000) / 3
    x[f + 1] = (factor * goes.boilJ) / (vessel.capacityAJPerK * 100)
    x[f + 2] = log1p(factor * goes.freeKg * 1000) / 2
    x[f + 3] = log1p(factor * goes.boundKg * 1000) / 4
    x[f + 4] = (factor * goes.jPerK) / now[J_PER_K]!
  }
  f += 5
  if (waits === null) return
  x[f] = waits.at
  writeNeeds(waits.needs, index, now, f + 1, factor / now[VOLUME_M3]!)
  let burnt = 0
  for (let n = 0; n < waits.burns.length; n += 1) {
    const one = waits.burns[n]!
    burnt = max(burnt, (now[AT_S]! - now[BEGAN_S + one.cameWith]!) / one.burnS)
  }
  x[FIGURES - 1] = min(3, burnt)
}

/** What has to be done to what came in with the move, and what is left to do to what lies there already. */
function writeNeeds(needs: readonly Need[], index: number, now: Float64Array, from: number, perM3: number): void {
  const x = figures
  for (let n = 0; n < needs.length; n += 1) {
    const one = needs[n]!
    x[from] = min(1.5, x[from]! + one.volumeM3 * perM3)
    if (one.isRaw) x[from + 1] = 1
    if (one.leftWith >= 0) x[from + 2] = max(x[from + 2]!, log1p(now[AT_S]! - now[BEGAN_S + one.leftWith]!) / 3)
    if (one.cameWith === index) {
      x[from + 3] = max(x[from + 3]!, log1p(one.lagS))
      x[from + 4] = max(x[from + 4]!, log1p(one.softS) / 2)
      x[from + 5] = max(x[from + 5]!, log1p(one.brownS) / 2)
      x[from + 6] = max(x[from + 6]!, one.coreK / 80)
      x[from + 13] = max(x[from + 13]!, log1p(one.mixS) / 3)
      continue
    }
    const sinceS = now[AT_S]! - now[BEGAN_S + one.cameWith]!
    x[from + 7] = max(x[from + 7]!, log1p(sinceS) / 3)
    x[from + 8] = max(x[from + 8]!, log1p(max(0, one.lagS - sinceS / 2)))
    x[from + 9] = max(x[from + 9]!, log1p(max(0, one.softS - sinceS / 2)) / 2)
    x[from + 10] = max(x[from + 10]!, log1p(max(0, one.brownS - sinceS / 2)) / 2)
    x[from + 11] = max(x[from + 11]!, (one.coreK - sinceS) / 80)
    const leftS = one.lagS + one.softS + one.brownS + one.coreK / 2 - sinceS
    x[from + 12] = max(x[from + 12]!, log1p(max(0, leftS)) / 2)
  }
}
