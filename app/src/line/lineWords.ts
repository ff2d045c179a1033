import type { Allergen } from 'core/book/ingredient'
import { formatClock, formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { nextBoatsMs } from './nextForHands'
import type { Line, ShownBatch } from './useLinePlan'
import type { ShownTicket } from './useTickets'

const ON_TIME_S = 30
const HOUR_S = 3600

/** Sentences that the line's phone and wide views share. */
export function useLineWords(line: Line) {
  const t = useWords('line')
  const name = useWords('ui')
  /** Minutes and seconds; from an hour on hours and minutes. */
  const span = (seconds: number) =>
    seconds < HOUR_S
      ? formatClock(seconds)
      : t('hours', { h: Math.floor(seconds / HOUR_S), min: Math.floor((seconds % HOUR_S) / 60) })
  const dishName = (dishId: string) => line.dishes.find((one) => one.id === dishId)?.shortName ?? dishId
  return {
    allergens: (allergies: readonly Allergen[]) => allergies.map((one) => name(`allergens.${one}`)).join(', '),
    items: (ticket: ShownTicket) =>
      ticket.items.map((item) => t('dishPortions', { n: item.portions, dish: dishName(item.dishId) })).join(', '),
    modifiers: (ticket: ShownTicket) =>
      ticket.items
        .flatMap((item) =>
          item.modifiers.map(
            (id) =>
              line.dishes.find((one) => one.id === item.dishId)?.modifiers.find((one) => one.id === id)?.name ?? id,
          ),
        )
        .join(', '),
    lateness: (lateS: number) =>
      lateS > ON_TIME_S
        ? t('late', { time: span(lateS) })
        : lateS < -ON_TIME_S
          ? t('inHand', { time: span(-lateS) })
          : t('onTime'),
    tickets: (batch: ShownBatch) => [...new Set(batch.parts.map((part) => part.ticketNumber))].join(', '),
    /** When the next wave leaves; nothing where none comes. */
    nextBoat: (nowMs: number) => {
      const [leavesMs] = nextBoatsMs(line.kitchen, nowMs)
      return leavesMs === undefined ? '' : t('nextBoat', { time: formatTime(leavesMs, line.kitchen.timeZone) })
    },
    time: (ms: number) => formatTime(ms, line.kitchen.timeZone),
  }
}
