import type { Ticket } from 'contract/ticket'
import { Problem } from '../http/problems'
import type { TicketWithIds } from './ticketIds'

/**
 * A ticket sent again is the one that was placed, or else another that took its id by mistake.
 * @throws {Problem} id-taken, with every difference as a fault
 */
export function checkSameTicket(placed: Ticket, sent: TicketWithIds): void {
  const faults = differences(placed, sent)
  const [first] = faults
  if (!first) return
  throw new Problem('id-taken', {
    detail: `ticket ${placed.number} has this id: ${first.field} ${first.message}. Make a new id (UUIDv7) for another ticket`,
    faults,
    values: { ticket: placed.number },
  })
}

function differences(placed: Ticket, sent: TicketWithIds): { field: string; message: string }[] {
  const faults: { field: string; message: string }[] = []
  const compare = (field: string, was: unknown, is: unknown) => {
    const [before, now] = [JSON.stringify(was), JSON.stringify(is)]
    if (before !== now) faults.push({ field, message: `is ${now}, was ${before}` })
  }
  compare('promisedAtMs', placed.promisedAtMs, sent.promisedAtMs)
  compare('kind', placed.kind, sent.kind)
  compare('place', placed.place, sent.place)
  compare('items', placed.items.length, sent.items.length)
  for (const [index, item] of sent.items.entries()) {
    const known = placed.items[index]
    if (!known) continue
    compare(`items.${index}.dishId`, known.dishId, item.dishId)
    compare(`items.${index}.portions`, known.portions, item.portions)
    compare(`items.${index}.modifiers`, known.modifiers.toSorted(), item.modifiers.toSorted())
    compare(`items.${index}.allergies`, known.allergies.toSorted(), item.allergies.toSorted())
  }
  return faults
}
