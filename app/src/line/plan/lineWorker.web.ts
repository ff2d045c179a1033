import { workerOf } from '../../device/inWorker'
import { newWorker } from '../../device/newWorker'
import type { LineWork } from './line.worker'

export const inLineWorker = workerOf<LineWork>(() => newWorker('line'))
