import { workerOf } from '../../device/inWorker'
import { newWorker } from '../../device/newWorker'
import type { RepairWork } from './repair.worker'

export const inRepairWorker = workerOf<RepairWork>(() => newWorker('repair'))
