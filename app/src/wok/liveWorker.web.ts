import { workerOf } from '../device/inWorker'
import { newWorker } from '../device/newWorker'
import type { LiveWork } from './live.worker'

export const inLiveWorker = workerOf<LiveWork>(() => newWorker('live'))
