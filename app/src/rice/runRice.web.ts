import { askWorker } from '../device/askWorker'
import type { RiceWork, RiceWorked } from './riceWork'

const ask = askWorker(() => new Worker(new URL('./rice.worker.ts', import.meta.url)))

/** Works rice out off the interface thread. */
export const runRice = <K extends RiceWork['kind']>(work: Extract<RiceWork, { kind: K }>) =>
  ask(work) as Promise<RiceWorked[K]>
