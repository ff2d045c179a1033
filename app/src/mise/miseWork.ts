import { planKitchen, type KitchenInput, type KitchenPlan } from 'core/mise/doing/planKitchen'

/** The plan of the kitchen, wherever it is worked out: in the worker on the web, in process elsewhere. */
export const workMise = (asked: KitchenInput): KitchenPlan => planKitchen(asked)
