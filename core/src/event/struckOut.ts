import type { Stamped } from './eventOrder'

/** Something that can be taken back, or that takes another back. */
export type Undoable = Stamped & { kind: string; eventId?: string }

/**
 * What was taken back, by the event that took it back; an undoing can itself be undone. Nothing is erased: a struck-out
 * event is left out of the fold and still shown.
 * @param events in the order of the fold
 */
export function struckOut<T extends Undoable>(events: readonly T[]): Map<string, T> {
  const struck = new Map<string, T>()
  for (const event of [...events].reverse())
    if (event.kind === 'undone' && event.eventId !== undefined && !struck.has(event.id))
      struck.set(event.eventId, event)
  return struck
}

/** Events that stand, in the order of the fold, without the undoings. */
export function standing<T extends Undoable>(events: readonly T[]): T[] {
  const struck = struckOut(events)
  return events.filter((event) => event.kind !== 'undone' && !struck.has(event.id))
}
