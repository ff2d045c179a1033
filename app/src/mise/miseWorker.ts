import { inProcess } from '../device/inProcess'
import { miseWork } from './mise.worker'

export const inMiseWorker = inProcess(miseWork)
