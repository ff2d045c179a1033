import type { useFire } from './useFire'
import type { Line, ShownBatch } from './useLinePlan'
import type { ShownTicket } from './useTickets'

/** What the phone and the wide view of the line are given. */
export type LineView = {
  line: Line
  batch: ShownBatch | null
  fire: ReturnType<typeof useFire>
  onBatch: (batch: ShownBatch) => void
  onTicket: (ticket: ShownTicket) => void
}
