import { latenessChange, type LatenessChange } from 'core/line/plan/lateness'
import type { LineWishes, Pin } from 'core/line/plan/wishes'
import { lineOf, type Line, type ShownBatch } from '../useLinePlan'

/** The line as it would be with other wishes, planned at once from the order at hand. */
export const lineWith = (line: Line, wishes: Partial<LineWishes>, nowMs: number): Line =>
  lineOf({
    ...line,
    runs: line.runs.map(({ run }) => run),
    wishes: { ...line.wishes, ...wishes },
    orderFor: () => line.basis.order,
    nowMs,
  })

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
  return latenessChange(line.tickets, line.ups, lineWith(line, { pins, tickets }, nowMs).ups)
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
