import { inProcess } from '../device/inProcess'
import { liveWork } from './live.worker'

export const inLiveWorker = inProcess(liveWork)
