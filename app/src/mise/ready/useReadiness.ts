import { cookedMassOf } from 'core/rice/waterBalance'
import type { Dish } from 'contract/dish'
import { coverTonight } from 'core/rice/plan/tonight'
import { readinessOf, type Readiness } from 'core/mise/ready/readiness'
import { stockG } from 'core/mise/stock/foldStock'
import { useMemo } from 'react'
import { useDishes } from '../../book/useDishes'
import { onHandOf, useLots } from '../../rice/useLots'
import { useTonight } from '../../rice/useRicePlan'
import { valueOf } from '../../device/worked'
import { useShorts } from '../doing/useShorts'
import type { Mise } from '../useKitchenPlan'
import { useStock } from '../useMise'

const MIN_MS = 60_000

/** How far everything reaches over the boats of the next service; null until everything that it is judged by is here. */
export function useReadiness(mise: Mise): Readiness | null {
  const dishes = useDishes().data?.dishes
  const stock = useStock()
  const { lots, isReady } = useLots()
  const { data: tonight, isLoading: isTonightAwaited } = useTonight()
  const { outlook } = useShorts(mise)
  const { next, plan, states, kitchen, house, tasks } = mise
  const handsHere = useHandsHere(mise)
  const isWaiting = plan.kind === 'working' || !stock.data || isTonightAwaited
  return useMemo(() => {
    const day = next ? states.get(next.id) : undefined
    if (!next?.drawn || !day || !dishes || !isReady || isWaiting) return null
    const gone = new Set(day.dropped)
    const usableG = lots.flatMap(onHandOf).reduce((sum, lot) => sum + lot.massG, 0)
    const coming = lots.filter(({ state }) => ['cooking', 'cooling', 'chilling'].includes(state.stage))
    const comingG = coming.reduce((sum, { state, lot }) => sum + (state.massG || cookedMassOf(lot.load)), 0)
    return readinessOf({
      boats: next.drawn.boats.filter((boat) => !gone.has(boat.dishId)),
      outlook,
      stockG: new Map(stock.rows.map((row) => [row.itemId, stockG(row)])),
      tasks,
      schedule: valueOf(plan)?.schedule ?? null,
      rice: {
        usableG,
        comingG,
        startByMs: coverTonight(usableG, tonight?.demands ?? [], tonight?.leadS ?? null).startByMs,
        gPerPortion: new Map(dishes.map((dish: Dish) => [dish.id, dish.portionRiceG])),
      },
      stations: kitchen.stations.map(({ id, name, kind }) => ({ id, name, kind, heatMin: house.policy.heatMin[kind] })),
      stationKindOf: new Map(dishes.map((dish: Dish) => [dish.id, dish.stationKind])),
      checked: day.checked,
      handsHere,
      serviceMs: next.fromMs,
      checks: house.policy.checks.map((check) => check.id),
    })
  }, [
    next,
    plan,
    states,
    dishes,
    stock.rows,
    lots,
    isReady,
    isWaiting,
    tonight,
    outlook,
    kitchen,
    house,
    tasks,
    handsHere,
  ])
}

/** People of the kitchen who are not away when the service begins. */
function useHandsHere({ next, states, kitchen }: Mise): number {
  const day = next ? states.get(next.id) : undefined
  const atMs = (next?.fromMs ?? 0) + MIN_MS
  const away = new Set(
    (day?.away ?? []).filter((one) => one.fromMs <= atMs && one.toMs > atMs).map((one) => one.staffId),
  )
  return kitchen.staff.filter((one) => !away.has(one.id)).length
}
