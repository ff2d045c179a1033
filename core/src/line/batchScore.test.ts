import fc from 'fast-check'
import { mixedParts } from '../book/batchComponents'
import type { Dish } from '../book/dish'
import { eggWishOf } from '../book/eggWish'
import { component, DISH, RING_HEAT, TOOLS, US } from '../test/kitchen'
import { batchScore } from './batchScore'
import { scoreFaults } from './scoreFaults'

const RICE = component({ id: 'rice', role: 'rice', food: 'rice', ratioG: 100 })
const EGG = component({ id: 'egg', role: 'egg', food: 'egg', ratioG: 16, isRaw: true, allergens: ['egg'] })
const PASTE = component({ id: 'paste', role: 'paste', food: 'paste', ratioG: 4, unknownParts: ['bought paste'] })
const NUT = component({ id: 'nut', role: 'garnish', food: 'nut', ratioG: 3, mayContain: ['peanut'] })
const dishOf = (change: Partial<Dish> = {}): Dish => ({
  ...DISH,
  components: [RICE, EGG, NUT],
  modifiers: [
    { id: 'no-egg', name: 'no egg', removes: ['egg'], scales: [] },
    { id: 'no-rice', name: 'no rice', removes: ['rice'], scales: [] },
  ],
  ...change,
})
const one = (change: object = {}) => ({
  modifiers: [],
  allergies: [],
  parts: [{ portions: 1, modifiers: [] as string[] }],
  ...change,
})
const score = (dish: Dish, change: object = {}) => batchScore(dish, one(change), RING_HEAT, TOOLS, US)

test.each<[string, Dish, object, object]>([
  [
    'a modifier that the dish does not have',
    dishOf(),
    { modifiers: ['no-ham'] },
    { reason: 'modifier', names: ['no-ham'] },
  ],
  ['a modifier that takes the rice', dishOf(), { modifiers: ['no-rice'] }, { reason: 'modifier', names: ['no-rice'] }],
  [
    'an allergen that stays in it',
    dishOf({ modifiers: [] }),
    { allergies: ['egg'] },
    { reason: 'allergen', names: ['egg', 'egg'] },
  ],
  [
    'something in it that nobody knows',
    dishOf({ components: [RICE, PASTE] }),
    { allergies: ['egg'] },
    { reason: 'allergenUnknown' },
  ],
  ['no rice', dishOf({ components: [EGG] }), {}, { reason: 'rice', names: [] }],
])('%s is refused by name', (_, dish, change, expected) => {
  expect(score(dish, change)).toMatchObject({ kind: 'refused', ...expected })
})

test('what may contain the allergen is cooked, and said', () => {
  const result = score(dishOf({ components: [RICE, NUT] }), { allergies: ['peanut'] })
  expect(result.kind).toBe('score')
  expect(result.kind === 'score' && result.batch.perhaps.length).toBeGreaterThan(0)
})

test('law: a batch weighs the same however its portions are spread over tickets, and no step is lost', () => {
  fc.assert(
    fc.property(fc.constantFrom([1], [1, 1], [2, 1], [1, 2, 1]), (portions) => {
      const apart = score(dishOf(), { parts: portions.map((n) => ({ portions: n, modifiers: [] })) })
      const together = score(dishOf(), {
        parts: [{ portions: portions.reduce((sum, n) => sum + n, 0), modifiers: [] }],
      })
      expect(apart.kind).toBe(together.kind)
      if (apart.kind !== 'score' || together.kind !== 'score') return
      expect(apart.score).toEqual(together.score)
    }),
    { numRuns: 4 },
  )
})

describe('a guest has the egg as wished', () => {
  const wishes: Dish['modifiers'] = [
    { id: 'dry', name: 'egg well done', removes: [], scales: [], egg: 'wellDone' },
    { id: 'runny', name: 'egg on top, runny', removes: [], scales: [], egg: 'runny' },
  ]
  const cooked = (modifiers: string[]) => {
    const result = score(dishOf({ modifiers: wishes }), { modifiers, parts: [{ portions: 1, modifiers }] })
    if (result.kind !== 'score') throw new Error(result.kind)
    return result
  }
  const checks = ({ score: { steps } }: ReturnType<typeof cooked>) => steps.flatMap(({ check }) => check?.food ?? [])
  const cautions = ({ score: { steps } }: ReturnType<typeof cooked>) => steps.flatMap((step) => step.cautions)

  test('runny, it is fried beside and goes on top, with the advisory at both steps and no check that it could not pass', () => {
    const runny = cooked(['runny'])
    expect(runny.score.steps.find(({ action }) => action === 'eggOnTop')).toMatchObject({ cue: 'eggOnTopRunny' })
    expect(checks(runny)).toEqual(['rice'])
    expect(cautions(runny).filter((one) => one === 'runnyEgg')).toHaveLength(2)
    expect(scoreFaults(runny.score, runny.batch, US)).toEqual([])
    const stirredIn = {
      ...runny.score,
      steps: runny.score.steps.map((step) => ({ ...step, action: 'eggIn' as const })),
    }
    expect(scoreFaults(stirredIn, runny.batch, US)).toMatchObject([{ why: 'noCheck', names: ['egg'] }])
  })

  test('nobody who did not ask for it gets it: the same score for a plain batch lacks its check', () => {
    const [runny, plain] = [cooked(['runny']), cooked([])]
    expect(cautions(plain)).not.toContain('runnyEgg')
    expect(checks(plain)).toContain('egg')
    expect(scoreFaults(runny.score, plain.batch, US)).toMatchObject([{ why: 'noCheck', names: ['egg'] }])
  })

  test('well done, it is set drier, keeps its check, and takes no less time', () => {
    const [dry, plain] = [cooked(['dry']), cooked([])]
    expect(dry.score.basis?.choice['eggBreak']).toBe('crumbled')
    expect(checks(dry)).toContain('egg')
    expect(dry.score.totalS).toBeGreaterThan(plain.score.totalS)
    expect(eggWishOf(wishes)).toBe('wellDone')
  })

  test('portions that want it otherwise are a batch of their own', () => {
    const dish = dishOf({ modifiers: wishes })
    const parts = [
      { portions: 1, modifiers: [] },
      { portions: 1, modifiers: ['runny'] },
    ]
    expect(mixedParts(dish, { modifiers: [], allergies: [], parts })).toEqual([1])
  })
})
