import { keepFirst, newState, occupy, ticketPoints, waitPoints } from './decode'
import { frozenTimes, type FrozenTimes } from './frozen'
import { horizonS } from './horizon'
import { sameDish, type LineInstance, type LineStation } from './instance'
import {
  BATCH,
  capAt,
  COUNT,
  HANDS_SLOTS,
  dishBase,
  dishSame,
  UNKNOWN_DISH,
  dishSplitS,
  downAt,
  downCount,
  HEAD,
  MOST_DISHES,
  MOST_DOWN,
  NEXT,
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
  pieceFree,
  pieceMost,
  pieceN,
  pieceTicket,
  pieceTold,
  S,
  setUpS,
  setUpSlots,
  size,
  stationKind,
  ticketAt,
  ticketDue,
  ticketFirst,
  ticketIsTake,
  ticketLeast,
  ticketPieces,
  ticketWeight,
  toldCount,
  weights,
} from './memory'
import { bitsOf, numbers } from './names'
import type { Piece } from './pieces'

/** What the planner's numbers stand for: pieces and stations by their ids. */
export type Loaded = {
  pieces: readonly Piece[]
  stations: readonly LineStation[]
  /** Numbers of the pieces that are not frozen: what there is to plan. */
  free: number[]
  /** Stations that can fry each dish, by the dish's number. */
  stationsOf: number[][]
  /** Frozen batches with their times [s]. */
  frozen: FrozenTimes[]
}

const NEAR = 1e-6

/** Writes an instance into the planner's memory, with what is frozen placed already; `wantedS` is the latest start that a list asks for. */
export function load(instance: LineInstance, pieces: readonly Piece[], wantedS = 0): Loaded {
  const { grid, stations, dishes } = instance
  const frozen = instance.frozen.map((batch) => frozenTimes(instance, pieces, batch))
  const firstS = Math.min(
    instance.now,
    ...frozen.flatMap(({ hands, batch }) => [batch.start, ...hands.map(([a]) => a)]),
  )
  size.pieces = pieces.length
  size.stations = stations.length
  size.hands = instance.hands
  size.gridS = grid
  size.originS = Math.floor(firstS / grid) * grid
  size.nowSlot = slotFrom(instance.now)
  const { weights: w } = instance
  weights.set([
    w.late,
    w.late2,
    w.knee,
    w.flow,
    w.spread,
    w.hold,
    w.spoil,
    w.batch,
    w.wash,
    w.hands,
    w.grown,
    w.changed,
  ])
  const kinds = loadStations(instance)
  const names = numbers()
  dishBase[UNKNOWN_DISH] = -1
  dishSame[UNKNOWN_DISH] = -1
  const bits = bitsOf()
  dishes.forEach((dish, number) => {
    dishBase[number] = names(`base ${dish.base}`)
    dishSame[number] = names(`dish ${sameDish(dish)}`)
    dishSplitS[number] = dish.split
    for (const [kind, at] of kinds) {
      const on = dish.on[kind]
      const place = at * MOST_DISHES + number
      capAt[place] = on?.cap ?? 0
      phaseCount[place] = on?.phases.length ?? 0
      on?.phases.forEach(({ hands, a, b }, i) => phaseAt.set([hands ? 1 : 0, a, b], (place * PHASES + i) * 3))
    }
  })
  const dishNumber = new Map(dishes.map(({ id }, number) => [id, number]))
  const frozenIds = new Set(instance.frozen.flatMap(({ parts }) => parts))
  loadPieces(instance, pieces, (piece) => dishNumber.get(piece.dish.id)!, numbers(), bits)
  const slots = slotFrom(horizonS(instance, pieces, frozen, wantedS)) + 64
  startState(instance, pieces, frozen, slots, bits, dishNumber)
  const free = pieces.flatMap(({ id }, number) => (frozenIds.has(id) ? [] : [number]))
  for (let batch = 0; batch < pieces.length; batch += 1) S[ORDER + batch] = batch
  for (const region of [HEAD, NEXT, BATCH]) S.fill(-1, region, region + pieces.length)
  S[COUNT] = 0
  S[HANDS_SLOTS] = 0
  const stationsOf = dishes.map((_, number) =>
    stations.flatMap((__, station) => (capAt[stationKind[station]! * MOST_DISHES + number]! > 0 ? [station] : [])),
  )
  return { pieces, stations, free, stationsOf, frozen }
}

const slotFrom = (s: number) => Math.ceil((s - size.originS) / size.gridS - NEAR)
const slotUntil = (s: number) => Math.floor((s - size.originS) / size.gridS + NEAR)

/** Kinds of stations by number. */
function loadStations({ stations, setup, told }: LineInstance): Map<string, number> {
  const kind = new Map<string, number>()
  stations.forEach((station, number) => {
    if (!kind.has(station.kind)) kind.set(station.kind, kind.size)
    stationKind[number] = kind.get(station.kind)!
    const downs = station.down.slice(0, MOST_DOWN)
    downCount[number] = downs.length
    downs.forEach(([from, to], i) => downAt.set([slotUntil(from), slotFrom(to)], (number * MOST_DOWN + i) * 2))
    const own = told.find((one) => one.station === station.id)
    toldCount[number] = own ? own.parts.length : -1
  })
  for (const [name, number] of kind) {
    const { base, other, wash } = setup[name]!
    setUpS.set([base, other, wash], number * 3)
    setUpSlots.set(
      [base, other, wash].map((s) => Math.ceil(s / size.gridS - NEAR)),
      number * 3,
    )
  }
  return kind
}

function loadPieces(
  { stations, boxExtra, told, tickets, dishes }: LineInstance,
  pieces: readonly Piece[],
  dishOf: (piece: Piece) => number,
  number: (name: string) => number,
  bits: (names: readonly string[]) => number,
): void {
  const stationOf = new Map(told.flatMap(({ station, parts }) => parts.map((part) => [part, station] as const)))
  const ticketNumber = new Map(tickets.map(({ id }, i) => [id, i]))
  size.tickets = tickets.length
  ticketPieces.fill(0, 0, tickets.length)
  tickets.forEach((ticket, i) => {
    ticketAt[i] = ticket.at - size.originS
    ticketDue[i] = ticket.due - size.originS
    ticketWeight[i] = ticket.w
    ticketIsTake[i] = ticket.kind === 'take' ? 1 : 0
  })
  pieces.forEach((piece, i) => {
    const { item, dish, ticket } = piece
    const of = (merge: 'never' | 'late') => item.mods.filter((mod) => dish.mods[mod]?.merge === merge).sort()
    const t = ticketNumber.get(ticket.id)!
    if (ticketPieces[t] === 0) ticketFirst[t] = i
    ticketPieces[t] = ticketPieces[t]! + 1
    pieceTicket[i] = t
    pieceN[i] = piece.n
    pieceDish[i] = dishOf(piece)
    pieceFamily[i] = number(`family ${[dishes.indexOf(dish), ...of('never')].join(' ')}`)
    pieceFinish[i] = number(`finish ${of('late').join(' ')}`)
    pieceAvoids[i] = bits(item.avoid)
    pieceContents[i] = bits(piece.contents)
    pieceArrived[i] = slotFrom(ticket.at)
    const box = ticket.kind === 'take' ? boxExtra : 0
    pieceFree[i] = dish.free + box
    pieceMost[i] = dish.max + box
    const told = stationOf.get(piece.id)
    pieceTold[i] = told === undefined ? -1 : stations.findIndex(({ id }) => id === told)
  })
}

/** The state before anything is planned: stations, their residue, tickets, and what is frozen. */
function startState(
  instance: LineInstance,
  pieces: readonly Piece[],
  frozen: readonly FrozenTimes[],
  slots: number,
  bits: (names: readonly string[]) => number,
  dishNumber: ReadonlyMap<string, number>,
): void {
  const { state, at } = newState(slots)
  instance.stations.forEach(({ from, last }, station) => {
    state[at.end + station] = Math.max(slotFrom(from), size.nowSlot)
    state[at.last + station] = last && last.dish !== null ? (dishNumber.get(last.dish) ?? UNKNOWN_DISH) + 1 : 0
    state[at.residue + station] = last ? bits(last.residue) : 0
  })
  for (let ticket = 0; ticket < size.tickets; ticket += 1) {
    state[at.toCome + ticket] = ticketPieces[ticket]!
    state[at.firstReady + ticket] = 0x7fffffff
    state[at.lastReady + ticket] = -0x7fffffff
  }
  let points = 0
  for (const { batch, hands, end } of [...frozen].sort((a, b) => a.batch.start - b.batch.start)) {
    const station = instance.stations.findIndex(({ id }) => id === batch.station)
    const own = pieces.flatMap(({ id }, number) => (batch.parts.includes(id) ? [number] : []))
    for (const [from, to] of hands) {
      if (to > from) occupy(Math.max(0, slotUntil(from)), slotFrom(to))
      points += instance.weights.hands * (to - from)
    }
    points += instance.weights.batch + (batch.wash ? instance.weights.wash : 0)
    state[at.end + station] = Math.max(state[at.end + station]!, slotFrom(end))
    const contents = bits(own.flatMap((piece) => pieces[piece]!.contents))
    state[at.residue + station] = (batch.wash ? 0 : state[at.residue + station]!) | contents
    if (own[0] !== undefined) state[at.last + station] = pieceDish[own[0]]! + 1
    for (const piece of own) {
      const ticket = pieceTicket[piece]!
      const readyS = end - size.originS
      state[at.ready + piece] = readyS
      state[at.lastReady + ticket] = Math.max(state[at.lastReady + ticket]!, readyS)
      state[at.firstReady + ticket] = Math.min(state[at.firstReady + ticket]!, readyS)
      state[at.toCome + ticket] = state[at.toCome + ticket]! - 1
      if (state[at.toCome + ticket] === 0) points += ticketPoints(ticket)
    }
  }
  size.frozenPoints = points
  size.leastPoints = 0
  const frozenIds = new Set(instance.frozen.flatMap(({ parts }) => parts))
  for (let ticket = 0; ticket < size.tickets; ticket += 1) {
    if (ticketPieces[ticket] === 0 || state[at.toCome + ticket] === 0) continue
    ticketLeast[ticket] = leastOf(instance, pieces, ticket, frozenIds)
    size.leastPoints += ticketLeast[ticket]!
  }
  keepFirst()
}

/** What a ticket costs at least: as if each piece had a station and hands of its own, from now on. */
function leastOf(
  instance: LineInstance,
  pieces: readonly Piece[],
  ticket: number,
  frozenIds: ReadonlySet<string>,
): number {
  const first = ticketFirst[ticket]!
  const own = pieces.slice(first, first + ticketPieces[ticket]!)
  const fromS = Math.max(instance.now, own[0]!.ticket.at)
  const spanS = ({ dish, n }: Piece) =>
    Math.min(...Object.values(dish.on).map(({ phases }) => phases.reduce((sum, { a, b }) => sum + a + b * n, 0)))
  const toCome = own.filter(({ id }) => !frozenIds.has(id))
  const completeS = fromS + Math.max(...toCome.map(spanS)) - size.originS
  return waitPoints(ticket, completeS)
}
