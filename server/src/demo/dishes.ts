import type { Modifier, StageShare, StationKind } from 'core/book/dish'
import type { DishLine } from 'core/book/resolve'
import type { StatedSchools } from 'core/book/schools'

type Line = [
  name: string,
  ingredientId: string,
  role: DishLine['role'],
  state: DishLine['state'],
  cut: string,
  ratioG: number,
]
/** A second field that begins with `recipe:` names a sub-recipe. */
type DemoDish = {
  id: string
  name: string
  shortName: string
  stationKind?: StationKind
  egg?: StatedSchools['egg']
  portionRiceG: number
  lines: Line[]
  modifiers: Modifier[]
  style: string
  priceMinor: number
  costCeilingMinor: number
  schools?: StatedSchools
  /** Shares of components that go in with other stages. */
  stages?: Readonly<Record<string, readonly StageShare[]>>
  /** Components whose amounts the name is bound to. */
  bound?: string[]
}

const without = (id: string, name: string, ...removes: string[]): Modifier => ({ id, name, removes, scales: [] })
const times = (id: string, name: string, componentId: string, factor: number): Modifier => ({
  id,
  name,
  removes: [],
  scales: [{ componentId, factor }],
})

/** The dishes of the sample kitchen: amounts made up by us, in grams per 100 g of cooked rice. */
export const DISHES: DemoDish[] = [
  {
    id: 'duck',
    style: 'soy-brown',
    priceMinor: 1250,
    costCeilingMinor: 310,
    schools: { oil: 'usual', wipe: 'none', eggBreak: 'curds' },
    bound: ['egg', 'duck', 'pickled-greens'],
    name: 'Duck and pickled greens',
    shortName: 'duck',
    egg: 'firstOut',
    portionRiceG: 220,
    lines: [
      ['rice', 'rice-long-chilled-dry', 'rice', 'cooked', '', 100],
      ['egg', 'egg-whole', 'egg', 'raw', 'beaten', 16],
      ['duck', 'duck-roast', 'protein', 'cooked', 'dice 8 mm', 18.8],
      ['pickled greens', 'mustard-greens-pickled', 'vegetable', 'cured', 'shred 4 mm', 9.2],
      ['garlic', 'garlic', 'aromatic', 'fresh', 'mince 2 mm', 1.4],
      ['oil', 'oil-rapeseed', 'fat', 'fresh', '', 4.5],
      ['white pepper', 'pepper-white', 'drySeasoning', 'fresh', '', 0.1],
      ['duck sauce', 'recipe:duck-sauce', 'liquidSeasoning', 'fresh', '', 6.2],
      ['scallion', 'spring-onion', 'finish', 'fresh', 'slice 2 mm', 4],
    ],
    modifiers: [
      without('no-egg', 'no egg', 'egg'),
      { ...times('extra-egg', 'extra egg', 'egg', 1.5), priceMinor: 100 },
      { ...without('egg-well-done', 'egg well done'), egg: 'wellDone' },
      { ...without('egg-runny', 'egg on top, runny'), egg: 'runny' },
      times('less-salt', 'less salt', 'duck-sauce', 0.6),
      without('no-scallion', 'no scallion', 'scallion'),
    ],
  },
  {
    id: 'crab',
    style: 'pale',
    priceMinor: 1480,
    costCeilingMinor: 420,
    schools: { oil: 'usual', eggBreak: 'crumbled' },
    stages: { salt: [{ at: 'egg', share: 0.3 }] },
    name: 'Crab, ginger and egg white',
    shortName: 'crab',
    egg: 'well',
    portionRiceG: 210,
    lines: [
      ['rice', 'rice-long-chilled-dry', 'rice', 'cooked', '', 100],
      ['egg white', 'egg-white', 'egg', 'raw', 'beaten', 15],
      ['crab', 'crab-cooked', 'protein', 'cooked', 'shred 6 mm', 20],
      ['ginger', 'ginger', 'aromatic', 'fresh', 'mince 2 mm', 2],
      ['oil', 'oil-rapeseed', 'fat', 'fresh', '', 4.5],
      ['salt', 'salt-fine', 'drySeasoning', 'fresh', '', 0.95],
      ['white pepper', 'pepper-white', 'drySeasoning', 'fresh', '', 0.1],
      ['rice wine', 'rice-wine', 'liquidSeasoning', 'fresh', '', 2.5],
      ['scallion', 'spring-onion', 'finish', 'fresh', 'slice 2 mm', 4],
    ],
    modifiers: [
      without('no-egg', 'no egg', 'egg-white'),
      times('less-salt', 'less salt', 'salt', 0.6),
      without('no-scallion', 'no scallion', 'scallion'),
    ],
  },
  {
    id: 'mushroom',
    style: 'soy-brown',
    priceMinor: 1090,
    costCeilingMinor: 260,
    schools: { oil: 'usual' },
    name: 'Oyster mushroom and black bean',
    shortName: 'mushroom',
    portionRiceG: 220,
    lines: [
      ['rice', 'rice-long-chilled-dry', 'rice', 'cooked', '', 100],
      ['oyster mushroom', 'oyster-mushroom', 'vegetable', 'fresh', 'strip 10 mm', 26],
      ['pak choi', 'pak-choi', 'vegetable', 'fresh', 'ribbon 8 mm', 14],
      ['garlic', 'garlic', 'aromatic', 'fresh', 'mince 2 mm', 2],
      ['ginger', 'ginger', 'aromatic', 'fresh', 'mince 2 mm', 1],
      ['black bean paste', 'recipe:black-bean-paste', 'paste', 'cured', 'mince 3 mm', 7.5],
      ['oil', 'oil-rapeseed', 'fat', 'fresh', '', 4.6],
      ['light soy', 'soy-sauce-light', 'liquidSeasoning', 'fresh', '', 5],
      ['sesame oil', 'oil-sesame-toasted', 'finish', 'fresh', '', 0.9],
      ['scallion', 'spring-onion', 'finish', 'fresh', 'slice 2 mm', 4],
    ],
    modifiers: [without('no-sesame', 'no sesame', 'sesame-oil'), without('no-scallion', 'no scallion', 'scallion')],
  },
  {
    id: 'kimchi',
    style: 'tangy-hot',
    priceMinor: 1190,
    costCeilingMinor: 290,
    schools: { oil: 'lean', rice: 'leaveCrust' },
    name: 'Kimchi and pork belly, egg on top',
    shortName: 'kimchi',
    stationKind: 'griddle',
    egg: 'onTop',
    portionRiceG: 230,
    lines: [
      ['rice', 'rice-long-chilled-dry', 'rice', 'cooked', '', 100],
      ['pork belly', 'pork-belly-raw', 'protein', 'raw', 'slice 4 mm', 18],
      ['kimchi', 'kimchi', 'vegetable', 'cured', 'dice 12 mm', 26],
      ['egg', 'egg-whole', 'egg', 'raw', 'whole', 21.7],
      ['oil', 'oil-rapeseed', 'fat', 'fresh', '', 2],
      ['kimchi glaze', 'recipe:kimchi-glaze', 'liquidSeasoning', 'fresh', '', 7],
      ['toasted sesame', 'sesame-toasted', 'finish', 'fresh', '', 0.8],
      ['scallion', 'spring-onion', 'garnish', 'fresh', 'slice 2 mm', 3],
    ],
    modifiers: [
      without('no-egg', 'no egg', 'egg'),
      without('no-pork', 'no pork', 'pork-belly'),
      without('no-sesame', 'no sesame', 'toasted-sesame'),
    ],
  },
  {
    id: 'cauliflower',
    style: 'curry',
    priceMinor: 1080,
    costCeilingMinor: 240,
    schools: { oil: 'usual' },
    name: 'Curry-leaf cauliflower and peanut',
    shortName: 'cauliflower',
    egg: 'firstUnder',
    portionRiceG: 220,
    lines: [
      ['rice', 'rice-long-chilled-dry', 'rice', 'cooked', '', 100],
      ['cauliflower', 'cauliflower', 'vegetable', 'blanched', 'floret 8 mm', 26],
      ['onion', 'onion', 'aromatic', 'fresh', 'dice 4 mm', 9],
      ['curry leaf', 'curry-leaf', 'aromatic', 'fresh', '', 0.7],
      ['chilli', 'chilli-fresh', 'aromatic', 'fresh', 'slice 2 mm', 1.2],
      ['egg', 'egg-whole', 'egg', 'raw', 'beaten', 14],
      ['oil', 'oil-rapeseed', 'fat', 'fresh', '', 5],
      ['curry powder', 'curry-powder', 'drySeasoning', 'fresh', '', 1.1],
      ['salt', 'salt-fine', 'drySeasoning', 'fresh', '', 1.25],
      ['lime juice', 'lime-juice', 'liquidSeasoning', 'fresh', '', 2],
      ['peanut', 'recipe:toasted-peanut', 'finish', 'cooked', 'mince 4 mm', 6],
    ],
    modifiers: [
      without('no-egg', 'no egg', 'egg'),
      without('no-peanut', 'no peanut', 'peanut'),
      without('mild', 'mild', 'chilli'),
      times('less-salt', 'less salt', 'salt', 0.6),
    ],
  },
  {
    id: 'chicken',
    style: 'soy-brown',
    priceMinor: 1150,
    costCeilingMinor: 300,
    schools: { oil: 'usual', wipe: 'betweenStages' },
    name: 'Chicken and salted fish',
    shortName: 'chicken',
    egg: 'firstOut',
    portionRiceG: 220,
    lines: [
      ['rice', 'rice-long-chilled-dry', 'rice', 'cooked', '', 100],
      ['egg', 'egg-whole', 'egg', 'raw', 'beaten', 14],
      ['chicken thigh', 'recipe:marinated-chicken', 'protein', 'marinated', 'dice 8 mm', 25],
      ['salted fish', 'fish-salted', 'protein', 'cured', 'dice 3 mm', 3.5],
      ['ginger', 'ginger', 'aromatic', 'fresh', 'mince 2 mm', 1.5],
      ['lettuce', 'lettuce', 'vegetable', 'fresh', 'ribbon 8 mm', 13],
      ['oil', 'oil-rapeseed', 'fat', 'fresh', '', 5],
      ['white pepper', 'pepper-white', 'drySeasoning', 'fresh', '', 0.1],
      ['light soy', 'soy-sauce-light', 'liquidSeasoning', 'fresh', '', 4],
      ['scallion', 'spring-onion', 'finish', 'fresh', 'slice 2 mm', 4],
    ],
    modifiers: [
      without('no-egg', 'no egg', 'egg'),
      without('no-salted-fish', 'no salted fish', 'salted-fish'),
      { ...times('extra-chicken', 'extra chicken', 'chicken-thigh', 1.5), priceMinor: 250 },
    ],
  },
  {
    id: 'plain',
    style: 'pale',
    priceMinor: 550,
    costCeilingMinor: 120,
    schools: { oil: 'usual' },
    name: 'House plain rice with egg',
    shortName: 'plain',
    egg: 'coated',
    portionRiceG: 180,
    lines: [
      ['rice', 'rice-long-chilled-dry', 'rice', 'cooked', '', 100],
      ['egg', 'egg-whole', 'egg', 'raw', 'beaten', 14],
      ['garlic', 'garlic', 'aromatic', 'fresh', 'mince 2 mm', 1],
      ['oil', 'oil-rapeseed', 'fat', 'fresh', '', 4],
      ['salt', 'salt-fine', 'drySeasoning', 'fresh', '', 0.6],
      ['light soy', 'soy-sauce-light', 'liquidSeasoning', 'fresh', '', 2],
      ['scallion', 'spring-onion', 'finish', 'fresh', 'slice 2 mm', 3],
    ],
    modifiers: [without('no-egg', 'no egg', 'egg'), without('no-scallion', 'no scallion', 'scallion')],
  },
]
