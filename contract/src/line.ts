import { EMPHASES, MOST_PAIRS, type SaidWish as CoreWish } from 'core/line/plan/wishes'
import { ORDER_WHYS } from 'core/line/plan/whyChanged'
import { z } from 'zod'
import { EventId, InstantMs, ItemId, Slug, TicketId } from './ids'

const part = z.strictObject({ itemId: ItemId, portions: z.int().min(1).max(200) })
const parts = z.array(part).min(1).max(60)
const Emphasis = z.enum(EMPHASES)
const said = {
  id: EventId,
  deviceId: z.string().min(1).max(64),
  staffId: Slug.nullable(),
  atMs: InstantMs,
  counter: z.int().min(0),
}

/** What somebody decided of the line; of several words about one thing the last holds. */
export const LineWish = z.discriminatedUnion('kind', [
  z.strictObject({ ...said, kind: z.literal('hands'), pairs: z.int().min(1).max(MOST_PAIRS) }),
  z.strictObject({ ...said, kind: z.literal('weights'), lateness: Emphasis, holds: Emphasis, hands: Emphasis }),
  z.strictObject({ ...said, kind: z.literal('dish'), dishId: Slug, isGone: z.boolean() }),
  z.strictObject({ ...said, kind: z.literal('component'), matterId: Slug, isGone: z.boolean() }),
  z.strictObject({
    ...said,
    kind: z.literal('station'),
    stationId: Slug,
    isDown: z.boolean(),
    backAtMs: InstantMs.nullish(),
  }),
  z.strictObject({
    ...said,
    kind: z.literal('ticket'),
    ticketId: TicketId,
    weight: z.int().min(1).max(3),
    notBeforeMs: InstantMs.nullable(),
  }),
  z.strictObject({
    ...said,
    kind: z.literal('pin'),
    pinId: z.uuid(),
    parts,
    stationId: Slug.nullable(),
    notBeforeMs: InstantMs.nullable(),
    isOff: z.boolean(),
  }),
]) satisfies z.ZodType<CoreWish>
export type LineWish = z.infer<typeof LineWish>
/** What a device says of the line at once; sending it twice changes nothing. */
export const LineWishList = z.strictObject({ wishes: z.array(LineWish).min(1).max(50) })

const OrderedBatch = z.strictObject({ stationId: Slug, parts, notBeforeMs: InstantMs.nullable() })
const OrderWhy = z.strictObject({ kind: z.enum(ORDER_WHYS), names: z.array(z.string().max(80)).max(40) })

/** What the cooks are told: batches in their order. A device sends it with the number of the order that it knew. */
export const PutOrder = z.strictObject({
  /** 0 where there was none. */
  basedOn: z.int().min(0),
  /** The facts that it was planned from, as a short text. */
  key: z.string().regex(/^[0-9a-f]{16}$/),
  batches: z.array(OrderedBatch).max(600),
  why: z.array(OrderWhy).max(10),
  deviceId: z.string().min(1).max(64),
})
export type PutOrder = z.infer<typeof PutOrder>

/** The order that the cooks were told last, and why it is another one than before. */
export const ToldOrder = PutOrder.omit({ basedOn: true, deviceId: true }).extend({
  no: z.int().positive(),
  madeAtMs: InstantMs,
})
export type ToldOrder = z.infer<typeof ToldOrder>

/** What was decided of the line, the last word on each thing, and what the cooks were told. */
export const LineState = z.strictObject({ wishes: z.array(LineWish), order: ToldOrder.nullable() })
export type LineState = z.infer<typeof LineState>
