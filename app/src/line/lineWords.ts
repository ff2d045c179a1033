import type { Allergen } from 'core/book/ingredient'
import { formatClock, formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import type { Line, ShownBatch } from './useLinePlan'
import type { ShownTicket } from './useTickets'

const ON_TIME_S = 30

/** Sentences that the line's phone and wide views share. */
export function useLineWords(line: Line) {
  const t = useWords('line')
  const name = useWords('ui')
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
        ? t('late', { time: formatClock(lateS) })
        : lateS < -ON_TIME_S
          ? t('inHand', { time: formatClock(-lateS) })
          : t('onTime'),
    tickets: (batch: ShownBatch) => [...new Set(batch.parts.map((part) => part.ticketNumber))].join(', '),
    time: (ms: number) => formatTime(ms, line.kitchen.timeZone),
  }
}

/** When the ticket's last portion is up by plan and runs; null where a portion has no station. */
export function ticketUpMs(line: Line, ticket: ShownTicket): { upMs: number; stationId: string } | null {
  const ups = [
    ...line.batches
      .filter((batch) => batch.parts.some((part) => part.ticketId === ticket.id))
      .map(({ upMs, stationId }) => ({ upMs, stationId })),
    ...line.runs
      .filter(({ run }) => run.parts.some((part) => part.ticketId === ticket.id))
      .map(({ run, state }) => ({ upMs: state.upMs, stationId: run.stationId })),
  ]
  const last = ups.sort((a, b) => b.upMs - a.upMs)[0]
  return last ?? null
}
