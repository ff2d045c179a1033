import { aGriddle, aWok, HOB } from '../../test/stations'
import { aBatch } from '../../test/wokDishes'
import type { StatedSchools } from '../../book/schools'
import { usualHandling } from '../heat/usualStations'
import type { HeatStation } from '../heat/vessel'
import { sequenceBatch, type Sequenced } from './sequenceBatch'
import type { ComponentInput } from './vocabulary'

/** Orders that kitchens work by, and bands of seconds: common practice. */
type Line = [id: string, role: ComponentInput['role'], ratioG: number, more?: Partial<ComponentInput>]
const line = ([id, role, ratioG, more]: Line): ComponentInput => ({ id, role, ratioG, ...more })
const mm = (sizeMm: number) => ({ cut: { sizeMm } })

const BASIC: readonly Line[] = [
  ['rice', 'rice', 100],
  ['oil', 'fat', 4],
]
const EGG: Line = ['egg', 'egg', 15]
const GARLIC: Line = ['garlic', 'aromatic', 2]
const SOY: Line = ['soy', 'liquidSeasoning', 3]
const SALT: Line = ['salt', 'drySeasoning', 0.5]
const SCALLION: Line = ['scallion', 'finish', 3]
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

type Orders = readonly (readonly string[])[]
/** Things in the order in which they go in, `<id` when it comes back; on a griddle aromatics may go in after the rice. */
const DISHES: readonly [string, readonly Line[], StatedSchools, Orders, wokOnly?: Orders][] = [
  [
    'egg rice with ham, shrimp and peas',
    [
      EGG,
      ['shrimp', 'protein', 15, { food: 'seafood', ...mm(10) }],
      ['ham', 'protein', 10, { food: 'cured', readyToEat: true, ...mm(6) }],
      ['peas', 'vegetable', 8, { food: 'peas', state: 'blanched' }],
      SALT,
      SCALLION,
    ],
    { egg: 'firstOut' },
    [
      ['egg', 'rice', '<egg', 'scallion'],
      ['shrimp', 'rice', 'salt', 'scallion'],
    ],
  ],
  [
    'garlic rice',
    [['garlic', 'aromatic', 6], SALT, SCALLION],
    { heat: 'mediumThenHigh' },
    [['garlic', 'salt', 'scallion']],
  ],
  [
    'rice with a spice paste, chicken and an egg on top',
    [
      ['chicken', 'protein', 20, { food: 'poultry', ...mm(8) }],
      ['paste', 'paste', 5],
      ['sweet soy', 'liquidSeasoning', 4],
      EGG,
    ],
    { egg: 'onTop' },
    [
      ['paste', 'rice', 'sweet soy'],
      ['chicken', 'rice'],
    ],
  ],
  [
    'basil beef',
    [
      ['beef', 'protein', 20, { food: 'mince', ...mm(5) }],
      GARLIC,
      ['chilli', 'aromatic', 1.5, { food: 'herb' }],
      ['fish sauce', 'liquidSeasoning', 2.5],
      ['basil', 'finish', 3, { food: 'herb', tags: ['tender'] }],
    ],
    {},
    [['beef', 'rice', 'fish sauce', 'basil']],
    [['garlic', 'rice']],
  ],
  [
    'golden rice',
    [['yolk', 'egg', 9, { tags: ['yolk'] }], SALT, SCALLION],
    { egg: 'coated' },
    [['rice', 'salt', 'scallion']],
  ],
  [
    'carrot, onion and cabbage',
    [
      ['onion', 'aromatic', 10, { food: 'allium', ...mm(6) }],
      ['carrot', 'vegetable', 8, { food: 'hardVeg', ...mm(4) }],
      ['greens', 'vegetable', 10, { food: 'leafy' }],
      GARLIC,
      SOY,
      ['white pepper', 'drySeasoning', 0.1, { tags: ['volatile'] }],
      ['sesame oil', 'fat', 0.8, { food: 'sesameOil' }],
    ],
    {},
    [
      ['carrot', 'rice', 'soy', 'sesame oil'],
      ['onion', 'rice', 'greens', 'white pepper', 'sesame oil'],
      ['garlic', 'rice'],
    ],
  ],
  [
    'tomato and egg, in a well',
    [EGG, ['tomato', 'vegetable', 14, { food: 'softVeg', ...mm(15) }], SALT, SCALLION],
    { egg: 'well' },
    [['rice', 'egg', 'scallion']],
  ],
  [
    'butter and corn',
    [['corn', 'vegetable', 12, { food: 'readyVeg', state: 'frozen' }], ['butter', 'fat', 3, { food: 'butter' }], SOY],
    {},
    [
      ['rice', 'butter'],
      ['corn', 'butter'],
    ],
  ],
  [
    'onion, mince and tomato',
    [
      ['onion', 'aromatic', 10, { food: 'allium', ...mm(6) }],
      GARLIC,
      ['beef', 'protein', 20, { food: 'mince', ...mm(5) }],
      ['tomato', 'vegetable', 15, { food: 'softVeg', ...mm(15) }],
      EGG,
      SOY,
    ],
    {},
    [['onion', 'beef', 'rice', 'tomato']],
    [['onion', 'garlic', 'rice']],
  ],
  [
    'curry rice with prawns and pineapple',
    [
      ['onion', 'aromatic', 8, { food: 'allium', ...mm(8) }],
      GARLIC,
      ['curry powder', 'drySeasoning', 1.5],
      ['prawns', 'protein', 15, { food: 'seafood', ...mm(14) }],
      ['pineapple', 'vegetable', 15, { food: 'softVeg', ...mm(12) }],
      ['cashews', 'finish', 5, { food: 'nut' }],
    ],
    {},
    [
      ['onion', 'prawns', 'rice', 'pineapple', 'cashews'],
      ['rice', 'curry powder', 'cashews'],
    ],
    [['onion', 'garlic', 'rice']],
  ],
  [
    'cooked duck and beans',
    [
      ['duck', 'protein', 15, { food: 'poultry', state: 'cooked', ...mm(10) }],
      ['beans', 'vegetable', 10, { food: 'stem', ...mm(6) }],
      GARLIC,
      EGG,
      SOY,
    ],
    { egg: 'well' },
    [['duck', 'beans', 'rice', 'egg', 'soy']],
  ],
  [
    'tofu with bean sprouts',
    [
      ['tofu', 'protein', 18, { food: 'tofu', ...mm(12) }],
      ['sprouts', 'vegetable', 10, { food: 'crispVeg', ...mm(3) }],
      ['ginger', 'aromatic', 1.5, { food: 'ginger' }],
      SOY,
    ],
    {},
    [['tofu', 'sprouts', 'rice', 'soy']],
  ],
  [
    'marinated pork, taken out',
    [['pork', 'protein', 18, { food: 'meat', state: 'marinated', ...mm(4) }], GARLIC, SOY, SCALLION],
    {},
    [['pork', 'rice', '<pork', 'scallion']],
  ],
  [
    'black pepper beef',
    [
      ['beef', 'protein', 22, { food: 'meat', state: 'marinated', ...mm(5) }],
      ['onion', 'vegetable', 10, { food: 'allium', ...mm(12) }],
      ['bell pepper', 'vegetable', 8, { food: 'crispVeg', ...mm(12) }],
      ['black pepper', 'drySeasoning', 0.6],
      EGG,
      SOY,
    ],
    {},
    [
      ['beef', 'onion', 'rice', '<beef'],
      ['beef', 'bell pepper', 'rice', 'soy'],
    ],
  ],
  [
    'turkey, sprouts and bacon',
    [
      ['turkey', 'protein', 20, { food: 'poultry', state: 'cooked', ...mm(10) }],
      ['sprouts', 'vegetable', 12, { food: 'stem', state: 'blanched', ...mm(10) }],
      ['bacon', 'protein', 6, { food: 'cured', state: 'raw', ...mm(8) }],
      ['onion', 'aromatic', 8, { food: 'allium', ...mm(6) }],
      EGG,
      SOY,
    ],
    {},
    [
      ['bacon', 'onion', 'rice', 'soy'],
      ['bacon', 'turkey', 'rice', 'soy'],
      ['bacon', 'sprouts', 'rice', 'soy'],
    ],
  ],
  [
    'crab, onion and tomato',
    [
      GARLIC,
      EGG,
      ['crab', 'protein', 12, { food: 'seafood', state: 'cooked', readyToEat: true, ...mm(10) }],
      ['onion', 'vegetable', 8, { food: 'allium', ...mm(10) }],
      ['tomato', 'vegetable', 8, { food: 'softVeg', ...mm(20) }],
      ['fish sauce', 'liquidSeasoning', 2],
      SCALLION,
    ],
    { egg: 'well' },
    [['onion', 'rice', 'tomato', 'fish sauce', 'scallion']],
    [['garlic', 'rice', 'egg']],
  ],
  [
    'thin beef and onion under a sweet sauce',
    [
      ['beef', 'protein', 25, { food: 'meat', ...mm(2) }],
      ['onion', 'vegetable', 15, { food: 'allium', ...mm(5) }],
      ['tare', 'liquidSeasoning', 6],
    ],
    {},
    [
      ['beef', 'rice', 'tare'],
      ['onion', 'rice', 'tare'],
    ],
  ],
  [
    'chicken, sausage and bell pepper',
    [
      ['chicken', 'protein', 18, { food: 'poultry', ...mm(15) }],
      ['sausage', 'protein', 8, { food: 'cured', state: 'cooked', readyToEat: true, ...mm(6) }],
      ['bell pepper', 'vegetable', 8, { food: 'crispVeg', ...mm(8) }],
      ['ginger', 'aromatic', 1.5, { food: 'ginger' }],
      GARLIC,
      SOY,
      SCALLION,
    ],
    {},
    [['chicken', 'bell pepper', 'rice', 'soy', 'scallion']],
  ],
  [
    'noodles in part of the rice',
    [['noodles', 'vegetable', 30, { food: 'noodle', state: 'cooked' }], EGG, SOY, SCALLION],
    { egg: 'firstOut' },
    [['egg', 'rice', 'soy', 'scallion']],
  ],
]

describe.each(STATIONS)('at %s', (_, station, batchMassG) => {
  test.each(DISHES)('%s goes in as kitchens cook it', (__, lines, schools, orders, wokOnly = []) => {
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
  })
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
