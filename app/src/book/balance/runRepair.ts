import type { DishRepair } from 'core/book/balance/repair'
import { workRepair, type RepairWork } from './repairWork'

/** Off the web there is no worker of this form: the work is done in process. */
export const runRepair = (work: RepairWork): Promise<DishRepair | null> => Promise.resolve(workRepair(work))
