import type { StationKind } from '../../book/dish'
import type { TaskState } from '../doing/foldDay'
import type { Schedule } from '../doing/scheduleDay'
import type { ItemOutlook } from '../doing/shorts'
import { portionsBefore, reachOf, type BoatDemand } from './stave'

/** What must be ready before a service; the screen draws each as a stave of the tub. */
export const STAVE_KINDS = ['rice', 'mise', 'sauces', 'stations', 'hands', 'rules'] as const
export type StaveKind = (typeof STAVE_KINDS)[number]

/** What would help, and who or what it asks for. */
export type Fix =
  /** A task of the plan brings it, done by then if it begins by `doByMs`. */
  | { kind: 'task'; taskId: string; doByMs: number; readyMs: number }
  /** Nothing planned brings enough: so much is to be bought or made besides. */
  | { kind: 'bring'; massG: number; doByMs: number }
  | { kind: 'light'; stationId: string; doByMs: number; minutes: number }
  | { kind: 'staff'; stationId: string; doByMs: number }
  | { kind: 'check'; checkId: string; doByMs: number }
  | { kind: 'rice'; massG: number; doByMs: number | null }

/** One requirement of readiness: how full it is, and what is missing. */
export type Stave = {
  id: string
  kind: StaveKind
  name: string
  dishIds: string[]
  /** With what stands ready now. */
  nowMs: number | null
  nowPortions: number
  /** Once the plan is done as it stands. */
  untilMs: number | null
  portions: number
  state: 'ready' | 'coming' | 'short'
  shortPortions: number
  missingG: number
  fix: Fix | null
}

/** Everything that readiness is judged by. */
export type ReadyInput = {
  boats: readonly BoatDemand[]
  outlook: readonly ItemOutlook[]
  /** What stands ready to be used now [g], by item. */
  stockG: ReadonlyMap<string, number>
  tasks: readonly TaskState[]
  schedule: Schedule | null
  rice: { usableG: number; comingG: number; startByMs: number | null; gPerPortion: ReadonlyMap<string, number> }
  stations: readonly { id: string; name: string; kind: StationKind; heatMin: number }[]
  stationKindOf: ReadonlyMap<string, StationKind>
  /** What was checked today, by check. */
  checked: ReadonlyMap<string, number>
  /** People here at the service. */
  handsHere: number
  serviceMs: number
  checks: readonly string[]
}

/** Whether the service can begin, requirement by requirement. */
export type Readiness = {
  portions: number
  /** Portions served in order until the first thing fails, all done as planned. */
  holdsPortions: number
  untilMs: number | null
  /** The same with what stands ready now. */
  nowPortions: number
  nowMs: number | null
  /** What fails first, and which dishes then. */
  firstOut: Stave | null
  staves: Stave[]
  /** What is not ready, the soonest to be done first. */
  open: Stave[]
}

const SAUCY = /^recipe:/
const MIN_MS = 60_000

/** Ready for service? A tub holds as much as its shortest stave: every stave with how far it reaches over the boats. */
export function readinessOf(input: ReadyInput): Readiness {
  const { boats } = input
  const all = portionsBefore(boats, null)
  const staves = [
    riceStave(input),
    ...itemStaves(input),
    ...stationStaves(input),
    ...handStaves(input),
    ...checkStaves(input),
  ]
  const failing = staves.filter((stave) => stave.untilMs !== null && stave.kind !== 'rules')
  failing.sort((a, b) => a.untilMs! - b.untilMs! || b.shortPortions - a.shortPortions)
  const firstOut = failing[0] ?? null
  const nowMs = staves.reduce<number | null>(
    (least, { kind, nowMs: ownMs }) =>
      ownMs === null || kind === 'rules' ? least : Math.min(least ?? Infinity, ownMs),
    null,
  )
  const open = staves.filter((stave) => stave.state !== 'ready')
  const dueMs = ({ fix }: Stave) => fix?.doByMs ?? Infinity
  open.sort((a, b) => Number(b.state === 'short') - Number(a.state === 'short') || dueMs(a) - dueMs(b))
  return {
    portions: all,
    holdsPortions: portionsBefore(boats, firstOut?.untilMs ?? null),
    untilMs: firstOut?.untilMs ?? null,
    nowPortions: portionsBefore(boats, nowMs),
    nowMs,
    firstOut,
    staves,
    open,
  }
}

const stateOf = (nowMs: number | null, untilMs: number | null): Stave['state'] =>
  nowMs === null ? 'ready' : untilMs === null ? 'coming' : 'short'

function riceStave({ boats, rice, serviceMs }: ReadyInput): Stave {
  const uses = [...rice.gPerPortion].map(([dishId, gPerPortion]) => ({ dishId, gPerPortion }))
  const now = reachOf(rice.usableG, uses, boats)
  const then = reachOf(rice.usableG + rice.comingG, uses, boats)
  return {
    id: 'rice',
    kind: 'rice',
    name: 'rice',
    dishIds: uses.map((use) => use.dishId),
    nowMs: now.untilMs,
    nowPortions: portionsBefore(boats, now.untilMs),
    untilMs: then.untilMs,
    portions: portionsBefore(boats, then.untilMs),
    state: stateOf(now.untilMs, then.untilMs),
    shortPortions: then.shortPortions || now.shortPortions,
    missingG: then.shortG || now.shortG,
    fix:
      now.untilMs === null
        ? null
        : { kind: 'rice', massG: then.shortG || now.shortG, doByMs: rice.startByMs ?? serviceMs },
  }
}

function itemStaves(input: ReadyInput): Stave[] {
  const { boats, outlook, stockG } = input
  return outlook.flatMap((item) => {
    if (item.uses.length === 0) return []
    const now = reachOf(stockG.get(item.itemId) ?? 0, item.uses, boats)
    const then = reachOf(Math.max(item.willHaveG, stockG.get(item.itemId) ?? 0), item.uses, boats)
    const kind = SAUCY.test(item.itemId) ? 'sauces' : 'mise'
    const stave: Stave = {
      id: item.itemId,
      kind,
      name: item.name,
      dishIds: [...new Set(item.uses.map((use) => use.dishId))],
      nowMs: now.untilMs,
      nowPortions: portionsBefore(boats, now.untilMs),
      untilMs: then.untilMs,
      portions: portionsBefore(boats, then.untilMs),
      state: stateOf(now.untilMs, then.untilMs),
      shortPortions: then.shortPortions || now.shortPortions,
      missingG: then.shortG || now.shortG,
      fix: null,
    }
    return [{ ...stave, fix: now.untilMs === null ? null : itemFix(stave, input, then.untilMs !== null) }]
  })
}

function itemFix({ id, missingG, untilMs }: Stave, { tasks, schedule, serviceMs }: ReadyInput, isShort: boolean): Fix {
  const mine = tasks.filter((task) => task.itemId === id && task.status !== 'done')
  const planned = (schedule?.tasks ?? []).filter((one) => mine.some((task) => task.id === one.id))
  const next = planned.find((one) => !one.isFixed) ?? planned[0]
  const last = planned.at(-1)
  if (!isShort && next && last)
    return { kind: 'task', taskId: next.id, doByMs: next.latestStartMs ?? next.startMs, readyMs: last.endMs }
  return { kind: 'bring', massG: missingG, doByMs: untilMs ?? serviceMs }
}

/** A station that is not lit loses the boats of its kind unless another of the kind is. */
function stationStaves({ stations, boats, stationKindOf, checked, serviceMs }: ReadyInput): Stave[] {
  return stations.map((station) => {
    const isLit = checked.has(`station:${station.id}`)
    const others = stations.filter((one) => one.kind === station.kind && one.id !== station.id)
    const isCarried = others.some((one) => checked.has(`station:${one.id}`))
    const mine = boats.filter((boat) => stationKindOf.get(boat.dishId) === station.kind)
    const isWanted = !isLit && mine.length > 0
    const lost = isWanted && !isCarried ? mine : []
    const firstMs = lost.length === 0 ? null : Math.min(...lost.map((boat) => boat.atMs))
    return {
      id: `station:${station.id}`,
      kind: 'stations',
      name: station.name,
      dishIds: [...new Set(mine.map((boat) => boat.dishId))],
      nowMs: firstMs,
      nowPortions: portionsBefore(boats, firstMs),
      untilMs: null,
      portions: portionsBefore(boats, null),
      state: isWanted ? 'coming' : 'ready',
      shortPortions: lost.reduce((sum, boat) => sum + boat.portions, 0),
      missingG: 0,
      fix: isWanted
        ? {
            kind: 'light',
            stationId: station.id,
            minutes: station.heatMin,
            doByMs: serviceMs - station.heatMin * MIN_MS,
          }
        : null,
    }
  })
}

/** One pair of hands runs two stations; fewer hands than that and the last stations stand still. */
const STATIONS_A_PAIR = 2

function handStaves({ stations, boats, handsHere, serviceMs }: ReadyInput): Stave[] {
  const wanted = Math.ceil(stations.length / STATIONS_A_PAIR)
  return Array.from({ length: wanted }, (_, i): Stave => {
    const isHere = i < handsHere
    const firstMs = isHere ? null : serviceMs
    return {
      id: `hands:${i + 1}`,
      kind: 'hands',
      name: stations
        .slice(i * STATIONS_A_PAIR, (i + 1) * STATIONS_A_PAIR)
        .map((one) => one.name)
        .join(', '),
      dishIds: [],
      nowMs: firstMs,
      nowPortions: portionsBefore(boats, firstMs),
      untilMs: firstMs,
      portions: portionsBefore(boats, firstMs),
      state: isHere ? 'ready' : 'short',
      shortPortions: isHere ? 0 : portionsBefore(boats, null) / wanted,
      missingG: 0,
      fix: isHere ? null : { kind: 'staff', stationId: stations[i * STATIONS_A_PAIR]?.id ?? '', doByMs: serviceMs },
    }
  })
}

function checkStaves({ checks, checked, boats, serviceMs }: ReadyInput): Stave[] {
  const all = portionsBefore(boats, null)
  return checks.map((checkId): Stave => {
    const isDone = checked.has(checkId)
    return {
      id: checkId,
      kind: 'rules',
      name: checkId,
      dishIds: [],
      nowMs: isDone ? null : serviceMs,
      nowPortions: isDone ? all : 0,
      untilMs: null,
      portions: all,
      state: isDone ? 'ready' : 'coming',
      shortPortions: 0,
      missingG: 0,
      fix: isDone ? null : { kind: 'check', checkId, doByMs: serviceMs },
    }
  })
}
