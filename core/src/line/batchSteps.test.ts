import fc from 'fast-check'
import { batchScore } from './batchScore'
import { scoreFaults } from './scoreFaults'
import { SCHOOLS } from '../book/schools'
import { rawFoodOf } from '../book/rawFood'
import type { Component, Dish } from '../book/dish'
import { cookLimit } from '../safety/limits'
import { component, DISH, EVERYTHING, RING_HEAT, scoreOnRing, TOOLS, US } from '../test/kitchen'
import type { Score } from '../wok/score'

const RICE = EVERYTHING[0]!
const of = (components: readonly Component[], schools: Partial<Dish['schools']> = {}, portions = 1) =>
  scoreOnRing(portions, { ...DISH, components, schools: { ...DISH.schools, ...schools } })
const stepWith = (score: Score, id: string, motion: string) =>
  score.steps.findIndex(({ entries }) => entries.some((one) => one.componentId === id && one.motion === motion))

test('a run begins with heating the metal and ends with the pick-up; in between lie its seconds without a gap', () => {
  const score = scoreOnRing(2)
  expect(score.steps[0]).toMatchObject({ action: 'heatVessel', startS: 0, figure: 'model' })
  expect(score.steps.at(-1)!.action).toBe('pickUp')
  score.steps.slice(1).forEach((step, i) => {
    const before = score.steps[i]!
    expect(step.startS).toBe(before.startS + before.durationS)
  })
  expect(score.totalS).toBe(score.steps.at(-1)!.startS + score.steps.at(-1)!.durationS)
  expect(score.basis).toMatchObject({ stationVersion: 0, handling: 'toss', riceTempC: 4, warns: [] })
})

test('no oil is called for less than five seconds: it is poured while the metal still heats, or begins the next step', () => {
  const score = scoreOnRing(1)
  const oils = score.steps.filter(({ entries }) => entries.some(({ componentId }) => componentId === 'oil'))
  expect(oils.length).toBeGreaterThan(1)
  for (const { durationS } of oils) expect(durationS).toBeGreaterThanOrEqual(5)
  expect(oils[0]).toMatchObject({ action: 'oilIn', durationS: 5 })
  expect(oils[1]!.entries.map(({ role }) => role).indexOf('fat')).toBe(0)
  expect(oils[1]!.action).not.toBe('oilIn')
})

test('the flame goes off with the finish that comes after it; without one it has a step of its own', () => {
  const actions = (score: Score) => score.steps.map(({ action }) => action)
  const finish = EVERYTHING.find(({ id }) => id === 'scallion')!
  expect(actions(of([RICE]))).toContain('flameOff')
  const finished = of([RICE, finish])
  expect(actions(finished)).not.toContain('flameOff')
  expect(finished.steps.find(({ action }) => action === 'finishOff')?.heat).toBe('off')
})

describe('an egg on top', () => {
  const score = of([RICE, EVERYTHING[1]!, EVERYTHING.at(-1)!], { egg: 'onTop' })
  const at = score.steps.findIndex(({ action }) => action === 'eggOnTop')

  test('goes in on another surface while the rice fries, and takes no time of its own', () => {
    expect(score.steps[at]).toMatchObject({ surface: 'beside', check: null, handsOnS: 5 })
    const without = of([RICE, EVERYTHING.at(-1)!])
    expect(Math.abs(score.totalS - without.totalS)).toBeLessThanOrEqual(2)
  })

  test('is checked on the plate, so that the rice never waits for it; it goes in once', () => {
    const plate = score.steps[stepWith(score, 'egg', 'back')]
    expect(plate).toMatchObject({ action: 'pickUp', check: { food: 'egg', limit: cookLimit(US, 'egg') } })
    const added = score.steps.flatMap(({ entries }) => entries).filter(({ motion }) => motion !== 'back')
    expect(added.filter(({ componentId }) => componentId === 'egg')).toHaveLength(1)
  })
})

test('a load that is too much to toss is scored all the same, and says so', () => {
  const batch = { modifiers: [], allergies: [], parts: [{ portions: 8, modifiers: [] }] }
  const dish = { ...DISH, components: [RICE, EVERYTHING.at(-1)!] }
  const result = batchScore(dish, batch, RING_HEAT, TOOLS, US)
  expect(result).toMatchObject({ kind: 'score', score: { basis: { warns: ['tooFull'] } } })
})

test('what cannot be cooked safely is never scored: it is named, with the change that helps', () => {
  const thick = component({
    id: 'thigh',
    role: 'protein',
    food: 'poultry',
    ratioG: 20,
    cut: { shape: 'dice', sizeMm: 50 },
  })
  const batch = { modifiers: [], allergies: [], parts: [{ portions: 1, modifiers: [] }] }
  const result = batchScore({ ...DISH, components: [RICE, thick] }, batch, RING_HEAT, TOOLS, US)
  expect(result).toMatchObject({ kind: 'infeasible', finding: { bad: [{ code: 'rawCold', componentIds: ['thigh'] }] } })
  expect(result.kind === 'infeasible' && result.finding.change).not.toBeNull()
})

test.each(SCHOOLS.egg)('a raw egg cooked by "%s" has its check', (egg) => {
  const dish = { ...DISH, components: [RICE, { ...EVERYTHING[1]!, ratioG: 12 }, EVERYTHING.at(-1)!], schools: { egg } }
  const batch = { modifiers: [], allergies: [], parts: [{ portions: 1, modifiers: [] }] }
  const result = batchScore(dish, batch, RING_HEAT, TOOLS, US)
  expect(result).toMatchObject({ kind: 'score' })
  if (result.kind !== 'score') return
  const from = result.score.steps.findIndex(({ entries }) => entries.some(({ componentId }) => componentId === 'egg'))
  expect(result.score.steps.slice(from).filter(({ check }) => check?.food === 'egg')).toHaveLength(1)
  expect(scoreFaults(result.score, result.batch, US)).toEqual([])
})

const roles = [
  'egg',
  'aromatic',
  'protein',
  'vegetable',
  'drySeasoning',
  'liquidSeasoning',
  'finish',
  'garnish',
] as const
const foods = ['garlic', 'allium', 'leafy', 'readyVeg', 'seafood', 'poultry', 'meat', 'egg', 'nut'] as const
const states = ['raw', 'marinated', 'cooked', 'cured', 'fresh', 'thawed'] as const
const anyDish = fc
  .array(
    fc.record({
      role: fc.constantFrom(...roles),
      food: fc.constantFrom(...foods),
      state: fc.constantFrom(...states),
      isRaw: fc.constantFrom(true, false, undefined),
      ratioG: fc.integer({ min: 1, max: 12 }),
    }),
    { maxLength: 6 },
  )
  .map((parts) => [
    RICE,
    ...parts.map(({ isRaw, ...part }, n) => {
      const { isRaw: _known, ...one } = component({ ...part, id: `c-${n}` })
      return isRaw === undefined ? one : { ...one, isRaw }
    }),
  ])

test('law: what goes in is what the batch takes, what leaves comes back, and nothing raw is without its check', () => {
  fc.assert(
    fc.property(anyDish, (components) => {
      const batch = { modifiers: [], allergies: [], parts: [{ portions: 1, modifiers: [] }] }
      const result = batchScore({ ...DISH, components }, batch, RING_HEAT, TOOLS, US)
      if (result.kind !== 'score') return
      const { score } = result
      for (const one of components) {
        const own = score.steps.flatMap(({ entries }) => entries).filter(({ componentId }) => componentId === one.id)
        const added = own.filter(({ motion }) => motion === 'in' || motion === 'plate')
        expect(added.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(one.ratioG * 2.2, 1)
        expect(own.filter(({ motion }) => motion === 'out').length).toBeLessThanOrEqual(
          own.filter(({ motion }) => motion === 'back').length,
        )
        const food = rawFoodOf(one)
        if (food === null) continue
        const checks = score.steps.slice(stepWith(score, one.id, 'in')).flatMap(({ check }) => check ?? [])
        const limit = cookLimit(US, food)
        expect(checks.some(({ food: checked, limit: asked }) => checked !== 'rice' && asked.coreC >= limit.coreC)).toBe(
          true,
        )
      }
      expect(score.steps.filter(({ check }) => check?.food === 'rice')).toHaveLength(1)
      expect(scoreFaults(score, result.batch, US)).toEqual([])
    }),
    { numRuns: 25, endOnFailure: true },
  )
})
