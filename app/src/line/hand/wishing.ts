import { latenessChange, type LatenessChange } from 'core/line/plan/lateness'
import { orderOf, wantedOf, type LineOrder } from 'core/line/plan/order'
import { searchedPlan } from 'core/line/plan/search'
import type { LineWishes, Pin } from 'core/line/plan/wishes'
import { lineOf, type Line, type ShownBatch } from '../useLinePlan'

/** Plans tried for a wish: a price is asked while a finger waits. */
const TRIED = 400

/** The line as it would be with other wishes, or more tickets: an order with what is new in it where it costs least. */
export const lineWith = (
  line: Line,
  wishes: Partial<LineWishes>,
  nowMs: number,
  order: LineOrder = line.basis.order,
): Line =>
  lineOf({
    ...line,
    runs: line.runs.map(({ run }) => run),
    wishes: { ...line.wishes, ...wishes },
    orderFor: () => order,
    nowMs,
  })

/** The same after a short search: what was moved by hand does not fit the order that was there. */
function searchedLineWith(line: Line, wishes: Partial<LineWishes>, nowMs: number): Line {
  const { instance, pieces, order } = lineWith(line, wishes, nowMs).basis
  const { list } = searchedPlan(instance, wantedOf(order, pieces), { evaluations: TRIED })
  return lineWith(line, wishes, nowMs, orderOf(list, pieces))
}

/** The pin that a batch has, or one of its own that asks for nothing yet. */
export const pinOf = (batch: ShownBatch, newId: () => string): Pin =>
  batch.pin ?? {
    pinId: newId(),
    parts: batch.parts.map(({ itemId, portions }) => ({ itemId, portions })),
    stationId: null,
    notBeforeMs: null,
  }

/** What a pin costs all tickets, in seconds of lateness. */
export function pinPrice(
  line: Line,
  pin: Pin,
  nowMs: number,
  tickets: LineWishes['tickets'] = line.wishes.tickets,
): LatenessChange {
  const pins = [pin, ...line.wishes.pins.filter(({ pinId }) => pinId !== pin.pinId)]
  return latenessChange(line.tickets, line.ups, searchedLineWith(line, { pins, tickets }, nowMs).ups)
}

/** Batches that could be fried with this one: the same dish, cooked the same way, nobody's allergy. */
export const likeBatches = (line: Line, batch: ShownBatch): ShownBatch[] =>
  batch.allergies.length > 0
    ? []
    : line.batches.filter(
        (one) =>
          one.key !== batch.key &&
          one.dishId === batch.dishId &&
          one.allergies.length === 0 &&
          one.modifiers.join(' ') === batch.modifiers.join(' '),
      )
