/* oxlint-disable max-lines -- one placing of a plan, over one block of memory */
import {
  ARRIVED,
  AVOIDS,
  BACK,
  BACK_END,
  CONTENTS,
  COUNT,
  DELAY,
  DISH,
  dishBase,
  dishSame,
  downAt,
  downCount,
  HANDS_SLOTS,
  HEAD,
  MOST_DOWN,
  NEXT,
  ON,
  ORDER,
  pieceFree,
  pieceMost,
  pieceN,
  pieceTicket,
  pieceTold,
  S,
  setUpS,
  setUpSlots,
  size,
  SPAN,
  START,
  STATION,
  stationKind,
  ticketAt,
  ticketDue,
  ticketFirst,
  ticketIsTake,
  ticketLeast,
  ticketPieces,
  ticketWeight,
  toldCount,
  W_BATCH,
  W_CHANGED,
  W_FLOW,
  W_GROWN,
  W_HANDS,
  W_HOLD,
  W_KNEE,
  W_LATE,
  W_LATE2,
  W_SPOIL,
  W_SPREAD,
  W_WASH,
  WASH,
  weights,
} from './memory'

/**
 * The state of a plan after its first batches, as one block: how many words of hands are in use; each station's end, last dish
 * (1 more than its number, 0 for clean), residue, and whether its first batch was seen; each ticket's pieces to come, last and
 * first piece ready [s]; each piece's second; then the hands in use, a bit a slot, a word a level.
 */
let M = new Int32Array(1)
const WORDS = 0
/** The points of a plan that is dearer than was asked for. Globals of their own cost time where tests run. */
export const NEVER = Infinity
const { clz32 } = Math
/** Where each part of the block begins. */
export type Places = {
  end: number
  last: number
  residue: number
  toCome: number
  lastReady: number
  firstReady: number
  ready: number
}
const END = 1
let LAST = 0
let RESIDUE = 0
let SEEN = 0
let TO_COME = 0
let LAST_READY = 0
let FIRST_READY = 0
let READY = 0
let HANDS = 0
let blockLength = 1
let words = 0
/** A state is kept before each position that is a multiple of 2 to this power. */
const KEPT_BITS = 2
const KEPT_MASK = (1 << KEPT_BITS) - 1
/** States kept are right up to this position; -1 where not even the first is. */
let keptUpTo = -1
let keptPoints = new Float64Array(1)

let placed = 0
/** How many plans were placed since the program began. */
export const placedSoFar = (): number => placed

/** The first state, to be filled in by the one who loads an instance. */
export function newState(slots: number): { state: Int32Array; at: Places } {
  words = Math.ceil(slots / 32) + 1
  LAST = END + size.stations
  RESIDUE = LAST + size.stations
  SEEN = RESIDUE + size.stations
  TO_COME = SEEN + size.stations
  LAST_READY = TO_COME + size.tickets
  FIRST_READY = LAST_READY + size.tickets
  READY = FIRST_READY + size.tickets
  HANDS = READY + size.pieces
  blockLength = HANDS + words * size.hands
  const kept = (size.pieces >> KEPT_BITS) + 2
  const wanted = blockLength * (kept + 1)
  if (M.length < wanted) M = new Int32Array(wanted)
  if (keptPoints.length < kept) keptPoints = new Float64Array(kept)
  M.fill(0, 0, blockLength)
  return {
    state: M,
    at: {
      end: END,
      last: LAST,
      residue: RESIDUE,
      toCome: TO_COME,
      lastReady: LAST_READY,
      firstReady: FIRST_READY,
      ready: READY,
    },
  }
}

/** Keeps the state at hand as the first one. */
export function keepFirst(): void {
  keptPoints[0] = size.frozenPoints
  M.copyWithin(blockLength, 0, blockLength)
  keptUpTo = 0
}

/** From a position on, what was kept is of another order. */
export function forgetFrom(position: number): void {
  const still = position & ~KEPT_MASK
  if (keptUpTo > still) keptUpTo = still
}

const usedLength = (block: number): number => HANDS + M[block + WORDS]! * size.hands

function restore(slot: number): void {
  const from = (slot + 1) * blockLength
  const before = usedLength(0)
  const length = usedLength(from)
  M.copyWithin(0, from, from + length)
  if (before > length) M.fill(0, length, before)
}

/** Marks hands as busy from a slot to another. */
export function occupy(from: number, to: number): void {
  const hands = size.hands
  const last = (to - 1) >> 5
  for (let word = from >> 5; word <= last; word += 1) {
    let bits = -1
    if (word === from >> 5) bits &= -1 << (from & 31)
    if (word === last) bits &= -1 >>> (31 - ((to - 1) & 31))
    const base = HANDS + word * hands
    for (let level = 0; level < hands && bits !== 0; level += 1) {
      const over = M[base + level]! & bits
      M[base + level]! |= bits
      bits = over
    }
  }
  if (last >= M[WORDS]!) M[WORDS] = last + 1
}

/** The slot after the last one between two at which no pair of hands is free; 0 where there is none. */
function fullUntil(from: number, to: number): number {
  const hands = size.hands
  const first = from >> 5
  let word = (to - 1) >> 5
  let mask = -1 >>> (31 - ((to - 1) & 31))
  for (; word >= first; word -= 1) {
    let bits = M[HANDS + word * hands + hands - 1]! & mask
    if (word === first) bits &= -1 << (from & 31)
    if (bits !== 0) return (word << 5) + 32 - clz32(bits)
    mask = -1
  }
  return 0
}

/** The first slot, from one on, at which a batch may start: the station is there, and hands are free whenever it takes them. */
function firstFree(from: number, station: number, setUp: number, batch: number): number {
  const on = S[ON + batch]!
  const back = S[BACK + batch]!
  const backEnd = S[BACK_END + batch]!
  const span = S[SPAN + batch]!
  const limit = words * 32
  const downs = downCount[station]!
  let start = from
  for (;;) {
    let isDown = false
    for (let i = 0; i < downs; i += 1) {
      const down = (station * MOST_DOWN + i) * 2
      if (start - setUp < downAt[down + 1]! && start + span > downAt[down]!) {
        start = downAt[down + 1]! + setUp
        isDown = true
      }
    }
    if (start + span > limit) return -1
    if (isDown) continue
    if (setUp + on > 0) {
      const full = fullUntil(start - setUp, start + on)
      if (full > 0) {
        start = full + setUp
        continue
      }
    }
    if (backEnd > back) {
      const full = fullUntil(start + back, start + backEnd)
      if (full > 0) {
        start = full - back
        continue
      }
    }
    return start
  }
}

/** Points of a ticket for its time and its lateness, if it is complete at a second. */
export function waitPoints(ticket: number, completeS: number): number {
  const due = ticketDue[ticket]!
  const out = ticketIsTake[ticket] === 1 && due > completeS ? due : completeS
  const late = out - due
  let points = weights[W_FLOW]! * (out - ticketAt[ticket]!)
  if (late > 0) {
    points += weights[W_LATE]! * late
    if (late > weights[W_KNEE]!) points += weights[W_LATE2]! * (late - weights[W_KNEE]!)
  }
  return points * ticketWeight[ticket]!
}

/** Points of a ticket all of whose pieces are ready: lateness, waiting, and what it holds. */
export function ticketPoints(ticket: number): number {
  const lastReady = M[LAST_READY + ticket]!
  const due = ticketDue[ticket]!
  const out = ticketIsTake[ticket] === 1 && due > lastReady ? due : lastReady
  let points =
    waitPoints(ticket, lastReady) + ticketWeight[ticket]! * weights[W_SPREAD]! * (lastReady - M[FIRST_READY + ticket]!)
  const end = ticketFirst[ticket]! + ticketPieces[ticket]!
  for (let piece = ticketFirst[ticket]!; piece < end; piece += 1) {
    const held = out - M[READY + piece]!
    if (held > pieceFree[piece]!) {
      points += pieceN[piece]! * weights[W_HOLD]! * (held - pieceFree[piece]!)
      if (held > pieceMost[piece]!) points += pieceN[piece]! * weights[W_SPOIL]! * (held - pieceMost[piece]!)
    }
  }
  return points
}

/** Points for another next batch than the one that was told. */
function toldPoints(station: number, batch: number): number {
  const told = toldCount[station]!
  let of = 0
  let all = 0
  for (let piece = S[HEAD + batch]!; piece >= 0; piece = S[NEXT + piece]!) {
    all += 1
    if (pieceTold[piece] === station) of += 1
  }
  if (of < told) return weights[W_CHANGED]!
  return all > told ? weights[W_GROWN]! : 0
}

/**
 * Places the batches of the order, one after the other, each at the first slot that it can have: any order can be placed.
 * States before `first` are taken as they were kept.
 * @returns the points of the plan, or infinity as soon as they are beyond `bound`
 */
export function decode(first: number, bound: number): number {
  placed += 1
  const count = S[COUNT]!
  const stations = size.stations
  const gridS = size.gridS
  /** What any order of these batches costs: the bound is met as soon as the rest is beyond it. */
  const sure = size.leastPoints + weights[W_BATCH]! * count + weights[W_HANDS]! * S[HANDS_SLOTS]! * gridS
  const most = bound - sure
  const slot = (first < keptUpTo ? first : keptUpTo) >> KEPT_BITS
  restore(slot)
  let points = keptPoints[slot]!
  for (let position = slot << KEPT_BITS; position < count; position += 1) {
    if (position > keptUpTo && position <= first && (position & KEPT_MASK) === 0) {
      const to = ((position >> KEPT_BITS) + 1) * blockLength
      M.copyWithin(to, 0, usedLength(0))
      keptPoints[position >> KEPT_BITS] = points
      keptUpTo = position
    }
    const batch = S[ORDER + position]!
    const station = S[STATION + batch]!
    const dish = S[DISH + batch]!
    const kind = stationKind[station]! * 3
    let setUp = 0
    let setUpSeconds = 0
    const last = M[LAST + station]!
    if (S[WASH + batch] === 1 || (M[RESIDUE + station]! & S[AVOIDS + batch]!) !== 0) {
      setUp = setUpSlots[kind + 2]!
      setUpSeconds = setUpS[kind + 2]!
      points += weights[W_WASH]!
      M[RESIDUE + station] = S[CONTENTS + batch]!
    } else {
      if (last > 0 && dishSame[last - 1] !== dishSame[dish]) {
        const which = kind + (dishBase[last - 1] === dishBase[dish] ? 0 : 1)
        setUp = setUpSlots[which]!
        setUpSeconds = setUpS[which]!
      }
      M[RESIDUE + station]! |= S[CONTENTS + batch]!
    }
    let from = M[END + station]! + setUp
    if (S[ARRIVED + batch]! > from) from = S[ARRIVED + batch]!
    if (S[DELAY + batch]! > from) from = S[DELAY + batch]!
    const start = firstFree(from, station, setUp, batch)
    if (start < 0) return NEVER
    START[batch] = start
    const on = S[ON + batch]!
    const back = S[BACK + batch]!
    const backEnd = S[BACK_END + batch]!
    if (setUp + on > 0) occupy(start - setUp, start + on)
    if (backEnd > back) occupy(start + back, start + backEnd)
    const end = start + S[SPAN + batch]!
    M[END + station] = end
    M[LAST + station] = dish + 1
    points += weights[W_HANDS]! * setUpSeconds
    if (M[SEEN + station] === 0) {
      M[SEEN + station] = 1
      if (toldCount[station]! >= 0) points += toldPoints(station, batch)
    }
    const readyS = end * gridS
    for (let piece = S[HEAD + batch]!; piece >= 0; piece = S[NEXT + piece]!) {
      const ticket = pieceTicket[piece]!
      M[READY + piece] = readyS
      if (readyS > M[LAST_READY + ticket]!) M[LAST_READY + ticket] = readyS
      if (readyS < M[FIRST_READY + ticket]!) M[FIRST_READY + ticket] = readyS
      const toCome = M[TO_COME + ticket]! - 1
      M[TO_COME + ticket] = toCome
      if (toCome === 0) points += ticketPoints(ticket) - ticketLeast[ticket]!
    }
    if (points > most) return NEVER
  }
  for (let station = 0; station < stations; station += 1)
    if (M[SEEN + station] === 0 && toldCount[station]! >= 0) points += weights[W_CHANGED]!
  return points > most ? NEVER : points + sure
}

/** Of the plan that was last placed to its end: when a ticket is complete [s from the origin]. */
export const completeS = (ticket: number): number => M[LAST_READY + ticket]!
/** When a piece is ready [s from the origin]. */
export const readyS = (piece: number): number => M[READY + piece]!
/** Whether the batch's station had to be washed, in the plan that was last placed up to it. */
export function washesOf(count: number): boolean[] {
  restore(0)
  const residue = M.slice(RESIDUE, RESIDUE + size.stations)
  const washes: boolean[] = []
  for (let position = 0; position < count; position += 1) {
    const batch = S[ORDER + position]!
    const station = S[STATION + batch]!
    const isWashed = S[WASH + batch] === 1 || (residue[station]! & S[AVOIDS + batch]!) !== 0
    residue[station] = (isWashed ? 0 : residue[station]!) | S[CONTENTS + batch]!
    washes.push(isWashed)
  }
  return washes
}
