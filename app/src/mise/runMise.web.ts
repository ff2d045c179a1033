import type { KitchenAsked, KitchenPlan } from 'core/mise/doing/planKitchen'
import { askWorker } from '../device/askWorker'

const ask = askWorker(() => new Worker(new URL('./mise.worker.ts', import.meta.url)))

/** Plans the kitchen off the interface thread. */
export const runMise = (asked: KitchenAsked) => ask(asked) as Promise<KitchenPlan>
