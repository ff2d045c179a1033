import { workerOf } from '../device/inWorker'
import { newWorker } from '../device/newWorker'
import type { WokWork } from './wok.worker'

export const inWokWorker = workerOf<WokWork>(() => newWorker('wok'))
