import { AIR_C } from '../wok/heat/parameters'
import { restingC } from '../wok/heat/resting'
import { sameVesselOf, type HeatStation } from '../wok/heat/vessel'
import { isWashed, type StationPast } from './stationPast'

/** What nobody measured is known in steps of so many seconds. */
const RESTED_STEP_S = 10
/** What metal that nobody cooked on since still holds [°C], whatever was done to it: whoever touches it takes it to be this hot. An estimate. */
export function restedMetalC(station: HeatStation, usedUntilMs: number, nowMs: number): number {
  const restedS = Math.max(0, nowMs - usedUntilMs) / 1000
  return restingC(sameVesselOf(station), Math.round(restedS / RESTED_STEP_S) * RESTED_STEP_S)
}

/**
 * What a batch that is fired now may count on [°C]: metal that was never used, or that was washed since, is as cold as the
 * kitchen; brushed or wiped it is as warm as it was. An estimate.
 */
export function metalToBeginOnC(
  station: HeatStation,
  past: Pick<StationPast, 'usedUntilMs' | 'washedAtMs'>,
  nowMs: number,
): number {
  if (past.usedUntilMs === null || isWashed(past)) return AIR_C
  return restedMetalC(station, past.usedUntilMs, nowMs)
}
