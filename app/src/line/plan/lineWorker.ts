import { inProcess } from '../../device/inProcess'
import { lineWork } from './line.worker'

export const inLineWorker = inProcess(lineWork)
