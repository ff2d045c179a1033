import { workerOf } from '../device/inWorker'
import { newWorker } from '../device/newWorker'
import type { MiseWork } from './mise.worker'

export const inMiseWorker = workerOf<MiseWork>(() => newWorker('mise'))
