import { COOLING_PLACES, STACKS, TRAY_MATERIALS } from 'core/rice/cooling/coolingPlace'
import { z } from 'zod'

/** Where trays cool and for how long; stages follow one another. */
export const CoolStage = z.strictObject({
  durationS: z.number().positive().max(172_800),
  place: z.enum(COOLING_PLACES),
  covered: z.boolean(),
  airTempC: z.number().min(-40).max(60).optional(),
  /** How the trays stand to each other, and what they are made of. */
  stack: z.enum(STACKS).optional(),
  material: z.enum(TRAY_MATERIALS).optional(),
})
