import { EGG, GARLIC, SALT, SCALLION, SOY, mm, type WorkingDish } from './workingLines'

/** Working dishes with raw meat or seafood in them. */
export const RAW_MEAT_DISHES: readonly WorkingDish[] = [
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
