import type { KitchenInput, KitchenPlan } from 'core/mise/doing/planKitchen'
import { askWorker } from '../device/askWorker'

const ask = askWorker(() => new Worker(new URL('./mise.worker.ts', import.meta.url)))

/** Plans the kitchen off the interface thread. */
export const runMise = (asked: KitchenInput) => ask(asked) as Promise<KitchenPlan>
