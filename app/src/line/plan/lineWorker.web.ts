import { workerOf } from '../../device/inWorker'
import type { LineWork } from './line.worker'

export const inLineWorker = workerOf<LineWork>(() => new Worker(new URL('./line.worker.ts', import.meta.url)))
