import type { Cut } from '../../book/dish'
import type { Food } from '../../book/food'
import type { RecipeKind } from '../../book/recipe/recipe'
import type { ItemNeed } from './netNeeds'

/** What a step of prep is. */
export const STEP_KINDS = [
  'thaw',
  'soak',
  'wash',
  'cut',
  'pick',
  'mix',
  'marinate',
  'pound',
  'blanch',
  'steam',
  'simmer',
  'toast',
  'dry',
  'press',
  'cool',
  'spread',
  'cook',
  'rails',
] as const
export type StepKind = (typeof STEP_KINDS)[number]

/**
 * One step of a prep card: so long with hands, a fixed part and a part by the kilo; then so long without. Equipment is held
 * through both. `mostWaitS`: the next step begins no later than so long after this one.
 */
export type PrepStep = {
  kind: StepKind
  handsOnS: number
  handsOnSPerKg: number
  waitS: number
  hands: number
  equipment: readonly string[]
  skill?: string
  mostWaitS?: number
}
/** How an item is made, step by step, and how long it keeps [h]. */
export type PrepCard = { itemId: string; steps: readonly PrepStep[]; keepH?: number }

const MIN_S = 60
const H_S = 3600

const step = (kind: StepKind, handsOnMin: number, minPerKg: number, rest: Partial<PrepStep> = {}): PrepStep => ({
  kind,
  handsOnS: handsOnMin * MIN_S,
  handsOnSPerKg: minPerKg * MIN_S,
  waitS: 0,
  hands: 1,
  equipment: [],
  ...rest,
})

/** Minutes a kilo by hand, board and knife ready. Common practice; a kitchen's own card replaces it. */
const CUT_MIN_PER_KG: Readonly<Record<Cut['shape'], readonly (readonly [upToMm: number, minPerKg: number])[]>> = {
  whole: [[Infinity, 2]],
  dice: [
    [3, 22],
    [6, 14],
    [10, 9],
    [Infinity, 6],
  ],
  mince: [
    [2, 26],
    [Infinity, 18],
  ],
  slice: [
    [2, 13],
    [Infinity, 8],
  ],
  shred: [
    [4, 14],
    [Infinity, 10],
  ],
  ribbon: [[Infinity, 6]],
  strip: [[Infinity, 7]],
  floret: [[Infinity, 9]],
  beaten: [[Infinity, 4]],
}
const SET_UP_MIN = 3

function cutStep(cut: Cut): PrepStep {
  const minPerKg = CUT_MIN_PER_KG[cut.shape].find(([upToMm]) => (cut.sizeMm ?? 5) <= upToMm)![1]
  return step(cut.shape === 'beaten' ? 'mix' : 'cut', SET_UP_MIN, minPerKg)
}

/** What a kind of sub-recipe takes where the kitchen wrote no card. Common practice. */
const RECIPE_STEPS: Readonly<Record<RecipeKind, readonly PrepStep[]>> = {
  sauce: [step('mix', 6, 4)],
  marinade: [step('cut', SET_UP_MIN, 9), step('marinate', 4, 2, { waitS: 20 * MIN_S })],
  paste: [step('pound', 8, 18)],
  butter: [step('mix', 6, 6), step('cool', 1, 0, { waitS: 30 * MIN_S })],
  toasted: [step('toast', 4, 2, { waitS: 10 * MIN_S, equipment: ['oven'] }), step('cool', 1, 0, { waitS: 20 * MIN_S })],
  stock: [
    step('simmer', 10, 2, { waitS: 90 * MIN_S, equipment: ['burner'] }),
    step('cool', 4, 1, { waitS: 45 * MIN_S, equipment: ['sink'] }),
  ],
  other: [step('mix', 8, 6)],
}

const HARD: readonly Food[] = ['hardVeg', 'stem']

/** The steps of an item: the kitchen's own card, else what its kind, state and cut usually take. Nothing for what is bought. */
export function stepsOf(
  need: Pick<ItemNeed, 'itemId' | 'ref' | 'cut' | 'state' | 'food'>,
  cards: readonly PrepCard[],
  recipeKind: RecipeKind | null,
): readonly PrepStep[] {
  const own = cards.find((card) => card.itemId === need.itemId)
  if (own) return own.steps
  if (need.ref.kind === 'recipe') return RECIPE_STEPS[recipeKind ?? 'other']
  if (need.ref.kind === 'ingredient') return []
  const before: PrepStep[] = []
  if (need.state === 'thawed') before.push(step('thaw', 2, 0, { waitS: 19 * H_S, mostWaitS: 24 * H_S }))
  if (need.state === 'soaked') before.push(step('soak', 3, 0, { waitS: 2 * H_S, equipment: ['sink'] }))
  const after: PrepStep[] = []
  if (need.state === 'blanched' || (HARD.includes(need.food) && need.state === 'cooked'))
    after.push(
      step('blanch', 6, 5, { equipment: ['burner'] }),
      step('cool', 2, 1, { waitS: 12 * MIN_S, equipment: ['sink'] }),
    )
  return [...before, cutStep(need.ref.cut), ...after]
}

/** How long what was cut keeps in the cold [h]. Common practice, raw protein and shellfish within the day. */
const CUT_KEEPS_H: Partial<Record<Food, number>> = {
  seafood: 24,
  poultry: 24,
  meat: 24,
  mince: 24,
  egg: 24,
  herb: 24,
  allium: 48,
  leafy: 48,
}
/** How long something keeps once it is cut [h]: house figures, common practice. */
export const cutKeepsH = (food: Food): number => CUT_KEEPS_H[food] ?? 72
