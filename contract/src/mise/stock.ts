import type { ItemStock as CoreItemStock, MiseLot as CoreMiseLot } from 'core/mise/stock/foldStock'
import { z } from 'zod'
import { InstantMs } from '../ids'
import { ItemId } from './house'

/** A lot of something made or delivered, with its use-by. */
export const MiseLot = z.strictObject({
  id: z.string(),
  itemId: ItemId,
  name: z.string(),
  atMs: InstantMs,
  massG: z.number(),
  leftG: z.number(),
  useByMs: InstantMs.nullable(),
  placeId: z.string().nullable(),
}) satisfies z.ZodType<CoreMiseLot>
export type MiseLot = z.infer<typeof MiseLot>

/** What somebody found at a place, and what was expected there. */
export const Count = z.strictObject({
  eventId: z.string(),
  deviceId: z.string(),
  atMs: InstantMs,
  massG: z.number(),
  expectedG: z.number().nullable(),
  placeId: z.string().nullable(),
})
export type Count = z.infer<typeof Count>
/** What should be there of an item. */
export const ItemStock = z.strictObject({
  itemId: ItemId,
  lots: z.array(MiseLot),
  looseG: z.number(),
  lastCount: Count.nullable(),
  otherCount: Count.nullable(),
  wastedG: z.number(),
}) satisfies z.ZodType<CoreItemStock>

/** One line of the walk: what it is called and where it stands, whether there is any or not. */
export const StockRow = ItemStock.extend({
  name: z.string(),
  /** 'mince 2 mm', empty where it is not cut. */
  form: z.string(),
  placeId: z.string().nullable(),
  /** What one pack of the supplier weighs, for counting by packs. */
  packG: z.number().nullable(),
  packName: z.string().nullable(),
  gPerML: z.number().nullable(),
})
export type StockRow = z.infer<typeof StockRow>
/** What should be there of everything, in walking order. */
export const MiseStock = z.strictObject({ rows: z.array(StockRow) })
export type MiseStock = z.infer<typeof MiseStock>
