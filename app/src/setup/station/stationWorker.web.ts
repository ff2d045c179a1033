import { workerOf } from '../../device/inWorker'
import type { StationWork } from './station.worker'

export const inStationWorker = workerOf<StationWork>(() => new Worker(new URL('./station.worker.ts', import.meta.url)))
