import { usualHandling, usualStation } from 'core/wok/heat/usualStations'
import { dishFromBook } from 'core/wok/sequence/fromBook'
import { sequenceBatch } from 'core/wok/sequence/sequenceBatch'
import { readIngredients } from '../book/ingredient/table.csv'
import { demoDishes } from './demoDishes'
import { DEMO_STATIONS } from './kitchen'

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
