import { workerOf } from '../device/inWorker'
import type { MiseWork } from './mise.worker'

export const inMiseWorker = workerOf<MiseWork>(() => new Worker(new URL('./mise.worker.ts', import.meta.url)))
