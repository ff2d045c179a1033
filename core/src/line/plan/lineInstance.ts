import { allergensOnList, dishVerdict, type AllergenList } from '../../book/allergens'
import type { Dish } from '../../book/dish'
import { isLateModifier } from '../../book/variation/vary'
import type { LineDish, LineInstance, LineItem, LinePhase, LineTicket } from '../planner/instance'
import { MOST_ALLERGENS } from '../planner/names'
import { metalBase, SET_UP_S, type Station } from '../station'
import { cleanedSinceUse, isWashed, type StationPast } from '../stationPast'
import type { StationTimes } from '../stationTimes'
import type { TicketKind, WaitingItem } from '../waiting'
import { holdOf } from './holds'
import type { LinePiece } from './pieces'
import { weightsOf, type LineWishes, type Pin } from './wishes'

/** Starts are multiples of it [s]. */
export const GRID_S = 5
/** Hands for each further way of finishing a batch [s]: a house figure. */
const SPLIT_S = 8
/** A box keeps so much longer [s]: a house figure. */
export const BOX_EXTRA_S = 180

/** A run at a station, as the plan sees it: what of whose lines it holds, since when and until when. */
export type RunInHand = {
  runId: string
  stationId: string
  dish: Dish | undefined
  parts: readonly { ticketId: string; portions: number }[]
  firedAtMs: number
  upMs: number
}
/** Of a ticket that has something at a station what the plan needs besides its lines. */
export type TicketHead = { id: string; kind: TicketKind; placedAtMs: number; promisedAtMs: number }

/** Everything that a plan of the line is made from. */
export type LineFacts<S extends Station> = {
  stations: readonly S[]
  dishes: ReadonlyMap<string, Dish>
  pieces: readonly LinePiece[]
  runs: readonly RunInHand[]
  heads: ReadonlyMap<string, TicketHead>
  pastOf: (stationId: string) => StationPast
  timesOf: (dish: Dish, station: S) => StationTimes | null
  wishes: LineWishes
  list: AllergenList
  pairs: number
  nowMs: number
}

const s = (ms: number) => ms / 1000
const onGrid = (seconds: number) => Math.floor(seconds / GRID_S) * GRID_S
const untilGrid = (seconds: number) => Math.ceil(seconds / GRID_S) * GRID_S

/**
 * The line as an instance of the planner, in seconds since 1970. Every station is a kind of its own, since each has its heat. An
 * allergy is always alone, and asks for a wash after whatever was fried since the last: each of its pieces avoids a mark that
 * everything else leaves on the metal.
 */
export function lineInstance<S extends Station>(facts: LineFacts<S>, told: LineInstance['told']): LineInstance {
  const { stations, pieces, runs, wishes, pairs, nowMs } = facts
  const marks = marksOf(pieces)
  const tickets = ticketsOf(facts, marks)
  const nowS = onGrid(s(nowMs))
  return {
    id: 'line',
    grid: GRID_S,
    now: nowS,
    hands: pairs,
    boxExtra: BOX_EXTRA_S,
    weights: weightsOf(wishes.house),
    setup: Object.fromEntries(
      stations.map(({ id }) => [id, { base: SET_UP_S.wipe, other: SET_UP_S.brush, wash: SET_UP_S.wash }]),
    ),
    stations: stations.map(({ id }) => ({
      id,
      kind: id,
      from: Math.max(nowS, untilGrid(s(wishes.laterStations.get(id) ?? 0))),
      down: [],
      last: residueOf(facts, id, marks),
    })),
    dishes: dishesOf(facts, marks),
    tickets,
    stock: {},
    frozen: runs.filter(({ dish }) => dish !== undefined).map((run) => frozenOf(facts, run)),
    told,
  }
}

/** Marks of the pieces with an allergy; there are so many different ones, and more allergies than that share them. */
function marksOf(pieces: readonly LinePiece[]): Map<string, string> {
  const most = MOST_ALLERGENS - 15
  const alone = pieces.filter(({ item }) => item.allergies.length > 0)
  return new Map(alone.map(({ id }, i) => [id, `fried before ${(i % most) + 1}`]))
}

/** A dish by its own name, or as it was pinned to a station. */
const lineDishId = (dishId: string, pin: Pin | null) =>
  pin === null || pin.stationId === null ? dishId : `${dishId} ${pin.pinId}`
/** What is pinned is fried by itself. */
const pinnedOf = ({ pinId }: Pin) => `pinned ${pinId}`
const ALONE = 'alone'
const aloneOf = (id: string) => `${ALONE} ${id}`

function dishesOf<S extends Station>(facts: LineFacts<S>, marks: ReadonlyMap<string, string>): LineDish[] {
  const { dishes, pieces, runs } = facts
  const allMarks = [...new Set(marks.values())]
  const found = new Map<string, LineDish>()
  const add = (dish: Dish, pin: Pin | null) => {
    const id = lineDishId(dish.id, pin)
    const before = found.get(id)
    if (before) return before
    const { freeS, mostS } = holdOf(dish)
    const made: LineDish = {
      id,
      ...(id !== dish.id && { sameAs: dish.id }),
      base: metalBase(dish),
      allergens: [
        ...allergensOnList(facts.list).filter(
          (allergen) => dishVerdict(dish.components, allergen, facts.list).verdict !== 'free',
        ),
        ...allMarks,
      ],
      free: freeS,
      max: mostS,
      on: onOf(facts, dish, pin?.stationId ?? null),
      mods: Object.fromEntries(
        dish.modifiers.map(({ id: modifierId }) => [
          modifierId,
          { merge: isLateModifier(dish, modifierId) ? ('late' as const) : ('never' as const) },
        ]),
      ),
      split: SPLIT_S,
      uses: {},
    }
    found.set(id, made)
    return made
  }
  for (const { dish } of runs) if (dish) add(dish, null)
  for (const { id, item, pin } of pieces) {
    const dish = dishes.get(item.dishId)
    if (!dish) continue
    const made = add(dish, pin)
    if (pin) Object.assign(made.mods, { [pinnedOf(pin)]: { merge: 'never' } })
    const mark = marks.get(id)
    if (mark === undefined) continue
    Object.assign(made.mods, { [aloneOf(id)]: { merge: 'never', removes: [...item.allergies, mark] } })
  }
  return [...found.values()]
}

function onOf<S extends Station>(
  { stations, timesOf, wishes }: LineFacts<S>,
  dish: Dish,
  stationId: string | null,
): LineDish['on'] {
  const on: Record<string, LineDish['on'][string]> = {}
  for (const station of stations) {
    if (station.kind !== dish.stationKind || (stationId !== null && station.id !== stationId)) continue
    const times = timesOf(dish, station)
    if (!times || times.seconds.length === 0) continue
    const isDown = wishes.downStations.includes(station.id)
    on[station.id] = { cap: isDown ? 0 : times.seconds.length, phases: phasesOf(times) }
  }
  return on
}

/**
 * Seconds by portions as a straight line, in parts with hands and without: as steep as from the first to the last, and so high
 * that no number of portions takes longer than it says.
 */
function phasesOf({ seconds, handsOff }: StationTimes): LinePhase[] {
  const first = seconds[0] ?? 0
  const last = seconds.at(-1) ?? first
  const b = seconds.length > 1 ? Math.max(0, (last - first) / (seconds.length - 1)) : 0
  const a = Math.max(0, ...seconds.map((each, i) => each - b * (i + 1)))
  if (!handsOff) return [{ hands: true, a, b }]
  const { fromShare, toShare } = handsOff
  const part = (hands: boolean, share: number) => ({ hands, a: a * share, b: b * share })
  return [part(true, fromShare), part(false, toShare - fromShare), part(true, 1 - toShare)]
}

function ticketsOf<S extends Station>(facts: LineFacts<S>, marks: ReadonlyMap<string, string>): LineTicket[] {
  const { pieces, runs, heads, wishes, nowMs } = facts
  const tickets = new Map<string, LineTicket & { items: LineItem[] }>()
  /** A pin that waits is a ticket of its own: the others of its ticket need not wait with it. */
  const ticketFor = (head: TicketHead, pin: Pin | null) => {
    const notBeforeMs = Math.max(pin?.notBeforeMs ?? 0, wishes.tickets.get(head.id)?.notBeforeMs ?? 0)
    const id = pin === null || pin.notBeforeMs === null ? head.id : `${head.id} ${pin.pinId}`
    const before = tickets.get(id)
    if (before) return before
    const made = {
      id,
      at: Math.max(s(Math.min(head.placedAtMs, nowMs)), s(notBeforeMs)),
      due: s(head.promisedAtMs),
      kind: head.kind,
      w: wishes.tickets.get(head.id)?.weight ?? 1,
      items: [],
    }
    tickets.set(id, made)
    return made
  }
  for (const run of runs) {
    if (!run.dish) continue
    run.parts.forEach((part, i) => {
      const head = heads.get(part.ticketId) ?? {
        id: part.ticketId,
        kind: 'dine' as const,
        placedAtMs: run.firedAtMs,
        promisedAtMs: run.upMs,
      }
      const n = Math.min(part.portions, mostOf(facts, run.dish!) || part.portions)
      const item = { id: inRun(run.runId, i), dish: run.dish!.id, n, mods: [], avoid: [] }
      ticketFor(head, null).items.push(item)
    })
  }
  for (const { id, item, portions, pin } of pieces) {
    const mark = marks.get(id)
    const mods = [...item.modifiers, ...(pin ? [pinnedOf(pin)] : []), ...(mark === undefined ? [] : [aloneOf(id)])]
    const avoid = mark === undefined ? [] : [...item.allergies, mark]
    ticketFor(headOf(item), pin).items.push({ id, dish: lineDishId(item.dishId, pin), n: portions, mods, avoid })
  }
  return [...tickets.values()]
}

const headOf = ({ ticketId, kind, placedAtMs, promisedAtMs }: WaitingItem): TicketHead => ({
  id: ticketId,
  kind,
  placedAtMs,
  promisedAtMs,
})
/** The most portions that any station takes of a dish; more that is in hand already is not cut for it. */
const mostOf = <S extends Station>({ stations, timesOf }: LineFacts<S>, dish: Dish): number =>
  Math.max(0, ...stations.map((station) => timesOf(dish, station)?.seconds.length ?? 0))
const inRun = (runId: string, part: number) => `${runId} ${part}`

/** A run in hand ends when it ends, whatever the plan's straight lines say. */
function frozenOf<S extends Station>(facts: LineFacts<S>, run: RunInHand): LineInstance['frozen'][number] {
  const { stations, timesOf } = facts
  const station = stations.find(({ id }) => id === run.stationId)
  const times = station && run.dish ? timesOf(run.dish, station) : null
  const most = run.dish ? mostOf(facts, run.dish) : 0
  const load = run.parts.reduce((sum, { portions }) => sum + Math.min(portions, most || portions), 0)
  const plannedS =
    times && times.seconds.length > 0
      ? phasesOf(times).reduce((sum, { a, b }) => sum + Math.ceil((a + b * load) / GRID_S - 1e-6) * GRID_S, 0)
      : 0
  return {
    station: run.stationId,
    start: s(run.firedAtMs),
    wash: false,
    parts: run.parts.map((_, i) => inRun(run.runId, i)),
    late: s(run.upMs - run.firedAtMs) - plannedS,
  }
}

/** What is on a station's metal before the first batch: nothing after a wash, else everything that an allergy must not meet. */
function residueOf<S extends Station>(
  { pastOf, pieces, dishes }: LineFacts<S>,
  stationId: string,
  marks: ReadonlyMap<string, string>,
): LineInstance['stations'][number]['last'] {
  const past = pastOf(stationId)
  if (isWashed(past) || (past.lastDishId === null && marks.size === 0)) return null
  const residue = [...new Set(marks.values())]
  const lastId = past.lastDishId ?? ''
  switch (cleanedSinceUse(past)) {
    case 'brushed':
      return { dish: null, residue }
    case 'wiped': {
      // Wiped for a dish with the same base: as if that one had been fried there.
      const last = dishes.get(lastId)
      const next = pieces.find(({ item }) => {
        const dish = dishes.get(item.dishId)
        return last && dish && metalBase(dish) === metalBase(last)
      })
      return { dish: next?.item.dishId ?? lastId, residue }
    }
    case null:
      return { dish: lastId, residue }
  }
}
