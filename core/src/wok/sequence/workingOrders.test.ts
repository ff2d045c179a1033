import { aGriddle, aWok, HOB } from '../../test/stations'
import { aBatch } from '../../test/wokDishes'
import { DISHES_WITHOUT_RAW_MEAT } from '../../test/dishesWithoutRawMeat'
import { RAW_MEAT_DISHES } from '../../test/rawMeatDishes'
import { BASIC, EGG, GARLIC, line, mm, type Line } from '../../test/workingLines'
import type { StatedSchools } from '../../book/schools'
import { usualHandling } from '../heat/usualStations'
import type { HeatStation } from '../heat/vessel'
import { sequenceBatch, type Sequenced } from './sequenceBatch'

const STATIONS: readonly [string, HeatStation, number][] = [
  ['a hob of 3.5 kW', HOB, 260],
  ['a ring of 15 kW', aWok(15_000), 450],
  ['a ring of 24 kW', aWok(24_000), 600],
  ['a griddle', aGriddle(), 700],
]

const cook = (station: HeatStation, batchMassG: number, lines: readonly Line[], schools: StatedSchools): Sequenced =>
  sequenceBatch(
    aBatch([], schools, {
      station,
      batchMassG,
      handling: usualHandling(station),
      dish: { components: [...BASIC, ...lines].map(line) },
    }),
  )
const startOf = ({ steps }: Sequenced, id: string, motion: 'in' | 'back' | 'plate' = 'in') =>
  steps.findIndex(({ entries }) => entries.some((one) => one.componentId === id && one.motion === motion))

describe.each(STATIONS)('at %s', (_, station, batchMassG) => {
  test.each([...RAW_MEAT_DISHES, ...DISHES_WITHOUT_RAW_MEAT])(
    '%s goes in as kitchens cook it',
    (__, lines, schools, orders, wokOnly = []) => {
      const sequenced = cook(station, batchMassG, lines, schools)
      expect(sequenced.finding).toBeNull()
      for (const order of station.kind === 'griddle' ? orders : [...orders, ...wokOnly]) {
        const at = order.map((one) =>
          one.startsWith('<') ? startOf(sequenced, one.slice(1), 'back') : startOf(sequenced, one),
        )
        expect({ order, at, isThere: at.every((one) => one >= 0) }).toEqual({
          order,
          at: [...at].sort((a, b) => a - b),
          isThere: true,
        })
      }
    },
  )
})

/** What takes how long by itself in the vessel [s], on a hob or a ring alike. */
const BANDS: readonly [string, Line, StatedSchools, number, number][] = [
  ['garlic until it smells', GARLIC, {}, 15, 40],
  ['a thin egg in the empty wok', EGG, { egg: 'firstOut' }, 10, 60],
  ['shrimp of 13 mm', ['it', 'protein', 20, { food: 'seafood', ...mm(13) }], { rawProtein: 'ownOut' }, 60, 200],
  ['fine beef', ['it', 'protein', 20, { food: 'meat', ...mm(4) }], { rawProtein: 'ownOut' }, 30, 150],
  ['chicken of 5 mm', ['it', 'protein', 20, { food: 'poultry', ...mm(5) }], { rawProtein: 'ownOut' }, 40, 240],
  ['carrot in fine dice', ['it', 'vegetable', 8, { food: 'hardVeg', ...mm(4) }], {}, 40, 190],
  ['minced stems', ['it', 'vegetable', 10, { food: 'stem', ...mm(5) }], {}, 20, 130],
  ['leaves', ['it', 'vegetable', 12, { food: 'leafy' }], {}, 8, 60],
]
function takesAsKnown(
  station: HeatStation,
  batchMassG: number,
  [, one, schools, leastS, mostS]: (typeof BANDS)[number],
) {
  const sequenced = cook(station, batchMassG, [one], schools)
  expect(sequenced.finding).toBeNull()
  const { durationS } = sequenced.steps[startOf(sequenced, one[0])]!
  expect(durationS).toBeGreaterThanOrEqual(leastS)
  expect(durationS).toBeLessThanOrEqual(mostS)
}
describe.each(STATIONS.slice(0, 3))('at %s', (_, station, batchMassG) => {
  test.each(BANDS)('%s takes as long as kitchens know', (...band) => takesAsKnown(station, batchMassG, band))
})
