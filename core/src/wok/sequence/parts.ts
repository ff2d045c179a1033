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
  /** What each part of a large order has of its own, but for the last, which stands in the lists above. */
  laps: Pick<Parts, 'rice' | 'dry' | 'sauce' | 'volatile'>[]
  byId: ReadonlyMap<string, WokComponent>
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
  const byId = new Map<string, WokComponent>()
  const last = Math.max(0, ...components.map(({ lap }) => lap))
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
    laps: [],
    byId,
    needS: ({ id }) => needs.get(id) ?? 0,
  }
  const listFor = (one: WokComponent, isRawAtEnd: boolean): WokComponent[] => {
    if (waitsForSplit(one, splitAllergens) || one.stage === 'finish') return parts.finish
    // A share that has to be cooked through keeps a stage of its own.
    if (one.stage !== null && one.place !== 'raw') return parts.shares
    const lap = one.lap > 0 && one.lap < last ? parts.laps[one.lap - 1] : undefined
    if (lap && (one.place === 'rice' || one.place === 'dry' || one.place === 'sauce' || one.place === 'volatile'))
      return lap[one.place]
    return isRawAtEnd ? parts.garlicAtEnd : parts[one.place]
  }
  parts.laps = Array.from({ length: Math.max(0, last - 1) }, () => ({ rice: [], dry: [], sauce: [], volatile: [] }))
  for (const given of [...components].sort((a, b) => compareText(a.id, b.id))) {
    const isGarlic = given.place === 'quick' && given.food === 'garlic'
    const one: WokComponent = isGarlic && garlic === 'golden' ? { ...given, target: 'golden', goal: 3 } : given
    byId.set(one.id, one)
    listFor(one, isGarlic && garlic === 'atEnd').push(one)
  }
  return parts
}

/** What only some guests may have goes in once their portions are out; what has to be fried cannot. */
export const MUST_FRY: readonly WokComponent['place'][] = ['rice', 'egg', 'raw', 'fat']
const waitsForSplit = ({ allergens, place }: WokComponent, split: readonly string[] = []): boolean =>
  !MUST_FRY.includes(place) && allergens.some((one) => split.includes(one))

export const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)
