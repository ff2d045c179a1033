import {
  ARRIVED,
  AVOIDS,
  BACK,
  BACK_END,
  BATCH,
  CONTENTS,
  capAt,
  COUNT,
  DELAY,
  DISH,
  dishSplitS,
  HANDS_SLOTS,
  HEAD,
  MOST_DISHES,
  NEXT,
  ON,
  ORDER,
  PHASES,
  phaseAt,
  phaseCount,
  pieceArrived,
  pieceAvoids,
  pieceContents,
  pieceDish,
  pieceFamily,
  pieceFinish,
  pieceN,
  S,
  size,
  SPAN,
  STATION,
  stationKind,
  WASH,
} from './memory'

const NEAR = 1e-6
const { ceil } = Math
let log = new Int32Array(8192)
let logged = 0

/** Begins a change that may be taken back. */
export function beginChange(): void {
  logged = 0
}

/** Writes into the solution, so that it can be taken back. */
export function write(at: number, value: number): void {
  if (logged + 2 > log.length) {
    const longer = new Int32Array(log.length * 2)
    longer.set(log)
    log = longer
  }
  log[logged] = at
  log[logged + 1] = S[at]!
  logged += 2
  S[at] = value
}

/** How far the change has come, to go back to. */
export const changedSoFar = (): number => logged

/** Takes back everything written since `beginChange`, or since a point of it. */
export function takeBack(to = 0): void {
  while (logged > to) {
    logged -= 2
    S[log[logged]!] = log[logged + 1]!
  }
}

/** The most load of a dish at a station; 0 where it cannot be fried there. */
export const capOf = (station: number, dish: number): number => capAt[stationKind[station]! * MOST_DISHES + dish]!

/** Load of a batch, from its pieces. */
export function loadOf(batch: number): number {
  let load = 0
  for (let piece = S[HEAD + batch]!; piece >= 0; piece = S[NEXT + piece]!) load += pieceN[piece]!
  return load
}

/** Whether a piece may join a batch: of its family, within the cap, and nobody's allergen meets anybody. */
export function mayJoin(piece: number, batch: number): boolean {
  const head = S[HEAD + batch]!
  if (head < 0 || pieceFamily[head] !== pieceFamily[piece]) return false
  if (loadOf(batch) + pieceN[piece]! > capOf(S[STATION + batch]!, pieceDish[piece]!) + NEAR) return false
  return ((S[AVOIDS + batch]! | pieceAvoids[piece]!) & (S[CONTENTS + batch]! | pieceContents[piece]!)) === 0
}

const finishes = new Int32Array(64)

/** Works out what follows from a batch's pieces and its station: arrival, allergens, times. */
export function measureBatch(batch: number): void {
  const head = S[HEAD + batch]!
  let arrived = 0
  let contents = 0
  let avoids = 0
  let load = 0
  let ways = 0
  for (let piece = head; piece >= 0; piece = S[NEXT + piece]!) {
    load += pieceN[piece]!
    contents |= pieceContents[piece]!
    avoids |= pieceAvoids[piece]!
    if (pieceArrived[piece]! > arrived) arrived = pieceArrived[piece]!
    const finish = pieceFinish[piece]!
    let known = 0
    while (known < ways && finishes[known] !== finish) known += 1
    if (known === ways && ways < 64) finishes[ways++] = finish
  }
  const dish = pieceDish[head]!
  const splitSlots = ways > 1 ? ceil((dishSplitS[dish]! * (ways - 1)) / size.gridS - NEAR) : 0
  write(ARRIVED + batch, arrived)
  write(CONTENTS + batch, contents)
  write(AVOIDS + batch, avoids)
  write(DISH + batch, dish)
  writeTimes(batch, stationKind[S[STATION + batch]!]! * MOST_DISHES + dish, load, splitSlots)
}

function writeTimes(batch: number, kindDish: number, load: number, splitSlots: number): void {
  let at = 0
  let on = 0
  let back = 0
  let backEnd = 0
  const end = phaseCount[kindDish]!
  for (let phase = 0; phase <= end; phase += 1) {
    const from = (kindDish * PHASES + phase) * 3
    const isHands = phase === end || phaseAt[from]! > 0
    const slots =
      phase === end ? splitSlots : ceil((phaseAt[from + 1]! + phaseAt[from + 2]! * load) / size.gridS - NEAR)
    if (slots <= 0) continue
    if (isHands) {
      if (on === at && backEnd === 0) on = at + slots
      else {
        if (backEnd === 0) back = at
        backEnd = at + slots
      }
    }
    at += slots
  }
  const handsBefore = S[ON + batch]! + S[BACK_END + batch]! - S[BACK + batch]!
  write(HANDS_SLOTS, S[HANDS_SLOTS]! - handsBefore + on + backEnd - back)
  write(ON + batch, on)
  write(BACK + batch, back)
  write(BACK_END + batch, backEnd)
  write(SPAN + batch, at)
}

/** Takes a piece out of its batch; a batch left empty leaves the order at `position`, its slot is kept for later. */
export function takeOut(piece: number, position: number): void {
  const batch = S[BATCH + piece]!
  if (S[HEAD + batch] === piece) write(HEAD + batch, S[NEXT + piece]!)
  else {
    let before = S[HEAD + batch]!
    while (S[NEXT + before] !== piece) before = S[NEXT + before]!
    write(NEXT + before, S[NEXT + piece]!)
  }
  if (S[HEAD + batch]! >= 0) return measureBatch(batch)
  write(HANDS_SLOTS, S[HANDS_SLOTS]! - (S[ON + batch]! + S[BACK_END + batch]! - S[BACK + batch]!))
  const last = S[COUNT]! - 1
  shift(position, last)
  write(COUNT, last)
}

/** Puts a piece into a batch. */
export function putIn(piece: number, batch: number): void {
  write(NEXT + piece, S[HEAD + batch]!)
  write(HEAD + batch, piece)
  write(BATCH + piece, batch)
  measureBatch(batch)
}

/** Moves what stands at a position of the order to another; what is between moves up. */
export function shift(from: number, to: number): void {
  const batch = S[ORDER + from]!
  if (from < to) for (let i = from; i < to; i += 1) write(ORDER + i, S[ORDER + i + 1]!)
  else for (let i = from; i > to; i -= 1) write(ORDER + i, S[ORDER + i - 1]!)
  write(ORDER + to, batch)
}

/** A new batch of one piece at a position of the order. */
export function newBatch(piece: number, station: number, position: number): number {
  const count = S[COUNT]!
  const batch = S[ORDER + count]!
  write(COUNT, count + 1)
  write(STATION + batch, station)
  write(HEAD + batch, -1)
  write(ON + batch, 0)
  write(BACK + batch, 0)
  write(BACK_END + batch, 0)
  write(WASH + batch, 0)
  write(DELAY + batch, 0)
  putIn(piece, batch)
  shift(count, position)
  return batch
}
