import { calibrate, expectedReadings } from 'core/wok/heat/calibrate'
import { stationFigures } from 'core/wok/heat/stationFigures'
import { exposeWork } from '../../device/exposeWork'

export const stationWork = { stationFigures, calibrate, expectedReadings }
export type StationWork = typeof stationWork

exposeWork(stationWork)
