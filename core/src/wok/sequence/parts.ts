import type { Vessel } from '../heat/vessel'
import type { WokComponent } from './component'
import { needS } from './needs'
import type { Choice } from './vocabulary'

/** Components of a batch by their place, each list in the order of ids, so that the order of the dish changes nothing. */
export type Parts = {
  rice: WokComponent[]
  egg: WokComponent[]
  raw: WokComponent[]
  ready: WokComponent[]
  quick: WokComponent[]
  /** Garlic that goes in raw once the flame is off. */
  garlicAtEnd: WokComponent[]
  paste: WokComponent[]
  slow: WokComponent[]
  crisp: WokComponent[]
  readyVeg: WokComponent[]
  leaf: WokComponent[]
  soft: WokComponent[]
  dry: WokComponent[]
  volatile: WokComponent[]
  sauce: WokComponent[]
  fat: WokComponent[]
  butter: WokComponent[]
  sesame: WokComponent[]
  finish: WokComponent[]
  garnish: WokComponent[]
  /** Shares that go in with other stages. */
  shares: WokComponent[]
  /** Seconds that each needs alone, estimated. */
  needS: (one: WokComponent) => number
}

/** Thicker than this a raw protein has a stage of its own [mm]. [C] */
const ALONE_FROM_MM = 16

/** A marinade scorches in company, a thick piece needs its time, and what is cut afterwards must come out. */
export const rawAlone = ({ state, pieceMm, isCutAfter }: WokComponent): boolean =>
  state === 'marinated' || pieceMm > ALONE_FROM_MM || isCutAfter

/** Sorts components into their places under the garlic school; what sesame or a soft herb asks goes with the finish. */
export function partsOf(
  components: readonly WokComponent[],
  garlic: Choice['garlic'],
  splitAllergens: readonly string[] | undefined,
  vessel: Vessel,
): Parts {
  const needs = new Map(components.map((one) => [one.id, needS(one, vessel)]))
  const parts: Parts = {
    rice: [],
    egg: [],
    raw: [],
    ready: [],
    quick: [],
    garlicAtEnd: [],
    paste: [],
    slow: [],
    crisp: [],
    readyVeg: [],
    leaf: [],
    soft: [],
    dry: [],
    volatile: [],
    sauce: [],
    fat: [],
    butter: [],
    sesame: [],
    finish: [],
    garnish: [],
    shares: [],
    needS: ({ id }) => needs.get(id) ?? 0,
  }
  for (const one of [...components].sort((a, b) => compareText(a.id, b.id))) {
    if (waitsForSplit(one, splitAllergens) || one.stage === 'finish') {
      parts.finish.push(one)
      continue
    }
    // A share that has to be cooked through keeps a stage of its own.
    if (one.stage !== null && one.place !== 'raw') {
      parts.shares.push(one)
      continue
    }
    const isGarlic = one.place === 'quick' && one.food === 'garlic'
    if (isGarlic && garlic === 'atEnd') parts.garlicAtEnd.push(one)
    else parts[one.place].push(isGarlic && garlic === 'golden' ? { ...one, target: 'golden', goal: 3 } : one)
  }
  // Butter that is all the fat there is fries; beside oil it comes late, onto the rice.
  if (parts.fat.length === 0) parts.fat.push(...parts.butter.splice(0))
  return parts
}

/** What only some guests may have goes in once their portions are out; what has to be fried cannot. */
export const MUST_FRY: readonly WokComponent['place'][] = ['rice', 'egg', 'raw', 'fat']
const waitsForSplit = ({ allergens, place }: WokComponent, split: readonly string[] = []): boolean =>
  !MUST_FRY.includes(place) && allergens.some((one) => split.includes(one))

export const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)
