import { PIN_SECONDS, PIN_SLOTS } from 'core/book/pins'
import { z } from 'zod'

const id = z.string().min(1).max(100)
/** A component that is held before or after another, in a place against the rice and the flame, in or out of the vessel, or for a time. */
export const Pin = z.union([
  z.strictObject({ component: id, before: id }),
  z.strictObject({ component: id, after: id }),
  z.strictObject({ component: id, slot: z.enum(PIN_SLOTS) }),
  z.strictObject({ component: id, leaves: z.boolean() }),
  z.strictObject({ component: id, forS: z.int().min(PIN_SECONDS.least).max(PIN_SECONDS.most) }),
])
