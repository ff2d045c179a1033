import { restingC } from '../wok/heat/resting'
import { sameVesselOf, type HeatStation } from '../wok/heat/vessel'
import type { Score } from '../wok/score'
import { onWarmMetal } from '../wok/warmMetal'
import { RESTS_S } from './soonerAt'

/**
 * How much sooner a batch is up on metal that nobody cooked on for each of `RESTS_S` [s]: what firing it then saves of heating
 * up. An estimate, and the same rule as when it is fired.
 */
export function soonerByRest(score: Score, station: HeatStation): number[] {
  const vessel = sameVesselOf(station)
  return RESTS_S.map((restS) => score.totalS - onWarmMetal(score, station, restingC(vessel, restS)).totalS)
}
