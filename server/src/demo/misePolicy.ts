import type { MisePolicy } from 'contract/mise/house'
import { DEFAULT_MISE_POLICY } from '../mise/defaultPolicy'

const H = 60
const MIN_S = 60
const ALL_WEEK = [1, 2, 3, 4, 5, 6, 7]
const shift = (fromMin: number, toMin: number) => ({ weekdays: ALL_WEEK, fromMin, toMin })

const step = (
  kind: MisePolicy['cards'][number]['steps'][number]['kind'],
  handsOnMin: number,
  minPerKg: number,
  waitMin: number,
  rest: Partial<MisePolicy['cards'][number]['steps'][number]> = {},
): MisePolicy['cards'][number]['steps'][number] => ({
  kind,
  handsOnS: handsOnMin * MIN_S,
  handsOnSPerKg: minPerKg * MIN_S,
  waitS: waitMin * MIN_S,
  hands: 1,
  equipment: [],
  ...rest,
})

/** How the sample kitchen does its mise, made up by us: who preps when, tools, the walk, pars, and cards of its own. */
export const DEMO_MISE_POLICY: MisePolicy = {
  ...DEFAULT_MISE_POLICY,
  aheadMin: 90,
  people: [
    { staffId: 'ifeoma', skills: ['shellfish', 'raw'], shifts: [shift(9 * H, 17 * H)] },
    { staffId: 'tam', skills: [], shifts: [shift(12 * H, 22 * H)] },
    { staffId: 'bram', skills: ['raw'], shifts: [shift(14 * H, 17 * H)] },
    { staffId: 'wen', skills: ['raw', 'shellfish'], shifts: [shift(14 * H, 17 * H)] },
    { staffId: 'odalys', skills: ['raw', 'shellfish'], shifts: [shift(16 * H, 17 * H), shift(21 * H, 22 * H)] },
  ],
  homes: {
    'ingredient:oyster-mushroom': 'walk-in',
    'ingredient:kimchi': 'walk-in',
    'ingredient:garlic': 'dry-store',
    'ingredient:ginger': 'dry-store',
    'ingredient:onion': 'dry-store',
    'ingredient:peanut-raw': 'dry-store',
    'ingredient:fish-salted': 'dry-store',
    'ingredient:crab-cooked': 'freezer',
    'recipe:toasted-peanut': 'bench',
  },
  pars: [
    { itemId: 'recipe:house-soy', massG: 1500, written: '1.5 kg' },
    { itemId: 'recipe:black-bean-paste', massG: 800, written: '800 g' },
    { itemId: 'recipe:garlic-butter', massG: 300, written: '300 g' },
  ],
  cards: [
    {
      itemId: 'cut:crab-cooked:shred-6',
      keepH: 24,
      steps: [
        step('thaw', 2, 0, 19 * H, { mostWaitS: 24 * H * MIN_S }),
        step('pick', 5, 45, 0, { skill: 'shellfish' }),
      ],
    },
    {
      itemId: 'cut:fish-salted:dice-3',
      keepH: 48,
      steps: [
        step('soak', 3, 0, 2 * H, { equipment: ['sink'] }),
        step('steam', 3, 0, 20, { equipment: ['steamer'] }),
        step('cool', 1, 0, 25),
        step('cut', 3, 30, 0),
      ],
    },
    {
      itemId: 'cut:pork-belly-raw:slice-4',
      keepH: 24,
      steps: [step('press', 6, 1, 20 * H, { mostWaitS: 30 * H * MIN_S }), step('cut', 4, 9, 0, { skill: 'raw' })],
    },
    {
      itemId: 'recipe:marinated-chicken',
      keepH: 24,
      steps: [step('cut', 4, 10, 0, { skill: 'raw' }), step('marinate', 4, 2, 20, { skill: 'raw' })],
    },
    {
      itemId: 'recipe:black-bean-paste',
      steps: [
        step('soak', 3, 0, 30, { equipment: ['sink'] }),
        step('pound', 8, 18, 0),
        step('simmer', 4, 6, 0, { equipment: ['burner'] }),
      ],
    },
  ],
}
