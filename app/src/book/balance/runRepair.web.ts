import type { DishRepair } from 'core/book/balance/repair'
import { askWorker } from '../../device/askWorker'
import type { RepairWork } from './repairWork'

const ask = askWorker(() => new Worker(new URL('./repair.worker.ts', import.meta.url)))

/** The smallest repair, off the interface thread: a large dish far off its bands takes a quarter of a second. */
export const runRepair = (work: RepairWork) => ask(work) as Promise<DishRepair | null>
