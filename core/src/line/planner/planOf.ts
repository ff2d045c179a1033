import { cooksFor } from './cooks'
import { completeS, decode, forgetFrom, readyS, washesOf } from './decode'
import type { LineBatch, LineInstance, LineSchedule } from './instance'
import type { Loaded } from './load'
import {
  BACK,
  BACK_END,
  COUNT,
  DISH,
  dishBase,
  dishSame,
  HEAD,
  NEXT,
  ON,
  ORDER,
  pieceMost,
  S,
  setUpS,
  size,
  START,
  STATION,
  stationKind,
  ticketDue,
  ticketFirst,
  ticketIsTake,
  ticketPieces,
} from './memory'

/** A plan with what it costs: points of the objective, tickets that are late, pieces held beyond their longest. */
export type Planned = LineSchedule & {
  objective: number
  lateTickets: number
  holdBreaches: number
  evaluations: number
}
/** The plan at hand, as batches by their ids and seconds. */
export function planOf(
  instance: LineInstance,
  loaded: Loaded,
  gone: ReadonlySet<string>,
  evaluations: number,
): Planned {
  forgetFrom(0)
  const objective = decode(0, Infinity)
  const { late, breaches } = counted()
  const washes = washesOf(S[COUNT]!)
  decode(S[COUNT]!, Infinity)
  type Timed = Omit<LineBatch, 'cooks'> & { hands: { from: number; to: number }[] }
  const timed: Timed[] = loaded.frozen.map(({ batch, hands }) => ({
    station: batch.station,
    start: batch.start,
    wash: batch.wash,
    parts: batch.parts,
    hands: hands.filter(([from, to]) => to > from).map(([from, to]) => ({ from, to })),
  }))
  const lastDish = new Map<number, number>()
  for (const { batch } of [...loaded.frozen].sort((a, b) => a.batch.start - b.batch.start)) {
    const station = instance.stations.findIndex(({ id }) => id === batch.station)
    const piece = loaded.pieces.find(({ id }) => batch.parts.includes(id))
    if (piece) lastDish.set(station, instance.dishes.indexOf(piece.dish))
  }
  for (let position = 0; position < S[COUNT]!; position += 1) {
    const batch = S[ORDER + position]!
    const station = S[STATION + batch]!
    const setUp = setUpOf(instance, station, S[DISH + batch]!, washes[position]!, lastDish)
    lastDish.set(station, S[DISH + batch]!)
    const start = size.originS + START[batch]! * size.gridS
    const parts: string[] = []
    for (let piece = S[HEAD + batch]!; piece >= 0; piece = S[NEXT + piece]!) parts.push(loaded.pieces[piece]!.id)
    const on = start + S[ON + batch]! * size.gridS
    const back = { from: start + S[BACK + batch]! * size.gridS, to: start + S[BACK_END + batch]! * size.gridS }
    const hands = [{ from: start - setUp, to: on }, back].filter(({ from, to }) => to > from)
    timed.push({ station: instance.stations[station]!.id, start, wash: washes[position]!, parts: parts.sort(), hands })
  }
  timed.sort((a, b) => a.start - b.start || (a.station < b.station ? -1 : 1))
  const cooks = cooksFor(timed.flatMap(({ hands }) => hands))
  let next = 0
  const batches = timed.map(({ hands, ...batch }): LineBatch => ({ ...batch, cooks: hands.map(() => cooks[next++]!) }))
  const points = Math.round(objective * 1e6) / 1e6
  return {
    instance: instance.id,
    gone: [...gone].sort(),
    batches,
    objective: points,
    ...{ lateTickets: late, holdBreaches: breaches },
    evaluations,
  }
}

function setUpOf(
  instance: LineInstance,
  station: number,
  dish: number,
  isWashed: boolean,
  lastDish: ReadonlyMap<number, number>,
): number {
  const kind = stationKind[station]! * 3
  if (isWashed) return setUpS[kind + 2]!
  const last = lastDish.get(station)
  const fried = instance.stations[station]!.last
  if (last === undefined && (!fried || fried.dish === null)) return 0
  const before = last ?? instance.dishes.findIndex(({ id }) => id === fried?.dish)
  if (before < 0) return setUpS[kind + 1]!
  if (dishSame[before] === dishSame[dish]) return 0
  return setUpS[kind + (dishBase[before] === dishBase[dish] ? 0 : 1)]!
}

/** Tickets that are late, and pieces that wait longer than they hold, of the plan that was last placed to its end. */
function counted(): { late: number; breaches: number } {
  let late = 0
  let breaches = 0
  for (let ticket = 0; ticket < size.tickets; ticket += 1) {
    const first = ticketFirst[ticket]!
    if (ticketPieces[ticket] === 0) continue
    const complete = completeS(ticket)
    const due = ticketDue[ticket]!
    const out = ticketIsTake[ticket] === 1 ? Math.max(complete, due) : complete
    if (out > due) late += 1
    for (let piece = first; piece < first + ticketPieces[ticket]!; piece += 1)
      if (out - readyS(piece) > pieceMost[piece]!) breaches += 1
  }
  return { late, breaches }
}
