import { allergensOnList } from 'core/book/allergens'
import { heatOf } from 'core/line/batchHeat'
import { batchScore } from 'core/line/batchScore'
import { roughStationTimes, stationTimes } from 'core/line/stationTimes'
import { scoreFaults } from 'core/line/scoreFaults'
import { usualHandling, usualStation } from 'core/wok/heat/usualStations'
import { dishFromBook } from 'core/wok/sequence/fromBook'
import { sequenceBatch } from 'core/wok/sequence/sequenceBatch'
import { readIngredients } from '../book/ingredient/table.csv'
import { demoDishes } from './demoDishes'
import { DEMO_KITCHEN, DEMO_STATIONS } from './kitchen'

const dishes = demoDishes(readIngredients())
const at = DEMO_STATIONS.map(({ id, kind, powerW }) => ({ id, kind, station: usualStation(kind, powerW) }))
const cases = dishes.flatMap((dish) =>
  at.filter(({ kind }) => kind === dish.stationKind).map((one) => [dish.id, one.id, dish, one.station] as const),
)

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
  const { tools } = DEMO_KITCHEN
  const rules = { ruleSet: DEMO_KITCHEN.ruleSet, isScottish: false }
  const heat = heatOf(station)
  const rough = roughStationTimes({ ...dish, version: 1 }, station.capPortions, heat, rules)
  const full = stationTimes({ ...dish, version: 1 }, station.capPortions, heat, tools, rules)
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
