import { inProcess } from '../../device/inProcess'
import { repairWork } from './repair.worker'

export const inRepairWorker = inProcess(repairWork)
