import { beginChange, shift, takeBack, write } from './batch'
import { decode, forgetFrom, readyS } from './decode'
import { COUNT, DELAY, HEAD, NEXT, ORDER, pieceN, S, size, SPAN } from './memory'
import { delayFor } from './waits'

const NEAR = 1e-9
const ROUNDS = 3
const WAYS = 3

/**
 * Waits where waiting pays: each batch, from the last to the first, so late that it is up with its ticket or still holds freely.
 * @returns the points afterwards
 */
export function polishDelays(before: number): number {
  let points = before
  for (let round = 0; round < ROUNDS; round += 1) {
    const atFirst = points
    for (let position = S[COUNT]! - 1; position >= 0; position -= 1) points = bestDelay(position, points)
    if (points > atFirst - NEAR) break
  }
  return points
}

function bestDelay(position: number, before: number): number {
  const batch = S[ORDER + position]!
  const tries = new Set([0])
  decode(S[COUNT]!, Infinity)
  for (let piece = S[HEAD + batch]!; piece >= 0; piece = S[NEXT + piece]!)
    for (let way = 0; way < WAYS; way += 1) {
      const delay = delayFor(batch, piece, way)
      tries.add(Math.max(0, delay)).add(Math.max(0, delay - 1))
    }
  let points = before
  for (const delay of tries) {
    if (delay === S[DELAY + batch]) continue
    beginChange()
    write(DELAY + batch, delay)
    const after = decode(position, points - NEAR)
    if (after === Infinity) takeBack()
    else {
      points = after
      forgetFrom(position)
    }
  }
  return points
}

/** Portions by the second at which they are ready, of the plan that was last placed to its end. */
function earliness(): number {
  let sum = 0
  for (let position = 0; position < S[COUNT]!; position += 1)
    for (let piece = S[HEAD + S[ORDER + position]!]!; piece >= 0; piece = S[NEXT + piece]!)
      sum += pieceN[piece]! * readyS(piece)
  return sum
}

/**
 * Of plans with the same points, the one that is up earlier: delays that nothing asks for are taken back, and batches moved
 * forward. Without it, a plan made online waits for what never comes.
 */
export function tidy(before: number): number {
  let points = before
  decode(S[COUNT]!, Infinity)
  let early = earliness()
  /** Keeps a change that costs nothing and is up earlier. */
  const tryIt = (position: number): boolean => {
    const after = decode(position, points + NEAR)
    const sum = after === Infinity ? Infinity : earliness()
    if (after === Infinity || (after > points - NEAR && sum >= early)) {
      takeBack()
      return false
    }
    points = Math.min(points, after)
    early = sum
    forgetFrom(position)
    return true
  }
  for (let position = 0; position < S[COUNT]!; position += 1) {
    const batch = S[ORDER + position]!
    if (S[DELAY + batch]! > 0) {
      decode(S[COUNT]!, Infinity)
      const start = Math.round(readyS(S[HEAD + batch]!) / size.gridS) - S[SPAN + batch]!
      for (const delay of [0, start - 64, start - 32, start - 16, start - 8, start - 4, start - 2, start - 1]) {
        if (delay < 0 || delay >= S[DELAY + batch]!) continue
        beginChange()
        write(DELAY + batch, delay)
        if (tryIt(position)) break
      }
    }
    for (let to = position; to > 0 && to > position - 4; to -= 1) {
      beginChange()
      shift(to, to - 1)
      if (!tryIt(to - 1)) break
    }
  }
  return points
}
