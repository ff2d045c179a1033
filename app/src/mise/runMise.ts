import type { KitchenInput, KitchenPlan } from 'core/mise/doing/planKitchen'
import { workMise } from './miseWork'

/** Plans the kitchen in process. */
export const runMise = (asked: KitchenInput): Promise<KitchenPlan> => Promise.resolve(workMise(asked))
