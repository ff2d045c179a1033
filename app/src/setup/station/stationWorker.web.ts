import { workerOf } from '../../device/inWorker'
import { newWorker } from '../../device/newWorker'
import type { StationWork } from './station.worker'

export const inStationWorker = workerOf<StationWork>(() => newWorker('station'))
