import { WASTE_REASONS, type MiseEvent as CoreMiseEvent } from 'core/mise/doing/miseEvent'
import { z } from 'zod'
import { EventId, InstantMs, Slug } from '../ids'
import { EquipmentId, ItemId } from './house'

/** A plan is that of one service of one day: 2026-11-26-evening. What belongs to no service is said of the day: `stock`. */
export const PlanId = z
  .string()
  .max(90)
  .regex(/^(\d{4}-\d{2}-\d{2}-[a-z0-9-]+|stock)$/, 'a day and a service, such as 2026-11-26-evening')
/** The id of a task: the plan's, then the item and step. */
export const TaskId = z.string().min(1).max(200)
const massG = z.number().min(0, 'a mass is not below 0: count again').max(1_000_000, 'more than a tonne: give grams')
const base = {
  id: EventId,
  day: PlanId,
  deviceId: z.string().min(1).max(64),
  atMs: InstantMs,
  counter: z.int().min(0),
}
const span = { fromMs: InstantMs, toMs: InstantMs }

/** Something that was said of a day's mise. */
export const MiseEvent = z.discriminatedUnion('kind', [
  z.strictObject({ ...base, kind: z.literal('began'), taskId: TaskId, staffIds: z.array(Slug).max(20) }),
  z.strictObject({
    ...base,
    kind: z.literal('ended'),
    taskId: TaskId,
    massG: massG.nullable(),
    gave: z.strictObject({ itemId: ItemId, massG, useByMs: InstantMs, placeId: Slug.nullable() }).nullable(),
    took: z.array(z.strictObject({ itemId: ItemId, massG })).max(80),
  }),
  z.strictObject({ ...base, kind: z.literal('handed'), taskId: TaskId, staffId: Slug.nullable() }),
  z.strictObject({ ...base, kind: z.literal('split'), taskId: TaskId }),
  z.strictObject({ ...base, kind: z.literal('slow'), taskId: TaskId, moreS: z.int().min(60).max(86_400) }),
  z.strictObject({ ...base, ...span, kind: z.literal('away'), staffId: Slug }),
  z.strictObject({
    ...base,
    ...span,
    kind: z.literal('down'),
    equipmentId: EquipmentId,
    count: z.int().min(1).max(50),
  }),
  z.strictObject({
    ...base,
    kind: z.literal('delivered'),
    itemId: ItemId,
    orderedG: massG.nullable(),
    massG,
    useByMs: InstantMs.nullable(),
  }),
  z.strictObject({ ...base, kind: z.literal('dropped'), dishId: Slug }),
  z.strictObject({ ...base, kind: z.literal('checked'), checkId: z.string().min(1).max(90) }),
  z.strictObject({
    ...base,
    kind: z.literal('counted'),
    itemId: ItemId,
    placeId: Slug.nullable(),
    massG,
    expectedG: massG.nullable(),
  }),
  z.strictObject({ ...base, kind: z.literal('settled'), itemId: ItemId, keptId: EventId, otherId: EventId }),
  z.strictObject({
    ...base,
    kind: z.literal('wasted'),
    itemId: ItemId,
    lotId: z.string().max(64).nullable(),
    massG,
    reason: z.enum(WASTE_REASONS),
  }),
  z.strictObject({ ...base, kind: z.literal('undone'), eventId: EventId }),
]) satisfies z.ZodType<CoreMiseEvent>
export type MiseEvent = z.infer<typeof MiseEvent>
/** What a device sends at once; sending it twice changes nothing. */
export const MiseEvents = z.strictObject({ events: z.array(MiseEvent).min(1).max(500) })
