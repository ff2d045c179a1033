import { planKitchen } from 'core/mise/doing/planKitchen'
import { exposeWork } from '../device/exposeWork'

export const miseWork = { planKitchen }
export type MiseWork = typeof miseWork

exposeWork(miseWork)
