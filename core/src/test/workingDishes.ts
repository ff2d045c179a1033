import type { StatedSchools } from '../book/schools'
import type { ComponentInput } from '../wok/sequence/vocabulary'

/** A component in a line: id, role and mass per 100 g of rice. */
export type Line = [id: string, role: ComponentInput['role'], ratioG: number, more?: Partial<ComponentInput>]
export const line = ([id, role, ratioG, more]: Line): ComponentInput => ({ id, role, ratioG, ...more })
export const mm = (sizeMm: number) => ({ cut: { sizeMm } })

export const BASIC: readonly Line[] = [
  ['rice', 'rice', 100],
  ['oil', 'fat', 4],
]
export const EGG: Line = ['egg', 'egg', 15]
export const GARLIC: Line = ['garlic', 'aromatic', 2]
const SOY: Line = ['soy', 'liquidSeasoning', 3]
const SALT: Line = ['salt', 'drySeasoning', 0.5]
const SCALLION: Line = ['scallion', 'finish', 3]

type Orders = readonly (readonly string[])[]
/**
 * Orders that kitchens work by: common practice. Things in the order in which they go in, `<id` when it
 * comes back; on a griddle aromatics may go in after the rice.
 */
export const DISHES: readonly [string, readonly Line[], StatedSchools, Orders, wokOnly?: Orders][] = [
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
  [
    'thin beef in satay',
    [
      ['beef', 'protein', 20, { food: 'meat', ...mm(4) }],
      ['satay', 'paste', 8],
      ['onion', 'aromatic', 8, { food: 'allium', ...mm(8) }],
      ['sprouts', 'vegetable', 10, { food: 'crispVeg', ...mm(3) }],
      ['peanuts', 'finish', 4, { food: 'nut' }],
    ],
    {},
    [
      ['satay', 'rice', 'peanuts'],
      ['onion', 'sprouts', 'rice'],
      ['beef', 'rice', 'peanuts'],
    ],
  ],
  [
    'chicken rice under an omelette',
    [
      ['onion', 'aromatic', 10, { food: 'allium', ...mm(5) }],
      ['chicken', 'protein', 15, { food: 'poultry', ...mm(12) }],
      ['mushrooms', 'vegetable', 6, { food: 'mushroom', ...mm(4) }],
      ['ketchup', 'paste', 12],
      ['peas', 'vegetable', 4, { food: 'peas', state: 'frozen' }],
      EGG,
    ],
    { egg: 'onTop' },
    [
      ['chicken', 'mushrooms', 'rice'],
      ['onion', 'mushrooms', 'rice'],
      ['ketchup', 'rice'],
      ['peas', 'rice'],
    ],
  ],
  [
    'cooked curd with cabbage, hot',
    [
      ['curd', 'protein', 18, { food: 'tofu', ...mm(12) }],
      ['hot paste', 'paste', 7],
      ['carrot', 'vegetable', 5, { food: 'hardVeg', ...mm(3) }],
      ['cabbage', 'vegetable', 6, { food: 'crispVeg', ...mm(4) }],
      ['vinegar', 'liquidSeasoning', 1],
      SCALLION,
    ],
    {},
    [
      ['curd', 'cabbage', 'rice', 'vinegar', 'scallion'],
      ['hot paste', 'cabbage', 'rice'],
    ],
  ],
  [
    'frozen shrimp and squid, cooked mussels',
    [
      ['shrimp', 'protein', 10, { food: 'seafood', state: 'frozen', ...mm(12) }],
      ['squid', 'protein', 8, { food: 'seafood', state: 'frozen', ...mm(8) }],
      ['mussels', 'protein', 6, { food: 'seafood', state: 'cooked', ...mm(15) }],
      GARLIC,
      EGG,
      SCALLION,
    ],
    { egg: 'well' },
    [
      ['shrimp', 'rice', 'egg', 'scallion'],
      ['squid', 'rice', 'egg', 'scallion'],
    ],
  ],
]
