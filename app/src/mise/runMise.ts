import type { KitchenAsked, KitchenPlan } from 'core/mise/doing/planKitchen'
import { workMise } from './miseWork'

/** Plans the kitchen in process. */
export const runMise = (asked: KitchenAsked): Promise<KitchenPlan> => Promise.resolve(workMise(asked))
