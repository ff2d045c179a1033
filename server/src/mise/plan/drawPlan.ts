import type { DrawnPlan } from 'contract/mise/plan'
import type { RicePlanDay, ServiceForecast } from 'contract/riceHouse'
import { instantOf, localDay, weekdayOf } from 'core/time/localTime'
import { priceOn } from 'core/book/balance/cost'
import { buyList } from 'core/mise/need/buy'
import { netNeeds, type OnHand } from 'core/mise/need/netNeeds'
import type { PrepTask } from 'core/mise/need/prepTask'
import { prepTasks } from 'core/mise/need/prepTasks'
import { riceTasks } from 'core/mise/need/riceTasks'
import { stockG, type ItemStock } from 'core/mise/stock/foldStock'
import { portionsToCover, sufficientShare } from 'core/rice/plan/howMuch'
import { plannedService } from 'core/rice/plan/planDay'
import type { DayRicePlan } from 'core/rice/plan/ricePlanFor'
import type { MiseKitchen } from '../miseKitchen'
import type { Sitting } from './sittings'

type DrawInput = {
  from: MiseKitchen
  sitting: Sitting
  forecast: RicePlanDay
  /** Rice of the day, where this is the service that it is planned with. */
  rice: DayRicePlan | null
  stock: readonly ItemStock[]
  /** What plans before this one take of it [g]. */
  reservedG: ReadonlyMap<string, number>
  /** Items of which something was made for this plan already, and the version that this drawing gets. */
  made: ReadonlySet<string>
  version: number
  nowMs: number
}

/** The loads of rice among items. */
export const RICE = 'rice'

/** The plan of a service from forecast, pars and book, less what is on hand: tasks, what to buy, and what cannot be. */
export function drawPlan(asked: DrawInput): DrawnPlan {
  const { from, sitting, forecast, rice, stock, reservedG, nowMs } = asked
  const { kitchen, rice: riceHouse, house, dishes, shelf } = from
  const { policy } = house
  const service = forecast.services.find((one) => one.serviceId === sitting.serviceId)
  const covered = service ? coveredPortions(service, forecast, riceHouse.policy) : 0
  const onMenu = new Set(dishes.map((dish) => dish.id))
  const portions = (service?.dishes ?? [])
    .filter(({ dishId }) => onMenu.has(dishId))
    .map(({ dishId, share }) => ({ dishId, portions: Math.ceil(covered * share - 1e-9) }))
  const needs = netNeeds({
    dishes,
    shelf,
    portions: new Map(portions.map((one) => [one.dishId, one.portions])),
    batchPortions: policy.batchPortions,
    pars: new Map(policy.pars.map((par) => [par.itemId, par.massG])),
    onHand: onHandOf(stock, reservedG),
    usedUntilMs: sitting.toMs,
  })
  const { tasks, keepFaults } = prepTasks({
    needs,
    shelf,
    cards: policy.cards,
    serviceFromMs: sitting.fromMs,
    serviceToMs: sitting.toMs,
    railsS: policy.railsMin * 60,
    railHands: railHands(asked),
  })
  const ofRice = rice
    ? riceTasks({
        loads: rice.plan.loads,
        vesselId: rice.vessel.id,
        coolS: rice.plan.coolS,
        coldByMs: rice.coldByMs,
        portions: rice.plan.portions,
      })
    : []
  const today = localDay(nowMs, kitchen.timeZone)
  return {
    drawnAtMs: nowMs,
    portions,
    boats: boatsOf(service, portions, sitting.day, kitchen.timeZone),
    tasks: named([...ofRice, ...tasks], asked),
    items: needs.items.map(({ itemId, name, food, state, grossG, parG, onHandG, netG, isServed, uses }) => ({
      itemId,
      name,
      food,
      state,
      grossG,
      parG,
      onHandG,
      netG,
      isServed,
      uses,
    })),
    buy: buyList(needs.items, shelf, (id) => priceOn(shelf.rows.find((row) => row.id === id)?.prices ?? [], today)),
    keepFaults: keepFaults,
    faults: needs.faults,
  }
}

/** People who are there when the rails are set. */
function railHands({ from, sitting }: DrawInput): number {
  const { people, railsMin } = from.house.policy
  const weekday = weekdayOf(sitting.day)
  const fromMin = Math.round((sitting.fromMs - instantOf(sitting.day, 0, from.kitchen.timeZone)) / 60_000) - railsMin
  return people.filter(({ shifts }) =>
    shifts.some(
      (shift) => shift.weekdays.includes(weekday) && shift.fromMin <= fromMin && shift.toMin >= fromMin + railsMin,
    ),
  ).length
}

/** Tasks with ids of this plan; of what was made for it before, with the version, so that what was said is not said of them. */
function named(tasks: readonly PrepTask[], { sitting, made, version }: DrawInput): DrawnPlan['tasks'] {
  const ids = new Map(
    tasks.map((task) => {
      const isAgain = made.has(task.itemId ?? (task.id.startsWith('rice:') ? RICE : ''))
      return [task.id, `${sitting.id}/${task.id}${isAgain ? `@${version}` : ''}`]
    }),
  )
  return tasks.map((task) => ({
    ...task,
    equipment: [...task.equipment],
    dishIds: [...task.dishIds],
    cautions: [...task.cautions],
    takes: [...task.takes],
    needs: task.needs.map((need) => ({ ...need, taskId: ids.get(need.taskId) ?? need.taskId })),
    id: ids.get(task.id) ?? task.id,
    dueMs: task.dueMs ?? sitting.fromMs,
  }))
}

function coveredPortions(
  service: ServiceForecast,
  forecast: RicePlanDay,
  margin: Parameters<typeof sufficientShare>[0],
): number {
  const { portions, spread } = plannedService(service, forecast.edits)
  return Math.max(0, Math.ceil(portionsToCover(portions, spread, sufficientShare(margin)) - 1e-9))
}

/** Lots that are there, less what plans before this one take, the oldest first. */
function onHandOf(stock: readonly ItemStock[], reservedG: ReadonlyMap<string, number>): OnHand[] {
  return stock.flatMap((item) => {
    let reserved = Math.min(reservedG.get(item.itemId) ?? 0, stockG(item))
    const lots = [{ leftG: item.looseG, useByMs: null }, ...item.lots]
    return lots.map((lot) => {
      const gone = Math.min(reserved, lot.leftG)
      reserved -= gone
      return { itemId: item.itemId, massG: lot.leftG - gone, useByMs: lot.useByMs }
    })
  })
}

function boatsOf(
  service: ServiceForecast | undefined,
  portions: DrawnPlan['portions'],
  day: string,
  timeZone: string,
): DrawnPlan['boats'] {
  return (service?.boats ?? []).flatMap(({ minute, share }) =>
    portions.map((dish) => ({
      atMs: instantOf(day, minute, timeZone),
      dishId: dish.dishId,
      portions: dish.portions * share,
    })),
  )
}
