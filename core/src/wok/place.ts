import type { Component, Schools } from '../book/dish'
import type { Food } from '../book/food'
import { BASE_S } from './houseFigures'

/** The components of a batch by where they stand in the run. Every component stands in exactly one list. */
export type PlacedComponent = {
  egg: Component[]
  oil: Component[]
  rawProtein: Component[]
  slow: Component[]
  quick: Component[]
  paste: Component[]
  crisp: Component[]
  ready: Component[]
  rice: Component[]
  dry: Component[]
  sauce: Component[]
  leaf: Component[]
  finish: Component[]
  garnish: Component[]
}
type Place = keyof PlacedComponent

const RAW_FOODS: readonly Food[] = ['seafood', 'poultry', 'meat', 'mince']
const QUICK_FOODS: readonly Food[] = ['garlic', 'ginger', 'herb']
/** From this many seconds in company a thing goes in before the quick aromatics, which would burn beside it. */
const SLOW_FROM_S = 40

/** Sorts components into the places of a run; the order within a place does not depend on the order of the list. */
export function placeComponents(
  components: readonly Component[],
  garlic: Schools['garlic'] = 'early',
): PlacedComponent {
  const placed: PlacedComponent = {
    egg: [],
    oil: [],
    rawProtein: [],
    slow: [],
    quick: [],
    paste: [],
    crisp: [],
    ready: [],
    rice: [],
    dry: [],
    sauce: [],
    leaf: [],
    finish: [],
    garnish: [],
  }
  const inOrder = [...components].sort((a, b) => compareText(a.id, b.id))
  for (const component of inOrder) placed[placeOf(component, garlic)].push(component)
  placed.slow.sort((a, b) => needS(b) - needS(a) || compareText(a.id, b.id))
  placed.crisp.sort((a, b) => needS(b) - needS(a) || compareText(a.id, b.id))
  return placed
}

/**
 * True of meat, poultry and seafood that must be cooked through at this station, whatever it is called and whatever its role:
 * its row of the table says whether it is raw, and what nobody knows is.
 */
export function isRawProtein({ food, role, isRaw }: Component): boolean {
  const isOddEgg = food === 'egg' && role !== 'egg'
  return (RAW_FOODS.includes(food) || isOddEgg) && isRaw !== false
}

/** True of an egg, in its role, that must be cooked at this station. */
export const isRawEgg = ({ role, isRaw }: Component): boolean => role === 'egg' && isRaw !== false

function placeOf(component: Component, garlic: Schools['garlic']): Place {
  const { role, food } = component
  if (role !== 'rice' && isRawProtein(component)) return 'rawProtein'
  switch (role) {
    case 'rice':
      return 'rice'
    case 'egg':
      return isRawEgg(component) ? 'egg' : 'ready'
    case 'fat':
      return food === 'sesameOil' ? 'finish' : 'oil'
    case 'paste':
      return 'paste'
    case 'drySeasoning':
      return 'dry'
    case 'liquidSeasoning':
      return 'sauce'
    case 'finish':
      return 'finish'
    case 'garnish':
      return 'garnish'
    case 'protein':
      return 'ready'
    case 'aromatic':
      if (food === 'garlic' && garlic === 'atEnd') return 'finish'
      return QUICK_FOODS.includes(food) ? 'quick' : needS(component) >= SLOW_FROM_S ? 'slow' : 'quick'
    case 'vegetable':
      return vegetablePlace(component)
  }
}

function vegetablePlace(component: Component): Place {
  const { food, state } = component
  if (food === 'leafy') return 'leaf'
  if (food === 'readyVeg' || state === 'cooked' || state === 'blanched') return 'ready'
  if (food === 'hardVeg' || food === 'stem' || food === 'mushroom') return 'slow'
  return 'crisp'
}

/** Seconds of house figure that the food asks for in company. */
function needS({ food }: Component): number {
  return BASE_S[food] ?? 0
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0
}
