import { inProcess } from '../device/inProcess'
import { wokWork } from './wok.worker'

export const inWokWorker = inProcess(wokWork)
