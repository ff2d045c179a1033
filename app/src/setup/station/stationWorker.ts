import { inProcess } from '../../device/inProcess'
import { stationWork } from './station.worker'

export const inStationWorker = inProcess(stationWork)
