/**
 * A hybrid logical stamp: the device's time corrected to the server's [ms], and a counter that keeps the order of what
 * one device did within one millisecond or after its clock stepped back.
 */
export type Stamp = { atMs: number; counter: number }
/** Something that was said, with its id and its place in time. */
export type Stamped = Stamp & { id: string }

/** The one order in which every device folds events: time, then counter, then id. */
export function compareEvents(a: Stamped, b: Stamped): number {
  return a.atMs - b.atMs || a.counter - b.counter || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)
}

/** The stamp after `last`: never earlier, even where the clock went back. */
export function nextStamp(last: Stamp | null, nowMs: number): Stamp {
  if (!last || nowMs > last.atMs) return { atMs: nowMs, counter: 0 }
  return { atMs: last.atMs, counter: last.counter + 1 }
}

/** Events in the order of the fold, each id once. */
export function inOrder<T extends Stamped>(events: readonly T[]): T[] {
  const byId = new Map(events.map((event) => [event.id, event]))
  return [...byId.values()].sort(compareEvents)
}
