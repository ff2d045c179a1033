import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import { cooksAt } from 'core/line/cooks'
import type { Ticket } from 'contract/ticket'
import { heatOf } from 'core/line/batchHeat'
import { lineNow, type LineBatch } from 'core/line/lineNow'
import { orderOf } from 'core/line/plan/order'
import { onlineEvening } from 'core/line/past/onlineEvening'
import { NO_WISHES } from 'core/line/plan/wishes'
import { planList } from 'core/line/planner/planInstance'
import type { WantedBatch } from 'core/line/planner/placeList'
import { roughStationTimes, stationTimes, type StationTimes } from 'core/line/stationTimes'

/** Enough for the past evenings of a demo; a line that is looked at spends more. */
const EVALUATIONS = 400

/** How long each dish takes at each station, worked out once for all boats of the demo. */
export function demoTimes(kitchen: Kitchen): (dish: Dish, station: Station) => StationTimes | null {
  const known = new Map<string, StationTimes | null>()
  return (dish, station) => {
    const key = `${dish.id} ${station.id}`
    const before = known.get(key)
    if (before !== undefined) return before
    const { capPortions } = station
    const heat = heatOf(station)
    const times =
      roughStationTimes(dish, capPortions, heat, kitchen) ??
      stationTimes(dish, capPortions, heat, kitchen.tools, kitchen)
    known.set(key, times)
    return times
  }
}

/** A boat's tickets as the line would plan them while they come in, one by one: nobody knows the next one yet. */
export function boatPlan(
  kitchen: Kitchen,
  dishes: readonly Dish[],
  tickets: readonly Ticket[],
  timesOf: (dish: Dish, station: Station) => StationTimes | null,
  nowMs: number,
  evaluations = EVALUATIONS,
): LineBatch<Station, Dish>[] {
  const line = {
    stations: kitchen.stations,
    dishes,
    tickets,
    runs: [],
    pasts: [],
    rules: kitchen,
    known: { timesOf, scoreOf: () => null },
    wishes: NO_WISHES,
    orderFor: () => null,
    cooks: cooksAt(kitchen.staff, [], nowMs, kitchen.timeZone),
    nowMs,
  }
  const { basis } = lineNow(line)
  const placedAtMs = new Map<string, number>(tickets.map((ticket) => [ticket.id, ticket.placedAtMs]))
  const boat = {
    ...basis.instance,
    tickets: basis.instance.tickets.map((ticket) => ({ ...ticket, at: (placedAtMs.get(ticket.id) ?? nowMs) / 1000 })),
  }
  let told: WantedBatch[] = []
  const { batches } = onlineEvening(boat, (known) => {
    const { plan, list } = planList(known, { evaluations, start: told })
    told = list
    return plan.batches
  })
  const list = batches.map(({ station, parts, start }) => ({ station, parts, notBefore: start }))
  return lineNow({ ...line, orderFor: () => orderOf(list, basis.pieces) }).batches
}
