import { priceOn, type Price } from '../../book/balance/cost'
import type { Dish, State } from '../../book/dish'
import type { Food } from '../../book/food'
import type { BookShelf } from '../../book/recipe/explode'
import { portionsToCover, sufficientShare, type Margin } from '../../rice/plan/howMuch'
import { plannedService, type PlanEdits, type ServiceInput } from '../../rice/plan/planDay'
import type { DayRicePlan } from '../../rice/plan/ricePlanFor'
import { instantOf, localDay, weekdayOf } from '../../time/localTime'
import { presentThrough, type ShiftPerson } from '../people'
import { stockG, type ItemStock } from '../stock/foldStock'
import { buyList, type BuyLine } from './buy'
import type { PrepCard } from './cards'
import { netNeeds, type ItemUse, type Needs, type OnHand } from './netNeeds'
import type { PrepTask } from './prepTask'
import { prepTasks, type KeepFault } from './prepTasks'
import { riceTasks } from './riceTasks'
import { wholeUp } from '../../math/wholeUp'

/** One service of one day; instants in ms since 1970, UTC. */
export type Sitting = { id: string; day: string; serviceId: string; fromMs: number; toMs: number }

/** What is expected of a service: its dishes and its waves of orders (boats) as shares of one. */
export type ExpectedService = ServiceInput & {
  dishes: readonly { dishId: string; share: number }[]
  boats: readonly { minute: number; share: number }[]
}

/** The house's figures that a plan of a service rests on. */
export type ServiceHouse = {
  railsMin: number
  batchPortions: number
  people: readonly ShiftPerson[]
  pars: readonly { itemId: string; massG: number }[]
  cards: readonly PrepCard[]
}

/** Everything that the plan of one service is worked out from. */
export type ServicePlanInput = {
  sitting: Sitting
  /** Null where the record knows nothing of the service. */
  expected: ExpectedService | null
  edits: PlanEdits
  /** What a missed portion costs against one thrown away. */
  margin: Margin
  dishes: readonly Dish[]
  shelf: BookShelf
  pricesOf: (ingredientId: string) => readonly Price[]
  house: ServiceHouse
  /** Rice of the day, where this is the service that it is planned with. */
  rice: DayRicePlan | null
  stock: readonly ItemStock[]
  /** What plans before this one take of it [g], by item. */
  reservedG: ReadonlyMap<string, number>
  /** Items of which something was made for this plan already, and the version that this drawing gets. */
  made: ReadonlySet<string>
  version: number
  timeZone: string
  nowMs: number
}

/** An item of a plan: what it takes, what is there, and what is to be made or bought [g]. */
export type PlannedItem = {
  itemId: string
  name: string
  food: Food
  state: State
  grossG: number
  parG: number
  onHandG: number
  netG: number
  isServed: boolean
  uses: ItemUse[]
}

/** The plan of a service as it was worked out: portions to be ready for, tasks, what to buy, and what cannot be. */
export type ServicePlan = {
  drawnAtMs: number
  portions: { dishId: string; portions: number }[]
  boats: { atMs: number; dishId: string; portions: number }[]
  tasks: PrepTask[]
  items: PlannedItem[]
  buy: BuyLine[]
  keepFaults: KeepFault[]
  faults: Needs['faults']
}

/** The loads of rice among items. */
export const RICE_ITEM = 'rice'

/** The plan of a service from forecast, pars and book, less what is on hand: tasks, what to buy, and what cannot be. */
export function planService(input: ServicePlanInput): ServicePlan {
  const { sitting, expected, dishes, shelf, house, rice, nowMs, timeZone } = input
  const covered = expected ? coveredPortions(expected, input) : 0
  const onMenu = new Set(dishes.map((dish) => dish.id))
  const portions = (expected?.dishes ?? [])
    .filter(({ dishId }) => onMenu.has(dishId))
    .map(({ dishId, share }) => ({ dishId, portions: wholeUp(covered * share) }))
  const needs = netNeeds({
    dishes,
    shelf,
    portions: new Map(portions.map((one) => [one.dishId, one.portions])),
    batchPortions: house.batchPortions,
    pars: new Map(house.pars.map((par) => [par.itemId, par.massG])),
    onHand: onHandOf(input.stock, input.reservedG),
    usedUntilMs: sitting.toMs,
  })
  const { tasks, keepFaults } = prepTasks({
    needs,
    shelf,
    cards: house.cards,
    serviceFromMs: sitting.fromMs,
    serviceToMs: sitting.toMs,
    railsS: house.railsMin * 60,
    railHands: railHands(input),
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
  const today = localDay(nowMs, timeZone)
  return {
    drawnAtMs: nowMs,
    portions,
    boats: boatsOf(expected, portions, sitting.day, timeZone),
    tasks: named([...ofRice, ...tasks], input),
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
    buy: buyList(needs.items, shelf, (id) => priceOn(input.pricesOf(id), today)),
    keepFaults,
    faults: needs.faults,
  }
}

/** How many people are there to set the rails. */
function railHands({ house, sitting, timeZone }: ServicePlanInput): number {
  const { people, railsMin } = house
  const serviceMin = Math.round((sitting.fromMs - instantOf(sitting.day, 0, timeZone)) / 60_000)
  return presentThrough(people, weekdayOf(sitting.day), serviceMin - railsMin, serviceMin).length
}

/** Tasks with ids of this plan; of what was made for it before, with the version, so that what was said is not said of them. */
function named(tasks: readonly PrepTask[], { sitting, made, version }: ServicePlanInput): PrepTask[] {
  const ids = new Map(
    tasks.map((task) => {
      const isAgain = made.has(task.itemId ?? (task.id.startsWith('rice:') ? RICE_ITEM : ''))
      return [task.id, `${sitting.id}/${task.id}${isAgain ? `@${version}` : ''}`]
    }),
  )
  return tasks.map((task) => ({
    ...task,
    needs: task.needs.map((need) => ({ ...need, taskId: ids.get(need.taskId) ?? need.taskId })),
    id: ids.get(task.id) ?? task.id,
    dueMs: task.dueMs ?? sitting.fromMs,
  }))
}

function coveredPortions(service: ExpectedService, { edits, margin }: ServicePlanInput): number {
  const { portions, spread } = plannedService(service, edits)
  return wholeUp(portionsToCover(portions, spread, sufficientShare(margin)))
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
  service: ExpectedService | null,
  portions: ServicePlan['portions'],
  day: string,
  timeZone: string,
): ServicePlan['boats'] {
  return (service?.boats ?? []).flatMap(({ minute, share }) =>
    portions.map((dish) => ({
      atMs: instantOf(day, minute, timeZone),
      dishId: dish.dishId,
      portions: dish.portions * share,
    })),
  )
}
