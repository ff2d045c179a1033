import { workerOf } from '../../device/inWorker'
import type { RepairWork } from './repair.worker'

export const inRepairWorker = workerOf<RepairWork>(() => new Worker(new URL('./repair.worker.ts', import.meta.url)))
