import { repairOf } from 'core/book/balance/repair'
import { exposeWork } from '../../device/exposeWork'

/** A large dish far off its bands takes a quarter of a second. */
export const repairWork = { repairOf }
export type RepairWork = typeof repairWork

exposeWork(repairWork)
