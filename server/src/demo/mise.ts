import type { MiseEvent } from 'contract/mise/event'
import type { MisePlan } from 'contract/mise/plan'
import { EventId } from 'contract/ids'
import type { TaskState } from 'core/mise/doing/foldDay'
import type { Schedule } from 'core/mise/doing/scheduleDay'
import type { Pool, PoolConnection } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { scheduled } from '../mise/files/scheduled'
import { insertMiseEvent } from '../mise/events.sql'
import { miseKitchen, type MiseKitchen } from '../mise/miseKitchen'
import { drawMisePlan, misePlans } from '../mise/plan/misePlans'
import { knownItems } from '../mise/stock'
import { inTransaction } from '../db/pool'

const MIN_MS = 60_000
const HOUR_MS = 60 * MIN_MS
/** The service that the demo preps for. */
const SERVICE = 'evening'
const PLANS = 2
/** The sample kitchen counted and drew its plans so long ago, and went by them since. */
const BEGAN_H = 26
/** What came short, and the share that came. */
const SHORT = { itemId: 'ingredient:oyster-mushroom', share: 0.7 }
const LATE_MOST_MS = 40 * MIN_MS

type Word = MiseEvent extends infer T
  ? T extends MiseEvent
    ? Omit<T, 'id' | 'day' | 'deviceId' | 'counter'>
    : never
  : never

const said = (day: string, word: Word): MiseEvent => ({
  id: EventId.parse(newId()),
  day,
  deviceId: 'demo',
  counter: 0,
  ...word,
  atMs: Math.round(word.atMs),
})

/**
 * Two evenings of prep for the sample kitchen: counted, drawn, and done as planned until now, with one task that runs late
 * and one delivery that came short. Nothing where both are drawn already.
 */
export async function prepDemoMise(pool: Pool, kitchenId: string, nowMs: number): Promise<void> {
  const from = await miseKitchen(pool, kitchenId)
  const evenings = (await misePlans(pool, from, nowMs)).filter((plan) => plan.serviceId === SERVICE).slice(0, PLANS)
  if (evenings.length === 0 || evenings.every((plan) => plan.version > 0)) return
  await keep(pool, kitchenId, countAll(from, nowMs - BEGAN_H * HOUR_MS), nowMs)
  for (const evening of evenings.filter((plan) => plan.version === 0))
    await drawMisePlan(pool, kitchenId, evening.id, 0, nowMs)
  const [first] = evenings
  const plans = (await misePlans(pool, from, nowMs)).filter((plan) => plan.drawn !== null)
  const { all, schedule } = scheduled(plans, from, nowMs - BEGAN_H * HOUR_MS)
  await keep(
    pool,
    kitchenId,
    [...doneSince(plans, all.tasks, schedule, nowMs), ...deliveries(first, plans, nowMs)],
    nowMs,
  )
}

async function keep(pool: Pool, kitchenId: string, events: readonly MiseEvent[], nowMs: number): Promise<void> {
  await inTransaction(pool, async (connection: PoolConnection) => {
    for (const event of events) await insertMiseEvent(connection, kitchenId, event, nowMs)
  })
}

/** A stock-take: plenty of what is dry, little of what is fresh. */
function countAll(from: MiseKitchen, atMs: number): MiseEvent[] {
  return knownItems(from).flatMap((item, i) => {
    if (item.ref.kind !== 'ingredient') return []
    const isDry = item.food === 'seasoning' || item.food === 'oil' || item.food === 'sesameOil'
    const massG = Math.round((isDry ? 90 + 9 * (i % 7) : 3 + 2 * (i % 4)) * Math.max(2, item.grossG))
    return [said('stock', { kind: 'counted', itemId: item.itemId, placeId: null, massG, expectedG: null, atMs })]
  })
}

function doneSince(
  plans: readonly MisePlan[],
  tasks: readonly TaskState[],
  schedule: Schedule,
  nowMs: number,
): MiseEvent[] {
  const planOf = (taskId: string) => plans.find((plan) => taskId.startsWith(`${plan.id}/`))?.id ?? 'stock'
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const begun = schedule.tasks.filter((at) => at.startMs < nowMs - MIN_MS)
  const late = begun.filter(
    (at) => at.endMs < nowMs && at.endMs > nowMs - LATE_MOST_MS && (byId.get(at.id)?.hands ?? 0) > 0,
  )
  const lateId = late.at(-1)?.id
  const waiting = waitingFor(lateId, tasks)
  return begun.flatMap((at) => {
    const task = byId.get(at.id)
    if (!task || waiting.has(at.id)) return []
    const day = planOf(at.id)
    const began = said(day, { kind: 'began', taskId: at.id, staffIds: at.who, atMs: at.startMs })
    if (at.endMs >= nowMs || at.id === lateId) return [began]
    const { gives } = task
    const gave = gives && {
      itemId: gives.itemId,
      massG: gives.massG,
      useByMs: Math.round(at.endMs + gives.keepS * 1000),
      placeId: 'walk-in',
    }
    const took = task.takes.map((take) => ({ ...take }))
    return [began, said(day, { kind: 'ended', taskId: at.id, massG: task.massG, gave, took, atMs: at.endMs })]
  })
}

/** Whatever cannot have begun while a task runs late. */
function waitingFor(lateId: string | undefined, tasks: readonly TaskState[]): Set<string> {
  const waiting = new Set<string>()
  let isGrowing = lateId !== undefined
  while (isGrowing) {
    isGrowing = false
    for (const { id, needs } of tasks) {
      if (waiting.has(id) || !needs.some(({ taskId }) => taskId === lateId || waiting.has(taskId))) continue
      waiting.add(id)
      isGrowing = true
    }
  }
  return waiting
}

/** The morning's delivery: what was to be bought, in full but for one thing. */
function deliveries(first: MisePlan | undefined, plans: readonly MisePlan[], nowMs: number): MiseEvent[] {
  const plan = plans.find((one) => one.id === first?.id)
  return (plan?.drawn?.items ?? []).flatMap((item) => {
    if (!item.itemId.startsWith('ingredient:') || item.netG <= 0) return []
    const orderedG = Math.ceil(item.netG / 100) * 100
    const massG = item.itemId === SHORT.itemId ? Math.round(item.netG * SHORT.share) : orderedG
    const { itemId } = item
    return [said(plan!.id, { kind: 'delivered', itemId, orderedG, massG, useByMs: null, atMs: nowMs - 20 * MIN_MS })]
  })
}
