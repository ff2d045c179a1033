import { batchScore } from 'core/line/batchScore'
import { retimeRun } from 'core/line/retimeRun'
import { whatIfMap, whatIfQuick, whatIfScore } from 'core/line/whatIf'
import { roughStationTimes, stationTimes } from 'core/line/stationTimes'
import { exposeWork } from '../device/exposeWork'

/** A score takes some tens of milliseconds, the times of a dish at a station some more. */
export const wokWork = { batchScore, stationTimes, roughStationTimes, retimeRun, whatIfScore, whatIfQuick, whatIfMap }
export type WokWork = typeof wokWork

exposeWork(wokWork)
