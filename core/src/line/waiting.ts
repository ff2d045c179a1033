import type { Dish } from '../book/dish'
import type { Allergen } from '../book/ingredient'
import { isLateModifier } from '../book/variation/vary'

/** A table eats when it is cooked; a takeaway leaves with its boat. */
export const TICKET_KINDS = ['dine', 'take'] as const
export type TicketKind = (typeof TICKET_KINDS)[number]

/** Portions of one ticket line that nobody has fired yet. */
export type WaitingItem = {
  itemId: string
  ticketId: string
  ticketNumber: number
  kind: TicketKind
  dishId: string
  portions: number
  modifiers: readonly string[]
  allergies: readonly Allergen[]
  placedAtMs: number
  promisedAtMs: number
}

/** Portions of one ticket line within a batch. */
export type BatchPart = Pick<WaitingItem, 'itemId' | 'ticketId' | 'ticketNumber' | 'portions' | 'modifiers'>

/** Portions that are cooked together, before they have a station. */
export type ProposedBatch = {
  dishId: string
  /** Modifiers that change the cooking, shared by all parts; late ones stand with their part. */
  modifiers: readonly string[]
  allergies: readonly Allergen[]
  parts: readonly BatchPart[]
  portions: number
  promisedAtMs: number
  placedAtMs: number
}

/** A ticket that is not done, with what of its lines is fired. */
export type OpenTicket = {
  id: string
  /** Null while the kitchen has not numbered it. */
  number: number | null
  kind: TicketKind
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
        kind: ticket.kind,
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

/** Modifiers that change how portions are cooked: they share a batch only with portions that have the same. */
export const cookingModifiers = (dish: Dish, modifiers: readonly string[]): string[] =>
  modifiers.filter((id) => !isLateModifier(dish, id)).sort()

/**
 * Portions of ticket lines as one batch; several portions of one line become one part.
 * @throws {RangeError} without a portion
 */
export function batchOf(dish: Dish, taken: readonly { item: WaitingItem; portions: number }[]): ProposedBatch {
  const first = taken[0]
  if (!first) throw new RangeError('a batch has at least one portion')
  const parts = new Map<string, BatchPart>()
  for (const { item, portions } of taken) {
    const { itemId, ticketId, ticketNumber, modifiers } = item
    parts.set(itemId, {
      itemId,
      ticketId,
      ticketNumber,
      portions: portions + (parts.get(itemId)?.portions ?? 0),
      modifiers,
    })
  }
  return {
    dishId: dish.id,
    modifiers: cookingModifiers(dish, first.item.modifiers),
    allergies: first.item.allergies,
    parts: [...parts.values()],
    portions: taken.reduce((sum, { portions }) => sum + portions, 0),
    promisedAtMs: Math.min(...taken.map(({ item }) => item.promisedAtMs)),
    placedAtMs: Math.min(...taken.map(({ item }) => item.placedAtMs)),
  }
}

/** A ticket as the line needs it: what is done of each of its lines besides what is fired. */
export type LineTicket = Omit<OpenTicket, 'items'> & {
  items: readonly (OpenTicket['items'][number] & { donePortions: number })[]
}

/** Takes out what was fired here and the kitchen does not know yet. */
export function withoutFired<T extends LineTicket>(
  tickets: readonly T[],
  runs: readonly { run: { parts: readonly { itemId: string; portions: number }[] } }[],
): LineTicket[] {
  return tickets.map((ticket) => ({
    ...ticket,
    items: ticket.items.map((item) => {
      const here = runs.flatMap(({ run }) => run.parts.filter((part) => part.itemId === item.id))
      const firedHere = here.reduce((sum, part) => sum + part.portions, 0)
      return { ...item, firedPortions: Math.max(item.firedPortions, item.donePortions + firedHere) }
    }),
  }))
}
