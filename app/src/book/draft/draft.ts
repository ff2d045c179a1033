import type { Dish, DishDraft } from 'contract/dish'
import { moneyText, readMoney } from 'core/measure/money'
import {
  SCALINGS,
  type Component,
  type Modifier,
  type Role,
  type Scaling,
  type State,
  type StationKind,
} from 'core/book/dish'
import { slugOf } from 'core/book/resolve'
import { cutWords } from '../dish/cutWords'
import type { HouseStandard } from 'core/book/dish'
import { pinsAmong, type Pin } from 'core/book/pins'
import type { StatedSchools } from 'core/book/schools'
import type { StageShare } from 'core/book/dish'

export type DraftLine = {
  key: string
  written: string
  name: string
  cut: string
  /** What the chef chose; null follows the ingredient. */
  role: Role | null
  state: State | null
  scaling: Scaling
  filmG: number
  capG: number
  stages: readonly StageShare[]
  /** Kept while the name is not typed over. */
  ingredientId: string | null
  recipeId: string | null
  componentId: string | null
  /** The ratio that stood behind this amount: it holds, unrounded, while nobody types over it. */
  keptRatio: { written: string; ratioG: number; riceG: number } | null
}

export type DraftHead = {
  name: string
  shortName: string
  stationKind: StationKind
  schools: StatedSchools
  pins: readonly Pin[]
  style: string
  portionRiceG: number
  price: string
  ceiling: string
  /** How long it holds as if just up, and at all, in minutes as typed; empty leaves it to what is usual. */
  holdFree: string
  holdMost: string
  modifiers: readonly Modifier[]
  standard: HouseStandard | null
}

export type EditedDish = { head: DraftHead; lines: readonly DraftLine[] }

export const blankLine = (key: string): DraftLine => ({
  key,
  written: '',
  name: '',
  cut: '',
  role: null,
  state: null,
  scaling: SCALINGS[0],
  filmG: 0,
  capG: 0,
  stages: [],
  ingredientId: null,
  recipeId: null,
  componentId: null,
  keptRatio: null,
})

const DEFAULT_PORTION_RICE_G = 220

export const blankDraft = (key: string): EditedDish => ({
  head: {
    name: '',
    shortName: '',
    stationKind: 'wok',
    schools: {},
    pins: [],
    style: 'soy-brown',
    portionRiceG: DEFAULT_PORTION_RICE_G,
    price: '',
    ceiling: '',
    holdFree: '',
    holdMost: '',
    modifiers: [],
    standard: null,
  },
  lines: [
    {
      ...blankLine(key),
      written: `${DEFAULT_PORTION_RICE_G} g`,
      name: 'rice',
      ingredientId: 'rice-long-chilled-dry',
      role: 'rice',
    },
  ],
})

/** A dish as it is edited: one portion, every line as text. */
export function draftOfDish(dish: Dish, currency: string, newKey: () => string): EditedDish {
  const price = (minor: number | undefined) => (minor === undefined ? '' : moneyText(minor, currency))
  const minutes = (seconds: number | undefined) => (seconds === undefined ? '' : String(seconds / 60))
  const { name, shortName, stationKind, schools, pins = [], portionRiceG, modifiers } = dish
  return {
    head: {
      name,
      shortName,
      stationKind,
      schools,
      pins,
      style: dish.style ?? 'soy-brown',
      portionRiceG,
      price: price(dish.priceMinor),
      ceiling: price(dish.costCeilingMinor),
      holdFree: minutes(dish.holdFreeS),
      holdMost: minutes(dish.holdMostS),
      modifiers,
      standard: dish.standard ?? null,
    },
    lines: dish.components.map((component) => lineOfComponent(component, portionRiceG, newKey())),
  }
}

function lineOfComponent(component: Component, portionRiceG: number, key: string): DraftLine {
  const massG = (component.ratioG * portionRiceG) / 100
  const cut = component.cut
  const amount = component.written ?? gramsText(massG)
  return {
    key,
    written: amount,
    name: component.name,
    cut: cutWords(cut),
    role: component.role,
    state: component.state,
    scaling: component.scaling,
    filmG: component.filmG ?? 0,
    capG: component.capG ?? 0,
    stages: component.stages ?? [],
    ingredientId: component.ingredientId ?? null,
    recipeId: component.recipeId ?? null,
    componentId: component.id,
    keptRatio: { written: amount, ratioG: component.ratioG, riceG: portionRiceG },
  }
}

export const gramsText = (massG: number) => `${Number(massG.toFixed(massG < 10 ? 2 : 1))} g`
/** Minutes as typed, in seconds; null for nothing, or nothing that can be read. */
export function holdS(text: string): number | null {
  const minutes = Number(text.trim().replace(',', '.'))
  return text.trim() === '' || !(minutes >= 0 && minutes <= 120) ? null : Math.round(minutes * 60)
}

/** The dish that a draft says, its components already read; `id` is its own or made from its name. */
export function dishOfDraft(
  head: DraftHead,
  components: readonly Component[],
  currency: string,
  id: string | null,
): DishDraft {
  const price = readMoney(head.price, currency)
  const ceiling = readMoney(head.ceiling, currency)
  const [holdFreeS, holdMostS] = [holdS(head.holdFree), holdS(head.holdMost)]
  const name = head.name.trim()
  const ids = new Set(components.map((one) => one.id))
  const pins = pinsAmong(head.pins, ids)
  return {
    id: id ?? dishId(name),
    name,
    shortName: head.shortName.trim() || (name.split(/[ ,]/)[0] ?? name).toLowerCase(),
    stationKind: head.stationKind,
    schools: head.schools,
    ...(pins.length > 0 && { pins }),
    portionRiceG: head.portionRiceG,
    ...(holdFreeS !== null && { holdFreeS }),
    ...(holdMostS !== null && { holdMostS }),
    components: components.map(plainComponent),
    modifiers: head.modifiers.map((modifier) => modifierOf(modifier, ids)),
    style: head.style,
    ...('minor' in price && price.minor !== null && { priceMinor: price.minor }),
    ...('minor' in ceiling && ceiling.minor !== null && { costCeilingMinor: ceiling.minor }),
    ...(head.standard && { standard: { name: head.standard.name, lines: [...head.standard.lines] } }),
  }
}

/** A component as it is sent and kept, its lists its own. */
function plainComponent({
  allergensUs,
  mayContain,
  unknownParts,
  stages,
  ...one
}: Component): DishDraft['components'][number] {
  return {
    ...one,
    allergens: [...one.allergens],
    ...(allergensUs && { allergensUs: [...allergensUs] }),
    ...(mayContain && { mayContain: [...mayContain] }),
    ...(unknownParts && { unknownParts: [...unknownParts] }),
    ...(stages && { stages: [...stages] }),
  }
}

/** A variation without what is no longer in the dish. */
function modifierOf({ swaps, adds, ...modifier }: Modifier, ids: ReadonlySet<string>): DishDraft['modifiers'][number] {
  return {
    ...modifier,
    removes: modifier.removes.filter((id) => ids.has(id)),
    scales: modifier.scales.filter(({ componentId }) => ids.has(componentId)),
    ...(swaps && { swaps: swaps.filter((one) => ids.has(one.id)).map(plainComponent) }),
    ...(adds && { adds: adds.map(plainComponent) }),
  }
}

/** Addresses of the book that are no dishes. */
const TAKEN = ['new', 'made-ahead', 'ingredients', 'files', 'styles']

export function dishId(name: string): string {
  const slug = slugOf(name)
  return TAKEN.includes(slug) ? `${slug}-dish` : slug
}
