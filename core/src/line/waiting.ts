import type { Allergen } from '../book/ingredient'
import type { WaitingItem } from './batches'

/** A ticket that is not done, with what of its lines is fired. */
export type OpenTicket = {
  id: string
  /** Null while the kitchen has not numbered it. */
  number: number | null
  placedAtMs: number
  promisedAtMs: number
  isCancelled: boolean
  items: readonly {
    id: string
    dishId: string
    portions: number
    firedPortions: number
    modifiers: readonly string[]
    allergies: readonly Allergen[]
  }[]
}

/** What of the open tickets nobody has fired yet. */
export function waitingItems(tickets: readonly OpenTicket[]): WaitingItem[] {
  return tickets
    .filter((ticket) => !ticket.isCancelled)
    .flatMap((ticket) =>
      ticket.items.map((item) => ({
        itemId: item.id,
        ticketId: ticket.id,
        ticketNumber: ticket.number ?? 0,
        dishId: item.dishId,
        portions: item.portions - item.firedPortions,
        modifiers: item.modifiers,
        allergies: item.allergies,
        placedAtMs: ticket.placedAtMs,
        promisedAtMs: ticket.promisedAtMs,
      })),
    )
    .filter((item) => item.portions > 0)
}
