/** A batch with the portions of tickets that it fries. */
type Batch = { id: string; parts: readonly { ticketId: string; ticketNumber: number; portions: number }[] }
/** A batch at a station, and when it is up [ms since 1970]. */
type Frying = Batch & { stationId: string; upMs: number }
type Ticket = { id: string; items: readonly { portions: number; firedPortions: number }[] }

/** Where portions of a batch go: to a ticket that is whole with them, or to one that waits for the rest. */
export type Bowl = {
  ticketId: string
  ticketNumber: number
  /** In this batch, and of the ticket in all. */
  portions: number
  allPortions: number
  /** What other stations fry of it now, the last of it at `upMs`; null where nothing. */
  frying: { portions: number; stationId: string; upMs: number } | null
  /** What nobody has fired yet. */
  toFire: number
  /** Null where nobody here knows: its ticket stands behind those that were read. */
  isWhole: boolean | null
}

/**
 * Where the portions of a batch go when it is up, ticket by ticket. What is not up of a ticket is what others fry and what
 * nobody has fired, so that the answer is the same before the batch's last word has reached the kitchen and after.
 * @param tickets open ones
 * @param areAll whether these are all that are open: then a ticket that is not among them is whole
 * @param others batches at stations, this one left out
 */
export function bowlsOf(batch: Batch, tickets: readonly Ticket[], areAll: boolean, others: readonly Frying[]): Bowl[] {
  const numbers = new Map(batch.parts.map(({ ticketId, ticketNumber }) => [ticketId, ticketNumber]))
  return [...numbers].map(([ticketId, ticketNumber]) => {
    const portions = portionsFor(batch, ticketId)
    const ticket = tickets.find(({ id }) => id === ticketId)
    const items = ticket?.items ?? []
    const toFire = items.reduce((sum, item) => sum + Math.max(0, item.portions - item.firedPortions), 0)
    const elsewhere = others
      .filter(({ id }) => id !== batch.id)
      .map((one) => ({ portions: portionsFor(one, ticketId), stationId: one.stationId, upMs: one.upMs }))
      .filter((one) => one.portions > 0)
      .sort((a, b) => b.upMs - a.upMs)
    const [last] = elsewhere
    const frying = last ? { ...last, portions: elsewhere.reduce((sum, one) => sum + one.portions, 0) } : null
    const allPortions = Math.max(
      items.reduce((sum, item) => sum + item.portions, 0),
      portions + (frying?.portions ?? 0) + toFire,
    )
    const isWhole = frying !== null || toFire > 0 ? false : ticket || areAll ? true : null
    return { ticketId, ticketNumber, portions, allPortions, frying, toFire, isWhole }
  })
}

const portionsFor = ({ parts }: Batch, ticketId: string): number =>
  parts.filter((part) => part.ticketId === ticketId).reduce((sum, part) => sum + part.portions, 0)
