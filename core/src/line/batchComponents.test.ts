import fc from 'fast-check'
import { component, DISH, RING_HEAT, TOOLS, US } from '../test/kitchen'
import { batchScore } from './batchScore'
import { batchComponents, mixedParts, type BatchInput } from '../book/batchComponents'
import type { Dish } from '../book/dish'

const rice = component({ id: 'rice', role: 'rice', food: 'rice', ratioG: 100 })
const peanut = component({ id: 'peanut', role: 'garnish', food: 'nut', ratioG: 3, allergens: ['peanut'] })
const crisp = component({ id: 'crisp', role: 'garnish', food: 'seasoning', ratioG: 2 })
const seed = component({ id: 'peanut', ingredientId: 'seed', name: 'seed', role: 'garnish', food: 'nut', ratioG: 4 })
const dish: Dish = {
  ...DISH,
  components: [rice, component({ id: 'egg', role: 'egg', food: 'egg', ratioG: 16, isRaw: false }), peanut],
  modifiers: [
    { id: 'no-peanut', name: 'no peanut', removes: ['peanut'], scales: [] },
    { id: 'half-peanut', name: 'half', removes: [], scales: [{ componentId: 'peanut', factor: 0.5 }] },
    { id: 'crisp', name: 'with crisp', removes: [], scales: [], adds: [crisp] },
    { id: 'seed', name: 'seed for peanut', removes: [], scales: [], swaps: [seed] },
    { id: 'no-egg', name: 'no egg', removes: ['egg'], scales: [] },
  ],
}
const batchOf = (parts: BatchInput['parts'], modifiers: string[] = []) => {
  const result = batchComponents(dish, { modifiers, allergies: [], parts }, 'eu')
  if (result.kind !== 'batch') throw new Error(result.kind)
  return result.batch
}
const massOf = (batch: ReturnType<typeof batchOf>, name: string) =>
  batch.components.filter(({ component: one }) => one.name === name).reduce((sum, one) => sum + one.massG, 0)

test.each<[string, string[], Record<string, number>]>([
  ['left out', ['no-peanut'], { peanut: 6.6, crisp: 0, seed: 0 }],
  ['half of it', ['half-peanut'], { peanut: 9.9, crisp: 0, seed: 0 }],
  ['something on top', ['crisp'], { peanut: 13.2, crisp: 4.4, seed: 0 }],
  ['something instead', ['seed'], { peanut: 6.6, crisp: 0, seed: 8.8 }],
])('of two portions one with "%s" takes %j', (_what, modifiers, masses) => {
  const batch = batchOf([
    { portions: 1, modifiers },
    { portions: 1, modifiers: [] },
  ])
  for (const [name, massG] of Object.entries(masses)) expect(massOf(batch, name)).toBeCloseTo(massG, 9)
})

test('a batch weighs what its portions weigh each alone, whatever is asked of each', () => {
  const late = fc.subarray(['no-peanut', 'half-peanut', 'crisp', 'seed'])
  fc.assert(
    fc.property(
      fc.array(fc.record({ portions: fc.integer({ min: 1, max: 5 }), modifiers: late }), {
        minLength: 1,
        maxLength: 5,
      }),
      (parts) => {
        const whole = batchOf(parts)
        for (const name of ['rice', 'egg', 'peanut', 'crisp', 'seed']) {
          const alone = parts.reduce((sum, part) => sum + massOf(batchOf([part]), name), 0)
          expect(massOf(whole, name)).toBeCloseTo(alone, 6)
        }
        const grouped = whole.groups.flatMap((group) => group.components)
        const own = whole.components.filter(
          ({ component: one }) => !whole.shared.some((all) => all.component.name === one.name),
        )
        const sum = (list: readonly { massG: number }[]) => list.reduce((all, one) => all + one.massG, 0)
        expect(sum(grouped)).toBeCloseTo(sum(own), 6)
      },
    ),
  )
})

test('"take 1 out, then peanut 6.6 g on the other": what one declined is no step of its portion', () => {
  const parts = [
    { portions: 1, modifiers: ['no-peanut'] },
    { portions: 1, modifiers: [] },
  ]
  const result = batchScore(dish, { modifiers: [], allergies: [], parts }, RING_HEAT, TOOLS, US)
  const steps = result.kind === 'score' ? result.score.steps : []
  const out = steps.findIndex((step) => step.apart)
  const on = steps.findIndex((step) => step.entries.some((entry) => entry.name === 'peanut'))
  expect(steps[out]).toMatchObject({ action: 'takeOut', apart: { portions: 1, without: ['peanut'] } })
  expect(on).toBeGreaterThan(out)
  expect(steps[on]).toMatchObject({ action: 'finishOn', onPortions: 1 })
  expect(steps[on]!.entries[0]!.massG).toBeCloseTo(6.6, 9)
})

test('parts that are cooked differently are named; what waits for the end may be mixed', () => {
  const parts = [
    { portions: 1, modifiers: ['no-peanut'] },
    { portions: 1, modifiers: ['no-egg'] },
  ]
  expect(mixedParts(dish, { modifiers: [], allergies: [], parts })).toEqual([1])
  expect(mixedParts(dish, { modifiers: ['no-egg'], allergies: [], parts })).toEqual([0])
})
