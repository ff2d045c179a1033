import type { LineBatch, LineDish, LineInstance, LineItem, LineSchedule, LineTicket } from '../planner/instance'
import { pricePlan } from './pricePlan'

/** What a plan breaks: the rule, and the batch or the item. */
export const LINE_RULES = [
  'instance',
  'gone',
  'parts',
  'station',
  'family',
  'capacity',
  'allergen',
  'grid',
  'past',
  'release',
  'overlap',
  'down',
  'wash',
  'hands',
  'cooks',
  'frozen',
] as const
export type LineRule = (typeof LINE_RULES)[number]
export type LineError = { rule: LineRule; batch: string; message: string }
export type Checked = { feasible: boolean; errors: LineError[]; objective: number | null }

/** A part of an item as the checker counts it. */
export type Part = { id: string; n: number; item: LineItem; ticket: LineTicket; dish: LineDish }
/** A batch with everything that follows from it. */
export type Fried = {
  batch: LineBatch
  name: string
  parts: Part[]
  dish: LineDish
  setUpS: number
  endS: number
  /** Times that take a pair of hands [s]. */
  hands: [number, number][]
  isFrozen: boolean
}

const NEAR = 1e-6
const isSame = (a: readonly string[], b: readonly string[]) => [...a].sort().join('|') === [...b].sort().join('|')

/**
 * Checks a plan against its instance, rule by rule, and prices it. It shares no code with the planner: what one gets wrong the
 * other finds. The objective is null where a plan cannot be read at all.
 */
export function checkPlan(instance: LineInstance, plan: LineSchedule): Checked {
  const errors: LineError[] = []
  const say = (rule: LineRule, batch: string, message: string) => void errors.push({ rule, batch, message })
  if (plan.instance !== instance.id) say('instance', '', `the plan is for "${plan.instance}", not "${instance.id}"`)
  const gone = checkGone(instance, plan, say)
  const parts = allParts(instance, gone)
  const fried = readBatches(instance, plan, parts, say)
  if (!fried) return { feasible: false, errors, objective: null }
  for (const one of fried) checkBatch(instance, one, say)
  for (const station of instance.stations) checkStation(instance, station.id, fried, say)
  checkHands(instance, fried, say)
  checkFrozen(instance, plan, say)
  const objective = errors.some(({ rule }) => rule === 'parts' || rule === 'station')
    ? null
    : pricePlan(instance, fried)
  return { feasible: errors.length === 0, errors, objective }
}

type Say = (rule: LineRule, batch: string, message: string) => void

/** Grants the stock again and compares. */
function checkGone(instance: LineInstance, plan: LineSchedule, say: Say): Set<string> {
  const left = new Map(Object.entries(instance.stock))
  const isFired = (item: string) =>
    instance.frozen.some((one) => one.parts.some((part) => part === item || part.startsWith(`${item}/`)))
  const queue = instance.tickets
    .flatMap((ticket) => ticket.items.map((item) => ({ ticket, item, isFired: isFired(item.id) })))
    .sort(
      (a, b) =>
        Number(b.isFired) - Number(a.isFired) ||
        a.ticket.at - b.ticket.at ||
        compare(a.ticket.id, b.ticket.id) ||
        compare(a.item.id, b.item.id),
    )
  const gone = new Set<string>()
  for (const { item, isFired: isTaken } of queue) {
    const uses = instance.dishes.find(({ id }) => id === item.dish)?.uses ?? {}
    const short = Object.keys(uses).find(
      (name) => left.has(name) && uses[name]! * item.n > (left.get(name) ?? 0) + NEAR,
    )
    if (short !== undefined && !isTaken) gone.add(item.id)
    else
      for (const name of Object.keys(uses)) if (left.has(name)) left.set(name, left.get(name)! - uses[name]! * item.n)
  }
  if (!isSame([...gone], plan.gone))
    say(
      'gone',
      '',
      `the stock does not give ${[...gone].join(', ') || 'nothing'}; the plan says ${plan.gone.join(', ') || 'nothing'}`,
    )
  return gone
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)

function allParts(instance: LineInstance, gone: ReadonlySet<string>): Map<string, Part> {
  const parts = new Map<string, Part>()
  for (const ticket of instance.tickets)
    for (const item of ticket.items) {
      const dish = instance.dishes.find(({ id }) => id === item.dish)
      if (!dish || gone.has(item.id)) continue
      const caps = instance.stations.flatMap(({ kind }) => (dish.on[kind] ? [dish.on[kind].cap] : []))
      const cap = Math.max(...caps)
      let count = 1
      while (count * cap < item.n - NEAR) count += 1
      let left = item.n
      for (let k = 0; k < count; k += 1) {
        const share = left / (count - k)
        const n = Number.isInteger(item.n) ? Math.ceil(share - NEAR) : item.n / count
        left -= n
        const id = count === 1 ? item.id : `${item.id}/${k + 1}`
        parts.set(id, { id, n, item, ticket, dish })
      }
    }
  return parts
}

/** Batches with their parts and times; null where one names what is not there. */
function readBatches(
  instance: LineInstance,
  plan: LineSchedule,
  parts: ReadonlyMap<string, Part>,
  say: Say,
): Fried[] | null {
  const seen = new Map<string, number>()
  let isReadable = true
  const stateOf = new Map<string, { dish: string; base: string } | null>()
  for (const { id, last } of instance.stations) {
    const dish = last && instance.dishes.find((one) => one.id === last.dish)
    stateOf.set(id, last ? { dish: last.dish, base: dish?.base ?? `only ${last.dish}` } : null)
  }
  const fried = [...plan.batches]
    .sort((a, b) => a.start - b.start)
    .flatMap((batch): Fried[] => {
      const name = `${batch.station} at ${batch.start}`
      const own = batch.parts.flatMap((id) => {
        seen.set(id, (seen.get(id) ?? 0) + 1)
        const part = parts.get(id)
        if (!part) say('parts', name, `there is no part ${id}`)
        return part ? [part] : []
      })
      const station = instance.stations.find(({ id }) => id === batch.station)
      const dish = own[0]?.dish
      const on = station && dish?.on[station.kind]
      if (!station || !dish || !on) {
        say('station', name, !station ? 'there is no such station' : `${dish?.id ?? 'nothing'} cannot be fried there`)
        isReadable = false
        return []
      }
      const frozen = instance.frozen.find((one) => one.station === batch.station && isSame(one.parts, batch.parts))
      const times = instance.setup[station.kind]!
      const before = stateOf.get(station.id) ?? null
      const setUpS = batch.wash
        ? times.wash
        : before === null || before.dish === dish.id
          ? 0
          : before.base === dish.base
            ? times.base
            : times.other
      stateOf.set(station.id, { dish: dish.id, base: dish.base })
      return [
        {
          batch,
          name,
          parts: own,
          dish,
          setUpS,
          isFrozen: frozen !== undefined,
          ...timesOf(instance, batch, own, on.phases, setUpS, frozen?.late ?? 0),
        },
      ]
    })
  for (const id of parts.keys()) {
    const times = seen.get(id) ?? 0
    if (times !== 1) say('parts', '', `part ${id} is fried ${times} times`)
  }
  return isReadable ? fried : null
}

function timesOf(
  instance: LineInstance,
  batch: LineBatch,
  parts: readonly Part[],
  phases: LineDish['on'][string]['phases'],
  setUpS: number,
  lateS: number,
): { endS: number; hands: [number, number][] } {
  const load = parts.reduce((sum, { n }) => sum + n, 0)
  const onGrid = (s: number) => Math.ceil(s / instance.grid - NEAR) * instance.grid
  const spans = phases.map(({ hands, a, b }) => ({ hands, s: onGrid(a + b * load) }))
  if (spans.length > 0) spans[spans.length - 1]!.s += lateS
  const finishes = new Set(
    parts.map(({ item, dish }) =>
      item.mods
        .filter((mod) => dish.mods[mod]?.merge === 'late')
        .sort()
        .join('+'),
    ),
  )
  const splitS = parts[0]!.dish.split * (finishes.size - 1)
  if (splitS > 0) spans.push({ hands: true, s: onGrid(splitS) })
  const hands: [number, number][] = [[batch.start - setUpS, batch.start]]
  let atS = batch.start
  for (const { hands: isHands, s } of spans) {
    if (isHands) hands.push([atS, atS + s])
    atS += s
  }
  return { endS: atS, hands: joined(hands) }
}

/** Times that follow one another without a gap are one. */
function joined(times: readonly [number, number][]): [number, number][] {
  const all: [number, number][] = []
  for (const [from, to] of times) {
    const last = all.at(-1)
    if (to <= from) continue
    if (last && last[1] >= from - NEAR) last[1] = to
    else all.push([from, to])
  }
  return all
}

/** Allergens of a part as it was ordered. */
export const allergensIn = ({ dish, item }: Part): string[] =>
  dish.allergens.filter((one) => !item.mods.some((mod) => dish.mods[mod]?.removes?.includes(one)))

function checkBatch(instance: LineInstance, fried: Fried, say: Say): void {
  const { batch, name, parts, dish, isFrozen, setUpS } = fried
  const family = ({ item, dish: of }: Part) =>
    [of.id, ...item.mods.filter((mod) => of.mods[mod]?.merge === 'never').sort()].join('+')
  const families = new Set(parts.map(family))
  if (families.size > 1) say('family', name, `${[...families].join(' and ')} are not fried together`)
  const kind = instance.stations.find(({ id }) => id === batch.station)!.kind
  const load = parts.reduce((sum, { n }) => sum + n, 0)
  const cap = dish.on[kind]!.cap
  if (load > cap + NEAR) say('capacity', name, `${load} portions, at most ${cap}`)
  for (const part of parts)
    for (const other of parts) {
      const met = allergensIn(other).find((one) => part.item.avoid.includes(one))
      if (met !== undefined) say('allergen', name, `${part.id} must not meet ${met}, and ${other.id} holds it`)
    }
  if (isFrozen) return
  if (Math.abs(batch.start / instance.grid - Math.round(batch.start / instance.grid)) > NEAR)
    say('grid', name, `starts are multiples of ${instance.grid} s`)
  if (batch.start - setUpS < instance.now - NEAR) say('past', name, `its set-up begins before ${instance.now}`)
  const arrived = Math.max(...parts.map(({ ticket }) => ticket.at))
  if (batch.start < arrived - NEAR) say('release', name, `starts before its last ticket came at ${arrived}`)
}

/** A station fries one batch at a time, is there, and is washed for who must not have what is on it. */
function checkStation(instance: LineInstance, id: string, fried: readonly Fried[], say: Say): void {
  const station = instance.stations.find((one) => one.id === id)!
  const own = fried.filter(({ batch }) => batch.station === id)
  let residue = new Set(station.last?.residue ?? [])
  let freeS = station.from
  for (const { batch, name, parts, setUpS, endS, isFrozen } of own) {
    const fromS = batch.start - setUpS
    if (!isFrozen && fromS < freeS - NEAR) say('overlap', name, `${id} is free from ${freeS}`)
    const down = station.down.find(([a, b]) => fromS < b - NEAR && endS > a + NEAR)
    if (down && !isFrozen) say('down', name, `${id} is down from ${down[0]} to ${down[1]}`)
    if (batch.wash) residue = new Set()
    const met = parts.flatMap(({ item }) => item.avoid).find((one) => residue.has(one))
    if (met !== undefined && !isFrozen) say('wash', name, `${met} is on ${id}: it has to be washed before`)
    for (const part of parts) for (const one of allergensIn(part)) residue.add(one)
    freeS = Math.max(freeS, endS)
  }
}

function checkHands(instance: LineInstance, fried: readonly Fried[], say: Say): void {
  const times = fried.flatMap(({ hands, name }) => hands.map(([from, to]) => ({ from, to, name })))
  for (const { from, name } of times) {
    const atOnce = times.filter((one) => one.from <= from + NEAR && one.to > from + NEAR).length
    if (atOnce > instance.hands) say('hands', name, `${atOnce} pairs of hands at ${from}, there are ${instance.hands}`)
  }
  const byCook = new Map<number, { from: number; to: number }[]>()
  for (const { batch, hands, name } of fried) {
    if (batch.cooks.length !== hands.length)
      say('cooks', name, `it takes hands ${hands.length} times and names ${batch.cooks.length} cooks`)
    hands.forEach(([from, to], i) => {
      const cook = batch.cooks[i]
      if (cook === undefined) return
      if (cook < 0 || cook >= instance.hands) say('cooks', name, `there is no cook ${cook}`)
      const busy = byCook.get(cook) ?? []
      if (busy.some((one) => one.from < to - NEAR && one.to > from + NEAR)) say('cooks', name, `cook ${cook} is busy`)
      byCook.set(cook, [...busy, { from, to }])
    })
  }
}

function checkFrozen(instance: LineInstance, plan: LineSchedule, say: Say): void {
  for (const frozen of instance.frozen) {
    const same = plan.batches.find(
      (batch) =>
        batch.station === frozen.station &&
        batch.start === frozen.start &&
        batch.wash === frozen.wash &&
        isSame(batch.parts, frozen.parts),
    )
    if (!same)
      say('frozen', `${frozen.station} at ${frozen.start}`, 'it is in the wok and stands in the plan otherwise')
  }
}
