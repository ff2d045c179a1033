import { workerOf } from '../device/inWorker'
import { newWorker } from '../device/newWorker'
import type { RiceWork } from './rice.worker'

export const inRiceWorker = workerOf<RiceWork>(() => newWorker('rice'))
