import fc from 'fast-check'
import type { StatedSchools } from '../../book/schools'
import { STAGES, type StageShare } from '../../book/dish'
import { restOf } from '../../book/stages'
import { aBatch, CARROT, CHICKEN, PASTE, PLAIN, SHRIMP } from '../../test/wokDishes'
import { stagedInputs } from './inStages'
import { sequenceBatch, type Sequenced } from './sequenceBatch'
import type { ComponentInput } from './vocabulary'

/** Actions that something goes in at, each with the grams. */
const goesIn = ({ steps }: Sequenced, id: string) =>
  steps.flatMap(({ action, entries }) =>
    entries
      .filter((one) => one.componentId === id && (one.motion === 'in' || one.motion === 'plate'))
      .map(({ massG }) => [action, massG] as const),
  )
const staged = (
  id: string,
  stages: readonly StageShare[],
  more: readonly ComponentInput[] = [],
  schools: StatedSchools = {},
) => {
  const batch = aBatch(more, { egg: 'firstOut', ...schools })
  const components = batch.dish.components.map((one) => (one.id === id ? { ...one, stages } : one))
  return sequenceBatch({ ...batch, dish: { ...batch.dish, components } })
}

test('salt with the protein, the egg, the vegetables and the rice: a quarter each, and in the egg before all', () => {
  const quarter = (['protein', 'egg', 'base', 'rice'] as const).map((at) => ({ at, share: 0.25 }))
  const sequenced = staged('salt', quarter, [SHRIMP, CARROT])
  expect(sequenced.finding).toBeNull()
  const salted = goesIn(sequenced, 'salt')
  expect(salted.map(([action]) => action).sort()).toEqual(['baseIn', 'eggIn', 'proteinIn', 'riceIn'])
  const whole = goesIn(sequenceBatch(aBatch([SHRIMP, CARROT], { egg: 'firstOut' })), 'salt')
  const sum = (some: typeof salted) => some.reduce((total, [, massG]) => total + massG, 0)
  expect(sum(salted)).toBeCloseTo(sum(whole), 2)
  // What is strewn stays on its food: it is taken out with it, and listed once.
  expect(sequenced.steps.flatMap(({ entries }) => entries).filter((one) => one.componentId === 'salt')).toHaveLength(4)
})

test('half of a paste is rubbed into the rice, the other half blooms before it', () => {
  const sequenced = staged(PASTE.id, [{ at: 'rice', share: 0.5 }], [PASTE])
  expect(sequenced.finding).toBeNull()
  const [bloomed, rubbed] = goesIn(sequenced, PASTE.id)
  expect(bloomed![0]).toBe('baseIn')
  expect(rubbed![0]).toBe('riceIn')
  expect(bloomed![1]).toBeCloseTo(rubbed![1], 2)
})

test('garlic early and raw at the end, in shares of the cook’s own', () => {
  const [early, raw] = goesIn(staged('garlic', [{ at: 'finish', share: 0.3 }]), 'garlic')
  expect(early![0]).toBe('baseIn')
  expect(raw![0]).toBe('finishOff')
  expect(raw![1] / (early![1] + raw![1])).toBeCloseTo(0.3, 2)
})

test('a stage that the dish does not have is that of the rice', () => {
  const sequenced = staged('salt', [{ at: 'protein', share: 1 }])
  expect(goesIn(sequenced, 'salt').map(([action]) => action)).toEqual(['riceIn'])
})

test('sauce poured over the protein leaves and comes back with it', () => {
  const sequenced = staged('soy', [{ at: 'protein', share: 0.5 }], [CHICKEN], { rawProtein: 'ownOut' })
  expect(sequenced.finding).toBeNull()
  const motions = sequenced.steps
    .filter(({ entries }) => entries.some(({ componentId }) => componentId === CHICKEN.id))
    .map(({ entries }) => entries.filter(({ componentId }) => componentId === 'soy').map(({ motion }) => motion))
  expect(motions).toEqual([['in'], ['out'], ['back']])
})

test('what has to be cooked through is never split, whatever its line says', () => {
  const chicken = { ...CHICKEN, stages: [{ at: 'finish', share: 0.5 }] as const }
  expect(stagedInputs(chicken)).toEqual([chicken])
  const asVegetable = { ...chicken, role: 'vegetable', mustCook: true } as const
  const sequenced = sequenceBatch(aBatch([asVegetable], { egg: 'firstOut' }))
  for (const step of sequenced.steps.filter(({ action }) => action === 'finishOff'))
    expect(step.entries.map(({ componentId }) => componentId)).not.toContain(CHICKEN.id)
})

test('shares that are no parts of one whole are refused', () => {
  expect(
    restOf([
      { at: 'egg', share: 0.6 },
      { at: 'rice', share: 0.6 },
    ]),
  ).toBeNull()
  expect(
    restOf([
      { at: 'egg', share: 0.2 },
      { at: 'egg', share: 0.2 },
    ]),
  ).toBeNull()
  expect(restOf([{ at: 'egg', share: 0 }])).toBeNull()
  const salt = PLAIN.find(({ id }) => id === 'salt')!
  expect(() => stagedInputs({ ...salt, stages: [{ at: 'egg', share: 2 }] })).toThrow(/shares of salt/)
})

test('however something is shared out, all of it is there, once', () => {
  const shares = fc
    .uniqueArray(fc.constantFrom(...STAGES), { minLength: 1 })
    .chain((stages) =>
      fc.tuple(
        fc.constant(stages),
        fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { minLength: stages.length, maxLength: stages.length }),
      ),
    )
    .map(([stages, weights]) => {
      const sum = weights.reduce((total, one) => total + one, 0)
      return stages.map((at, n) => ({ at, share: weights[n]! / Math.max(1, sum) }))
    })
  fc.assert(
    fc.property(
      shares,
      fc.constantFrom(...PLAIN.filter(({ role }) => role !== 'rice' && role !== 'egg' && role !== 'fat')),
      (stages, one) => {
        fc.pre(restOf(stages) !== null)
        const inputs = stagedInputs({ ...one, stages })
        expect(new Set(inputs.map(({ id }) => id)).size).toBe(inputs.length)
        expect(inputs.reduce((sum, { ratioG }) => sum + ratioG, 0)).toBeCloseTo(one.ratioG, 6)
        expect(inputs.filter(({ id }) => id === one.id)).toHaveLength(1)
      },
    ),
    { numRuns: 100, endOnFailure: true },
  )
})
