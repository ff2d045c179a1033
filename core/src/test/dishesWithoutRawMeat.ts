import { EGG, GARLIC, SALT, SCALLION, SOY, mm, type WorkingDish } from './workingLines'

/** Working dishes whose meat, if any, came cooked. */
export const DISHES_WITHOUT_RAW_MEAT: readonly WorkingDish[] = [
  [
    'garlic rice',
    [['garlic', 'aromatic', 6], SALT, SCALLION],
    { heat: 'mediumThenHigh' },
    [['garlic', 'salt', 'scallion']],
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
    'noodles in part of the rice',
    [['noodles', 'vegetable', 30, { food: 'noodle', state: 'cooked' }], EGG, SOY, SCALLION],
    { egg: 'firstOut' },
    [['egg', 'rice', 'soy', 'scallion']],
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
]
