import fc from 'fast-check'
import { FACTOR, factorFor, learn, type Learned } from './learn'
import type { Lesson } from './lesson'

/** A kitchen whose stations and dishes truly differ from the model; 8 % of noise a run, one in twenty far off. */
function kitchen(seed: number, spread: number) {
  let state = seed
  const random = () => (state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296) / 4_294_967_296
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const truth = new Map(
    ['a', 'b', 'c', 'duck', 'egg', 'crab', 'plain'].map((id) => [
      id,
      Math.exp(spread * (id.length > 1 ? 0.4 : 1) * normal()),
    ]),
  )
  const pick = (of: readonly string[]) => of[Math.floor(random() * of.length)]!
  const run = (known: Learned, n: number): Lesson & { error: number; blindError: number } => {
    const [stationId, dishId] = [pick(['a', 'b', 'c']), pick(['duck', 'egg', 'crab', 'plain'])]
    const factor = factorFor(known.stations.get(stationId)?.factor, known.dishes.get(dishId)?.factor)
    const meant = 240 * truth.get(stationId)! * truth.get(dishId)!
    const actualS = meant * Math.exp(0.08 * normal()) * (random() < 0.05 ? 1.8 : 1)
    const plannedS = 240 * factor
    const error = Math.abs(Math.log(plannedS / meant))
    return { stationId, dishId, atMs: n, plannedS, actualS, factor, error, blindError: Math.abs(Math.log(240 / meant)) }
  }
  return { run }
}
const NOTHING: Learned = { stations: new Map(), dishes: new Map() }

/** Mean error of the plan over kitchens, of runs `from` to `to`, and of a plan that never learns. */
function errors(spread: number, from: number, to: number) {
  let sum = 0
  let blind = 0
  let count = 0
  for (let seed = 1; seed <= 40; seed += 1) {
    const { run } = kitchen(seed * 7919, spread)
    const lessons: Lesson[] = []
    let known = NOTHING
    for (let n = 0; n < to; n += 1) {
      const lesson = run(known, n)
      if (n >= from) {
        sum += lesson.error
        blind += lesson.blindError
        count += 1
      }
      lessons.push(lesson)
      known = learn(lessons)
    }
  }
  return { learned: sum / count, blind: blind / count }
}

test('the error of predicted times halves within twenty runs a station, and goes on falling', () => {
  const early = errors(0.15, 55, 65)
  expect(early.learned).toBeLessThan(early.blind / 2)
  const later = errors(0.15, 140, 160)
  expect(later.learned).toBeLessThan(early.learned)
})

test('where the model is right, noise moves it by less than three parts in a hundred', () => {
  const { learned } = errors(0, 10, 60)
  expect(learned).toBeLessThan(0.03)
})

const lesson = fc.record({
  stationId: fc.constantFrom('a', 'b'),
  dishId: fc.constantFrom('x', 'y', 'z'),
  atMs: fc.nat(1000),
  plannedS: fc.integer({ min: 40, max: 900 }),
  actualS: fc.integer({ min: 1, max: 5000 }),
  factor: fc.constant(1),
})

test('whatever runs say: bounded, the same in any order, and more of the same moves further', () => {
  fc.assert(
    fc.property(fc.array(lesson, { maxLength: 60 }), (lessons) => {
      const { stations, dishes } = learn(lessons)
      for (const { factor } of [...stations.values(), ...dishes.values()]) {
        expect(factor).toBeGreaterThanOrEqual(FACTOR.least)
        expect(factor).toBeLessThanOrEqual(FACTOR.most)
      }
      const turned = learn([...lessons].reverse())
      for (const [id, { factor }] of stations) expect(turned.stations.get(id)!.factor).toBeCloseTo(factor, 4)
    }),
    { numRuns: 60, endOnFailure: true },
  )
  const slow = (n: number) =>
    learn(
      Array.from({ length: n }, (_, atMs) => ({
        stationId: 'a',
        dishId: 'x',
        atMs,
        plannedS: 200,
        actualS: 220,
        factor: 1,
      })),
    ).stations.get('a')!.factor
  expect(slow(1)).toBeLessThan(slow(4))
  expect(slow(4)).toBeLessThan(slow(40))
  expect(slow(40)).toBeLessThan(1.1)
})

test('what was frozen stays, what was thrown away is not looked at', () => {
  const lessons = Array.from({ length: 30 }, (_, n): Lesson => ({
    stationId: 'a',
    dishId: n % 2 ? 'x' : 'y',
    atMs: n,
    plannedS: 200,
    actualS: 240,
    factor: 1,
  }))
  const frozen = learn(lessons, { stations: new Map([['a', { frozen: 1.05 }]]), dishes: new Map() })
  expect(frozen.stations.get('a')).toMatchObject({ factor: expect.closeTo(1.05, 6) as number, runs: 30 })
  const reset = learn(lessons, { stations: new Map([['a', { sinceMs: 1000 }]]), dishes: new Map() })
  expect(reset.stations.has('a')).toBe(false)
})

test('a station and a dish together move in whole steps and stay in their bounds', () => {
  expect(factorFor(undefined, undefined)).toBe(1)
  expect(factorFor(1.019, undefined)).toBe(1)
  expect(factorFor(0.985, undefined)).toBe(1)
  expect(factorFor(0.96, 1)).toBeCloseTo(0.96, 9)
  expect(factorFor(1.08, 1.03)).toBeCloseTo(1.1, 9)
  expect(factorFor(1.25, 1.25)).toBeCloseTo(1.24, 9)
})
