import { DISH, TOOLS, US } from '../test/kitchen'
import type { Choice } from '../wok/sequence/vocabulary'
import { dishAsWondered, whatIfMap, whatIfQuick, whatIfScore, type Wondered } from './whatIf'

const RING = { kind: 'wok' as const, powerW: 24_000 }
const TODAY: Wondered = {
  portions: 2,
  powerW: 24_000,
  riceTempC: 4,
  riceLumpMm: 0,
  riceWaterFraction: 0.62,
  sauceFactor: 1,
  cutFactor: 1,
  egg: null,
}
const today = whatIfScore(DISH, RING, TODAY, TOOLS, US)
const scoreOf = ({ result }: typeof today) => {
  if (result.kind !== 'score') throw new Error(result.kind)
  return result.score
}
const choice = scoreOf(today).basis!.choice as unknown as Choice

test('the trace lasts as long as its score, and the rice comes to its heat in it', () => {
  const { trace } = today
  expect(trace.at(-1)!.atS).toBeCloseTo(scoreOf(today).totalS, 3)
  expect(Math.max(...trace.map(({ riceC }) => riceC ?? 0))).toBeGreaterThan(74)
  const riceInS = scoreOf(today).steps.find(({ action }) => action === 'riceIn')!.startS
  expect(trace.filter(({ atS }) => atS < riceInS).every(({ riceC }) => riceC === null)).toBe(true)
})

test('on a weak flame the metal falls when the rice goes in; on the ring the rice fries', () => {
  const { trace, ...weak } = whatIfScore(DISH, RING, { ...TODAY, portions: 1, powerW: 6000 }, TOOLS, US)
  const riceInS = scoreOf({ ...weak, trace }).steps.find(({ action }) => action === 'riceIn')!.startS
  const before = trace.filter(({ atS }) => atS <= riceInS).at(-1)!
  const after = trace.filter(({ atS }) => atS > riceInS && atS < riceInS + 40)
  expect(Math.min(...after.map(({ metalC }) => metalC))).toBeLessThan(before.metalC - 5)
  expect(today.trace.some(({ isFrying }) => isFrying)).toBe(true)
})

test('less flame is slower; more sauce leaves more water; a larger cut takes longer', () => {
  const total = (change: Partial<Wondered>) =>
    scoreOf(whatIfScore(DISH, RING, { ...TODAY, ...change }, TOOLS, US)).totalS
  expect(total({ powerW: 10_000 })).toBeGreaterThan(total({}))
  expect(total({ cutFactor: 2 })).toBeGreaterThan(total({}))
  const wettest = (sauceFactor: number) => {
    const { trace } = whatIfScore(DISH, RING, { ...TODAY, sauceFactor }, TOOLS, US)
    return trace.at(-1)!.freeFraction!
  }
  expect(wettest(6)).toBeGreaterThan(wettest(1))
})

test('what is wondered changes nothing but what was named', () => {
  expect(dishAsWondered(DISH, TODAY)).toEqual(DISH)
  const changed = dishAsWondered(DISH, { ...TODAY, sauceFactor: 2, egg: 'onTop' })
  expect(changed.schools.egg).toBe('onTop')
  expect(
    changed.components.filter((one, i) => one.ratioG !== DISH.components[i]!.ratioG).map(({ role }) => role),
  ).toEqual(expect.arrayContaining(['liquidSeasoning']))
})

test('the map: a large batch on a weak flame steams, a small one on a ring fries, more than it holds is full', () => {
  const cells = whatIfMap(DISH, RING, TODAY, choice, US, [200, 500, 6000], [3500, 24_000])
  const at = (riceG: number, powerW: number) => cells.find((one) => one.riceG === riceG && one.powerW === powerW)!
  expect(cells).toHaveLength(6)
  expect(at(200, 24_000).outcome).toBe('fries')
  expect(at(500, 3500).outcome).toBe('steams')
  expect(at(6000, 24_000).outcome).toBe('full')
})

test('the quick answer is near the full one, and says the same of the batch', () => {
  const quick = whatIfQuick(DISH, RING, TODAY, choice, US)!
  expect(quick.outcome).toBe('fries')
  expect(Math.abs(quick.preheatS + quick.totalS - scoreOf(today).totalS) / scoreOf(today).totalS).toBeLessThan(0.15)
})
