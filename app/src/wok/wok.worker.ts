import { batchScore } from 'core/line/batchScore'
import { whatIfMap, whatIfQuick, whatIfScore } from 'core/line/whatIf'
import { roughStationTimes, stationTimes } from 'core/line/stationTimes'
import { soonerByRest } from 'core/line/warmStart'
import { exposeWork } from '../device/exposeWork'

/** A score, with how much sooner it is up on metal that is still warm from the batch before. */
const batchScoreToPlan: typeof batchScore = (dish, input, heat, tools, rules) => {
  const result = batchScore(dish, input, heat, tools, rules)
  return result.kind === 'score' ? { ...result, soonerS: soonerByRest(result.score, heat.station) } : result
}

/** A score takes some tens of milliseconds, the times of a dish at a station some more. */
export const wokWork = {
  batchScore,
  batchScoreToPlan,
  stationTimes,
  roughStationTimes,
  whatIfScore,
  whatIfQuick,
  whatIfMap,
}
export type WokWork = typeof wokWork

exposeWork(wokWork)
