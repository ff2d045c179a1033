import { inProcess } from '../device/inProcess'
import { riceWork } from './rice.worker'

export const inRiceWorker = inProcess(riceWork)
