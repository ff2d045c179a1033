import { AIR_C } from '../wok/heat/parameters'
import { restingC } from '../wok/heat/resting'
import { sameVesselOf, type HeatStation } from '../wok/heat/vessel'
import { isWashed, type StationPast } from './stationPast'

/** What nobody measured is known in steps of so many seconds. */
const RESTED_STEP_S = 10
/**
 * What the metal of a station that nobody cooks at still holds [°C]: an estimate, from when it was last used. One that never
 * was, or that was washed since, is as cold as the kitchen; brushed or wiped it is as warm as it was.
 */
export function idleMetalC(
  station: HeatStation,
  past: Pick<StationPast, 'usedUntilMs' | 'washedAtMs'>,
  nowMs: number,
): number {
  if (past.usedUntilMs === null || isWashed(past)) return AIR_C
  const restedS = Math.max(0, nowMs - past.usedUntilMs) / 1000
  return restingC(sameVesselOf(station), Math.round(restedS / RESTED_STEP_S) * RESTED_STEP_S)
}
