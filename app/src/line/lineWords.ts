import type { Allergen } from 'core/book/ingredient'
import { formatClock, formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { nextBoatsMs } from './nextForHands'
import type { Line, ShownBatch } from './useLinePlan'
import type { ShownTicket } from './useTickets'

const ON_TIME_S = 30
const HOUR_S = 3600

/** When a station starts that does so later; null once it cooks, and for one that is down. */
export function laterUntil({ wishes, atMs }: Pick<Line, 'wishes' | 'atMs'>, stationId: string): number | null {
  const backAtMs = wishes.laterStations.get(stationId) ?? null
  return backAtMs !== null && backAtMs > atMs ? backAtMs : null
}

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
  const stationState = (stationId: string, isShort = false) => {
    if (line.wishes.downStations.includes(stationId)) return t('stationDown')
    const backAtMs = laterUntil(line, stationId)
    if (backAtMs === null) return ''
    const time = formatTime(backAtMs, line.kitchen.timeZone)
    return isShort ? time : t('stationFrom', { time })
  }
  return {
    /** Down, or from when; empty while it cooks. */
    stationState,
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
