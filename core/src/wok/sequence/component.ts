import type { ProximateComposition } from '../../physics/food'
import type { Role, State } from '../../book/dish'
import { cookLimit, type CheckedFood, type CookRules } from '../../safety/limits'
import { killPerS } from '../heat/doneness'
import { FOOD_THERMAL } from '../heat/foodTable'
import type { HeatFood } from '../heat/foods'
import { portionOf, type FoodLoad, type Portion } from '../heat/load'
import { lumpLagS } from './lumps'
import { smokePointC } from './smokePoint'
import { isRawProtein, MEATS, placeOf, refined, type Place } from './place'
import type { Stage } from '../../book/dish'
import type { ComponentInput, PartInput, Tag, TargetKind } from './vocabulary'

/** A component of a batch with everything that the engine asks of it. */
export type WokComponent = {
  id: string
  /** The component of the dish that this is, or a share of. */
  of: string
  /** The stage that this share goes in with; null where it has its own place. */
  stage: Stage | null
  /** Part of a large order that it is fried with; 0 where it is cooked once. */
  lap: number
  role: Role
  state: State
  food: HeatFood
  place: Place
  massG: number
  tempC: number
  pieceMm: number
  isCutAfter: boolean
  isFrozen: boolean
  target: TargetKind
  /** Index at which the target is reached: of softness or browning; of an egg -ln(1 - share set). */
  goal: number
  /** Core [°C] and powers of ten of kill that it must reach; null where nothing is asked. */
  coreC: number | null
  logKill: number | null
  checked: CheckedFood | null
  /** Browning at which it is burnt. */
  burnAt: number
  tags: ReadonlySet<Tag>
  allergens: readonly string[]
  waterFraction: number | undefined
  composition: ProximateComposition | undefined
  /** How much later than its grains the middle of its lumps is warm, as it goes in [s]. */
  lumpLagS: number
  /** Fat that it gives to the metal when it is fried long enough [g]; nothing of what is lean. */
  rendersG: number
  /** Lowest smoke point of a fat [°C]; null of everything else. */
  smokesAtC: number | null
  /** Filled by `portionFor`. */
  portion: Portion | null
}

const FOOD_OF_ROLE: Readonly<Record<Role, HeatFood>> = {
  rice: 'rice',
  egg: 'egg',
  aromatic: 'garlic',
  paste: 'paste',
  // What nobody knows is cooked as the strictest.
  protein: 'poultry',
  vegetable: 'crispVeg',
  drySeasoning: 'seasoning',
  liquidSeasoning: 'seasoning',
  fat: 'oil',
  finish: 'herb',
  garnish: 'herb',
}
/** From the fridge or from the rail [°C]: common practice. */
const FRIDGE_C = 4
const ROOM_C = 20
const FROZEN_C = -18
const DRY_WATER = 0.02

/** Core that ready food should reach and must reach [°C]: house default, after the rice. */
export const READY_C = { aimed: 76, checked: 74 } as const
/** Powers of ten by which a core must be cleaned, besides the rule set's temperature. [M] order of FSIS Appendix A, from memory */
const LOG_KILL: Readonly<Record<CheckedFood, number>> = {
  poultry: 7,
  meat: 5,
  mince: 6.5,
  seafood: 4,
  egg: 5,
  rice: 0,
}
/** Browning at which a food is burnt, by class [C]. */
const BURN_AT: Readonly<Partial<Record<HeatFood, number>>> = { garlic: 8, ginger: 11, herb: 14, paste: 8, egg: 12 }
const USUAL_BURN = { vegetable: 8, raw: 12, ready: 10 } as const
/** Index at which a target is reached, by class [C]; 1 where nothing stands. */
const SOFT_GOAL: Readonly<Partial<Record<HeatFood, number>>> = { crispVeg: 0.4, hardVeg: 0.6, allium: 0.5 }
const GOLDEN = { aromatic: 3, ready: 0.6 } as const
const FRAGRANT_ALLIUM = 0.3
/** An egg counts as set in the vessel from this share on. */
const EGG_SET = 0.85

/**
 * A component of a batch of `riceG` cooked rice.
 * @throws {RangeError} when its ratio or temperature is not a number in its range
 */
export function componentOf(input: PartInput, riceG: number, riceTempC: number, rules: CookRules): WokComponent {
  const { id, role } = input
  const tags = new Set(input.tags ?? [])
  const food = foodOf(input, tags)
  const state = input.state ?? (role === 'rice' ? 'cooked' : role === 'egg' || role === 'protein' ? 'raw' : 'fresh')
  const isRaw = isRawProtein(input, food, state)
  const place = placeOf(input, food, state, tags, isRaw)
  const target = input.target?.kind ?? defaultTarget(place, food, role, state)
  const pieceMm = input.cut?.sizeMm ?? FOOD_THERMAL[food].pieceM * 1000
  const checked = checkedFood(place, food)
  const limit = checked ? cookLimit(rules, checked) : null
  const isFrozen = state === 'frozen' || (input.tempC ?? 0) < -2
  return {
    id,
    of: input.of ?? id,
    stage: input.stage ?? null,
    lap: input.lap ?? 0,
    role,
    state,
    food,
    place: refined(place, target),
    massG: (input.ratioG * riceG) / 100,
    tempC:
      input.tempC ?? (role === 'rice' ? riceTempC : isFrozen ? FROZEN_C : isColdKept(place, food) ? FRIDGE_C : ROOM_C),
    pieceMm,
    isCutAfter: input.cut?.afterCooking ?? false,
    isFrozen,
    target,
    goal: goalOf(target, food, place, input.target?.value),
    coreC: place === 'raw' ? limit!.coreC : place === 'rice' ? limit!.coreC : isHeated(place) ? READY_C.checked : null,
    logKill: place === 'raw' || place === 'egg' ? logKillOf(food, checked!, limit!) : null,
    checked,
    burnAt: BURN_AT[food] ?? USUAL_BURN[place === 'raw' ? 'raw' : place === 'ready' ? 'ready' : 'vegetable'],
    tags,
    allergens: input.allergens ?? [],
    lumpLagS: lumpLagS(input.lumpMm ?? 0),
    rendersG: rendersG(input, food, riceG),
    smokesAtC: smokePointC(food, input.smokesAtC),
    composition: input.composition,
    waterFraction: input.waterFraction ?? (role === 'drySeasoning' ? DRY_WATER : undefined),
    portion: null,
  }
}

/** Leaner food keeps its fat, and of fatter food this share runs out at most. [C] */
const RENDERING = { leastFraction: 0.1, share: 0.6 } as const
function rendersG({ ratioG, fatFraction, composition }: ComponentInput, food: HeatFood, riceG: number): number {
  const fraction = fatFraction ?? composition?.fat ?? FOOD_THERMAL[food].composition.fat ?? 0
  const isMeat = MEATS.includes(food)
  return isMeat && fraction >= RENDERING.leastFraction ? (RENDERING.share * fraction * ratioG * riceG) / 100 : 0
}

/** What the heat model is told of it. */
export const loadOf = (one: WokComponent, share = 1): FoodLoad => ({
  food: one.food,
  massG: one.massG * share,
  tempC: one.tempC,
  pieceMm: one.pieceMm,
  isFrozen: one.isFrozen,
  ...(one.composition && { composition: one.composition }),
  ...(one.waterFraction !== undefined && { waterFraction: one.waterFraction }),
})

/** The same as it lies among other food: a sauce brings all its water as free water. */
export const loadInWok = (one: WokComponent, share = 1): FoodLoad =>
  one.place === 'sauce' ? { ...loadOf(one, share), freeFraction: 1 } : loadOf(one, share)

/**
 * A whole component in the model's terms as it lies among other food, worked out once.
 * @throws {RangeError} when its mass or cut is not a number in its range
 */
export function portionFor(one: WokComponent): Portion {
  one.portion ??= portionOf(loadInWok(one))
  return one.portion
}

function foodOf({ food, role, target }: ComponentInput, tags: ReadonlySet<Tag>): HeatFood {
  if (role === 'drySeasoning' && target?.kind === 'bloomed') return 'paste'
  if (tags.has('mince') && (food === undefined || food === 'meat' || food === 'poultry')) return 'mince'
  if (food === undefined && role === 'fat' && tags.has('sesame')) return 'sesameOil'
  return food ?? FOOD_OF_ROLE[role]
}

function defaultTarget(place: Place, food: HeatFood, role: Role, state: State): TargetKind {
  switch (place) {
    case 'rice':
      return 'dryGrained'
    case 'egg':
      return 'set'
    case 'raw':
      return 'cookedThrough'
    case 'ready':
    case 'readyVeg':
    case 'soft':
      return 'heatedThrough'
    case 'quick':
      return 'fragrant'
    case 'paste':
      return 'bloomed'
    case 'leaf':
      return 'wilted'
    case 'slow':
    case 'crisp':
      return (food === 'allium' && role === 'aromatic') || (food === 'hardVeg' && state === 'fresh')
        ? 'softened'
        : 'tenderCrisp'
    case 'dry':
    case 'volatile':
    case 'sauce':
    case 'fat':
    case 'butter':
    case 'sesame':
    case 'finish':
    case 'garnish':
      return 'none'
  }
}

function goalOf(target: TargetKind, food: HeatFood, place: Place, value: number | undefined): number {
  switch (target) {
    case 'set':
      return -Math.log(1 - Math.min(0.99, value ?? EGG_SET))
    case 'golden':
      return place === 'ready' || place === 'raw' ? GOLDEN.ready : GOLDEN.aromatic
    case 'fragrant':
      return food === 'allium' ? FRAGRANT_ALLIUM : 1
    case 'tenderCrisp':
      return SOFT_GOAL[food] ?? 1
    default:
      return 1
  }
}

function checkedFood(place: Place, food: HeatFood): CheckedFood | null {
  if (place === 'rice') return 'rice'
  if (place === 'egg') return 'egg'
  if (place !== 'raw') return null
  return food === 'seafood' || food === 'meat' || food === 'mince' || food === 'egg'
    ? food
    : food === 'cured'
      ? 'meat'
      : 'poultry'
}

/** The rule set's hold counts by what it kills: so many powers of ten at its own temperature. */
function logKillOf(food: HeatFood, checked: CheckedFood, { coreC, holdS }: { coreC: number; holdS: number }): number {
  const kill = FOOD_THERMAL[food].kill
  return Math.max(LOG_KILL[checked], kill && checked !== 'egg' ? holdS * killPerS(kill, coreC) : 0)
}

const isHeated = (place: Place) => place === 'ready'
const isColdKept = (place: Place, food: HeatFood): boolean =>
  place === 'raw' || place === 'ready' || place === 'egg' || place === 'readyVeg' || MEATS.includes(food)
