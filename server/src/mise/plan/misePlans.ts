import type { MiseEvent } from 'contract/mise/event'
import { DrawnPlan, type MisePlan } from 'contract/mise/plan'
import { standing } from 'core/event/struckOut'
import { planService, RICE_ITEM } from 'core/mise/need/servicePlan'
import type { Pool } from 'mysql2/promise'
import { announce } from '../../db/outbox'
import { inTransaction } from '../../db/pool'
import { editedMeanwhile } from '../../http/conflict'
import { Problem } from '../../http/problems'
import { dayRiceOf, planOfDay } from '../../rice/riceKitchen'
import { listPlanEvents } from '../events.sql'
import { miseKitchen, type MiseKitchen } from '../miseKitchen'
import { stockOf } from '../stock'
import { listPlans, savePlan } from './plans.sql'
import { sittingsFrom, type Sitting } from './sittings'

/** Plans of the services to come, drawn or not, with everything said of them. */
export async function misePlans(pool: Pool, from: MiseKitchen, nowMs: number): Promise<MisePlan[]> {
  const sittings = sittingsFrom(nowMs, from.kitchen, from.rice.policy)
  const ids = sittings.map(({ id }) => id)
  const drawn = new Map((await listPlans(pool, from.kitchen.id, ids)).map((plan) => [plan.id, plan]))
  const events = await listPlanEvents(pool, from.kitchen.id, ids)
  return sittings
    .filter((sitting) => drawn.has(sitting.id) || !hasBegun(sitting, nowMs))
    .map((sitting) => {
      const plan = drawn.get(sitting.id)
      return {
        ...sitting,
        version: plan?.version ?? 0,
        drawn: plan?.drawn ?? null,
        events: events.filter((event) => event.day === sitting.id),
      }
    })
}

/** A service that has begun without a plan is not planned any more. */
const hasBegun = (sitting: Sitting, nowMs: number) => sitting.fromMs <= nowMs

/**
 * Draws the plan of a service, or draws it anew over what was done since: what is done or under way stays as it was.
 * @throws {Problem} service-past, edited-meanwhile
 */
export async function drawMisePlan(pool: Pool, kitchenId: string, id: string, version: number, nowMs: number) {
  const from = await miseKitchen(pool, kitchenId)
  const sittings = sittingsFrom(nowMs, from.kitchen, from.rice.policy)
  const sitting = sittings.find((one) => one.id === id)
  if (!sitting || (version === 0 && hasBegun(sitting, nowMs))) throw servicePast(id, sittings)
  const forecast = await planOfDay(pool, from.kitchen, from.rice, sitting.day, nowMs)
  const stock = await stockOf(pool, from, nowMs)
  const plans = await misePlans(pool, from, nowMs)
  const earlier = plans.filter((plan) => plan.fromMs < sitting.fromMs)
  const reservedG = new Map<string, number>()
  for (const { itemId, grossG } of earlier.flatMap((plan) => plan.drawn?.items ?? []))
    reservedG.set(itemId, (reservedG.get(itemId) ?? 0) + grossG)
  const ofDay = sittings.filter((one) => one.day === sitting.day)
  const rice = ofDay.at(-1)?.id === id ? await dayRiceOf(pool, from.kitchen, from.rice, forecast, nowMs) : null
  const made = doneItems(plans.find((plan) => plan.id === id)?.events ?? [])
  const { kitchen, house, dishes, shelf } = from
  const drawn = DrawnPlan.parse(
    planService({
      sitting,
      expected: forecast.services.find((one) => one.serviceId === sitting.serviceId) ?? null,
      edits: forecast.edits,
      margin: from.rice.policy,
      dishes,
      shelf,
      pricesOf: (id) => shelf.rows.find((row) => row.id === id)?.prices ?? [],
      house: house.policy,
      rice,
      stock,
      reservedG,
      made,
      version: version + 1,
      timeZone: kitchen.timeZone,
      nowMs,
    }),
  )
  await inTransaction(pool, async (connection) => {
    if (!(await savePlan(connection, kitchenId, id, version, drawn))) throw editedMeanwhile()
    await announce(connection, kitchenId, nowMs, [{ topic: 'mise', key: id }])
  })
  const events = await listPlanEvents(pool, kitchenId, [id])
  return { ...sitting, version: version + 1, drawn, events }
}

/** Items of which something was made for this plan: what is still to be made of them is a new task. */
function doneItems(events: readonly MiseEvent[]): Set<string> {
  const ended = standing(events).flatMap((event) => (event.kind === 'ended' ? [event] : []))
  const items = ended.flatMap((event) => (event.gave ? [event.gave.itemId] : []))
  return new Set(ended.some((event) => event.taskId.includes('/rice:')) ? [...items, RICE_ITEM] : items)
}

function servicePast(id: string, sittings: readonly Sitting[]): Problem {
  const next = sittings[0]
  return new Problem('service-past', {
    detail: `${id} is over or further than four days: ${next ? `the next one is ${next.id}` : 'no service is coming'}`,
    values: { next: next?.id ?? '' },
  })
}
