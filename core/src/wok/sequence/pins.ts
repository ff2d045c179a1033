import { ENTRY_S, forSeconds, type Move } from './moves'
import type { Pin } from '../../book/pins'

/** What became of a pin: kept, or refused with what stands against it. */
export type PinVerdict = { pin: Pin; isKept: boolean; because: readonly string[] }

/** What comes off the flame is tossed so long [s]. */
const FINISH_S = 10

const entryOf = (moves: readonly Move[], id: string): number =>
  moves.findIndex(({ kind, ids }) => (kind === 'in' || kind === 'plate') && ids.includes(id))
/** No way of cooking has a held time by itself: it is put into the way that is best without it. */
export const isTimed = (pin: Pin): boolean => 'forS' in pin

const indexOfSlot = (moves: readonly Move[], test: (move: Move) => boolean): number => moves.findIndex(test)

/** Whether a list of moves does what a pin says. */
export function keepsPin(moves: readonly Move[], pin: Pin): boolean {
  const at = entryOf(moves, pin.component)
  if (at < 0) return false
  if ('before' in pin) return at < entryOf(moves, pin.before)
  if ('after' in pin) return at > entryOf(moves, pin.after)
  if ('leaves' in pin) {
    const leaves = moves.some(({ kind, ids }) => (kind === 'out' || kind === 'aside') && ids.includes(pin.component))
    return leaves === pin.leaves
  }
  if ('forS' in pin) {
    const { until } = moves[at]!
    return until.kind === 'held' && until.seconds === pin.forS
  }
  const rice = indexOfSlot(moves, ({ slot }) => slot === 'rice')
  const off = indexOfSlot(moves, ({ kind }) => kind === 'off')
  switch (pin.slot) {
    case 'beforeRice':
      return at < rice
    case 'afterRice':
      return at > rice && at < off
    case 'afterOff':
      return at > off
  }
}

/** Longest that what went in with the rice is waited for by itself [s]. */
const WITH_RICE_MOST_S = 60

/** Whether a component goes in with the rice, or into it half way; the rice itself stands first in its move. */
const isWithRice = ({ slot, ids }: Move, id: string): boolean =>
  slot === 'halfTime' || (slot === 'rice' && ids[0] !== id)

/** A component's own part of a move: it is waited for by itself. */
function aloneOf(move: Move, id: string): Move {
  const { until } = move
  const mostS = 'mostS' in until ? until.mostS : WITH_RICE_MOST_S
  const isForItself = until.kind === 'progress' || until.kind === 'baseEnd' || isWithRice(move, id)
  return { ...move, ids: [id], until: isForItself ? { kind: 'progress', ids: [id], at: 1, mostS } : until }
}

/** Where a component stands that is moved while the flame is on: what went in with the rice has a place of its own now. */
function slotFor(move: Move, id: string, isAfterRice: boolean): Move['slot'] {
  if (isWithRice(move, id)) return isAfterRice ? 'afterRice' : 'base'
  return move.slot === 'finish' ? 'afterRice' : move.slot
}

/** The list with one component moved to where its pin wants it; null where the pin names what is not there. */
export function withPin(moves: readonly Move[], pin: Pin): Move[] | null {
  const from = entryOf(moves, pin.component)
  if (from < 0) return null
  const move = moves[from]!
  const own = aloneOf(move, pin.component)
  if ('leaves' in pin) return pin.leaves ? leaving(moves, own) : staying(moves, pin.component)
  if ('forS' in pin)
    return moves.map((one, index) => (index === from ? { ...one, until: { kind: 'held', seconds: pin.forS } } : one))
  const rest = moves.flatMap((one, index) => (index === from ? without(one, pin.component) : [one]))
  const at = targetIndex(rest, pin)
  if (at === null) return null
  const isAfterOff = rest.slice(0, at).some(({ kind }) => kind === 'off')
  const next = rest[at]
  const isAfterRice = rest.slice(0, at).some(({ slot }) => slot === 'rice')
  const placed: Move = {
    ...own,
    segment: isAfterOff ? 'end' : (rest[Math.min(at, rest.length - 1)]?.segment ?? own.segment),
    slot: isAfterOff ? 'finish' : slotFor(move, pin.component, isAfterRice),
    until: isAfterOff
      ? forSeconds(FINISH_S)
      : next?.kind === 'in' && next.slot === 'base'
        ? forSeconds(ENTRY_S)
        : own.until,
  }
  return [...rest.slice(0, at), placed, ...rest.slice(at)]
}

function targetIndex(moves: readonly Move[], pin: Exclude<Pin, { leaves: boolean } | { forS: number }>): number | null {
  if ('before' in pin || 'after' in pin) {
    const at = entryOf(moves, 'before' in pin ? pin.before : pin.after)
    return at < 0 ? null : 'before' in pin ? at : at + 1
  }
  const rice = indexOfSlot(moves, ({ slot }) => slot === 'rice')
  const off = indexOfSlot(moves, ({ kind }) => kind === 'off')
  return pin.slot === 'beforeRice' ? rice : pin.slot === 'afterRice' ? rice + 1 : off + 1
}

/** A move without one of its components; nothing where it had no other. */
function without(move: Move, id: string): Move[] {
  const ids = move.ids.filter((one) => one !== id)
  if (ids.length === 0) return []
  // The end of the base still waits for what went in earlier.
  const until =
    move.until.kind === 'progress' ? { ...move.until, ids: move.until.ids.filter((one) => one !== id) } : move.until
  return [{ ...move, ids, until }]
}

function leaving(moves: readonly Move[], own: Move): Move[] {
  const [id] = own.ids
  const from = entryOf(moves, id!)
  const out: Move = {
    kind: 'out',
    slot: 'own',
    ids: own.ids,
    segment: own.segment,
    until: { kind: 'seconds', seconds: 5 },
  }
  const back: Move = {
    ...out,
    kind: 'back',
    slot: 'back',
    segment: 'end',
    until: { kind: 'progress', ids: own.ids, at: 1, leastS: 3, mostS: 20 },
  }
  const off = moves.findIndex(({ slot }) => slot === 'hotCheck')
  return [
    ...moves.slice(0, from),
    own,
    out,
    ...moves.slice(from).flatMap((one, index) => {
      const kept = index === 0 ? without(one, id!) : [one]
      return from + index === off ? [back, ...kept] : kept
    }),
  ]
}

const staying = (moves: readonly Move[], id: string): Move[] =>
  moves.flatMap((one) => (one.kind === 'out' || one.kind === 'aside' || one.kind === 'back' ? without(one, id) : [one]))
