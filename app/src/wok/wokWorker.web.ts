import { workerOf } from '../device/inWorker'
import type { WokWork } from './wok.worker'

export const inWokWorker = workerOf<WokWork>(() => new Worker(new URL('./wok.worker.ts', import.meta.url)))
