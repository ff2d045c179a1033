import { z } from 'zod'
import { ItemId, Step } from './house'

/** How an item of the book is made: by the kitchen's own card, or as its kind usually is. */
export const CardRow = z.strictObject({
  itemId: ItemId,
  name: z.string(),
  form: z.string(),
  steps: z.array(Step),
  keepH: z.number().nullable(),
  isOwn: z.boolean(),
})
export type CardRow = z.infer<typeof CardRow>
export const CardList = z.strictObject({ cards: z.array(CardRow) })
