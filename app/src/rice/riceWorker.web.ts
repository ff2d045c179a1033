import { workerOf } from '../device/inWorker'
import type { RiceWork } from './rice.worker'

export const inRiceWorker = workerOf<RiceWork>(() => new Worker(new URL('./rice.worker.ts', import.meta.url)))
