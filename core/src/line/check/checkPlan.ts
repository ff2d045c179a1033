import type { LineInstance, LineSchedule } from '../planner/instance'
import { allergensIn, allParts, isSame, readBatches, type Fried, type LineRule, type Part, type Say } from './fried'
import { pricePlan } from './pricePlan'

export type LineError = { rule: LineRule; batch: string; message: string }
export type Checked = { feasible: boolean; errors: LineError[]; objective: number | null }

const NEAR = 1e-6

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

/** The batches of a plan with their set-ups and ends, in the order of their starts; empty where the plan cannot be read. */
export const friedPlan = (instance: LineInstance, plan: LineSchedule): Fried[] =>
  readBatches(instance, plan, allParts(instance, new Set(plan.gone)), () => undefined) ?? []

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
