import { OpenTickets } from 'contract/ticket'
import { DishList } from 'contract/dish'
import { Kitchen } from 'contract/kitchen'
import { allergensOnList } from 'core/book/allergens'
import { heatOf } from 'core/line/batchHeat'
import { batchScore } from 'core/line/batchScore'
import { roughStationTimes, stationTimes, type StationTimes } from 'core/line/stationTimes'
import { scoreFaults } from 'core/line/scoreFaults'
import { usualHandling, usualStation } from 'core/wok/heat/usualStations'
import { dishFromBook } from 'core/wok/sequence/fromBook'
import { sequenceBatch } from 'core/wok/sequence/sequenceBatch'
import { readIngredients } from '../book/ingredient/table.csv'
import { openTestKitchen, send } from '../db/test/testKitchen'
import { boatPlan } from './boatPlan'
import { demoDishes } from './demoDishes'
import { DEMO_KITCHEN, DEMO_STATIONS } from './kitchen'

const dishes = demoDishes(readIngredients())
const at = DEMO_STATIONS.map(({ id, kind, powerW }) => ({ id, kind, station: usualStation(kind, powerW) }))
const cases = dishes.flatMap((dish) =>
  at.filter(({ kind }) => kind === dish.stationKind).map((one) => [dish.id, one.id, dish, one.station] as const),
)

const RULES = { ruleSet: DEMO_KITCHEN.ruleSet, isScottish: false }
const known = new Map<string, StationTimes>()
/** Times of a dish of the sample kitchen at one of its stations, worked out once. */
function fullTimes(
  dish: Parameters<typeof stationTimes>[0],
  station: Parameters<typeof heatOf>[0] & { id: string; capPortions: number },
): StationTimes {
  const key = `${dish.id} ${station.id}`
  const times = known.get(key) ?? stationTimes(dish, station.capPortions, heatOf(station), DEMO_KITCHEN.tools, RULES)
  known.set(key, times)
  return times
}

/** Two portions of each dish of the sample kitchen as the book has it, on each station of its kind. */
test.each(cases)('%s on %s derives unedited, with everything in it', (_dish, _station, dish, station) => {
  const riceG = 2 * dish.portionRiceG
  const derived = sequenceBatch({
    dish: dishFromBook(dish, dish.components, riceG),
    station,
    handling: usualHandling(station),
    batchMassG: riceG,
    riceTempC: 4,
    rules: { ruleSet: 'us' },
  })
  expect(derived.finding).toBeNull()
  const entered = new Set(derived.steps.flatMap(({ entries }) => entries.map(({ componentId }) => componentId)))
  expect(dish.components.filter(({ id }) => !entered.has(id)).map(({ name }) => name)).toEqual([])
  const rice = derived.steps.find(({ action }) => action === 'riceIn')
  expect(rice?.durationS).toBeGreaterThan(15)
  expect(derived.totalS).toBeLessThan(600)
})

test.each(
  dishes.flatMap((dish) =>
    DEMO_STATIONS.filter(({ kind }) => kind === dish.stationKind).map((one) => [dish.id, one.id, dish, one] as const),
  ),
)('the first plan knows how long %s takes on %s, about as long as it does', (_dish, _station, dish, station) => {
  const rough = roughStationTimes({ ...dish, version: 1 }, station.capPortions, heatOf(station), RULES)
  const full = fullTimes({ ...dish, version: 1 }, station)
  expect(Math.abs(rough!.seconds[0]! / full.seconds[0]! - 1)).toBeLessThan(0.2)
})

/** Among wet food garlic browns slowly; it has given its smell long before: common practice. */
test.each(cases)('nobody stands and waits for garlic in one portion of %s on %s', (_dish, _station, dish, station) => {
  const derived = sequenceBatch({
    dish: dishFromBook(dish, dish.components, dish.portionRiceG),
    station,
    handling: usualHandling(station),
    batchMassG: dish.portionRiceG,
    riceTempC: 4,
    rules: { ruleSet: 'us' },
  })
  const roleOf = new Map(dish.components.map(({ id, role }) => [id, role]))
  const aromatic = derived.steps.filter(
    ({ action, entries }) =>
      action === 'baseIn' &&
      entries.length > 0 &&
      entries.every(({ componentId }) => roleOf.get(componentId) === 'aromatic'),
  )
  expect(aromatic.filter(({ durationS }) => durationS > 60)).toEqual([])
})

/** Each modifier alone, and each allergy alone: as full as the station cooks them, and one portion. */
test.each(dishes.map((dish) => [dish.id, dish] as const))(
  'however %s is ordered, what is derived may be fired',
  (_id, dish) => {
    const { tools } = DEMO_KITCHEN
    const rules = { ruleSet: DEMO_KITCHEN.ruleSet, isScottish: false }
    const plate = DEMO_STATIONS.find(({ kind }) => kind === dish.stationKind)!
    const orders = [
      ...dish.modifiers.map(({ id }) => ({ modifiers: [id], allergies: [] })),
      ...allergensOnList('us').map((allergen) => ({ modifiers: [], allergies: [allergen] })),
    ]
    let fired = 0
    for (const { modifiers, allergies } of orders)
      for (const portions of [1, plate.capPortions]) {
        const batch = { modifiers, allergies, parts: [{ portions, modifiers }] }
        const result = batchScore({ ...dish, version: 1 }, batch, heatOf(plate), tools, rules)
        if (result.kind !== 'score') continue
        expect([modifiers, allergies, scoreFaults(result.score, result.batch, rules)]).toEqual([
          modifiers,
          allergies,
          [],
        ])
        fired += 1
      }
    expect(fired).toBeGreaterThan(2)
  },
)

test('at a fresh start every ticket is in time, if the cooks fire what the line proposes', async () => {
  const kitchen = await openTestKitchen()
  try {
    const get = async (path: string) => (await send(kitchen.app, 'GET', path)).json as unknown
    const { tickets } = OpenTickets.parse(await get('/tickets'))
    const { dishes } = DishList.parse(await get('/dishes'))
    const house = Kitchen.parse(await get('/kitchen'))
    const nowMs = Math.min(...tickets.map((ticket) => ticket.placedAtMs)) + 30_000
    const batches = boatPlan(house, dishes, tickets, fullTimes, nowMs, 60_000)
    const portions = tickets.flatMap(({ items }) => items).reduce((sum, item) => sum + item.portions, 0)
    expect(batches.reduce((sum, batch) => sum + batch.portions, 0)).toBe(portions)
    expect(batches.map(({ dishId, lateS }) => [dishId, lateS]).filter(([, lateS]) => Number(lateS) > 0)).toEqual([])
  } finally {
    await kitchen.close()
  }
})
