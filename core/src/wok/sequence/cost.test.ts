import { CARROT, GREENS, PEAS, SHRIMP, aBatch } from '../../test/wokDishes'
import { costOf } from './cost'
import { shortfallCost, tooSoftCost } from './costWeights'
import { startDeriving } from './derive'
import { forSeconds, type Move } from './moves'
import type { Done, Ended, Run } from './run'
import type { Choice } from './vocabulary'

const { components } = startDeriving(aBatch([SHRIMP, CARROT, GREENS, PEAS]))
const the = (id: string) => components.find((one) => one.id === id)!

const move = (kind: Move['kind'], slot: Move['slot'], ...ids: string[]): Move => ({
  kind,
  slot,
  ids,
  segment: 'base',
  until: forSeconds(5),
})
const done = (one: Move, more: Partial<Done> = {}): Done => ({
  move: one,
  startS: 0,
  endS: 5,
  startC: 200,
  lowC: 200,
  endC: 200,
  oilG: 0,
  renderedG: 0,
  carriedG: 0,
  onMetalG: 0,
  progress: new Map(),
  burn: new Map(),
  burnPerS: new Map(),
  unproven: [],
  waitedS: 0,
  ...more,
})
const ended = (id: string, more: Partial<Ended> = {}): Ended => ({
  one: the(id),
  progress: 1,
  burn: 0,
  coreC: 80,
  peakC: 80,
  logKill: 9,
  overS: 0,
  softness: the(id).goal,
  ...more,
})
const rice = { startS: 0, doneS: 90, startC: 230, lowestC: 200, fryingS: 60, freeFraction: 0, coreC: 90 }
const NOTHING: Run = {
  choice: { heat: 'full', egg: 'firstOut' } as Choice,
  moves: [],
  preheatS: 100,
  preheatC: 230,
  totalS: 0,
  rice,
  ended: [],
  caramel: 0,
  butterC: 0,
  fatOverK: 0,
  asideK: 0,
  bowlC: null,
  energyResidual: 0,
  waterResidual: 0,
}
const costing = (more: Partial<Run>, isGriddle = false) => costOf({ ...NOTHING, ...more }, { isGriddle })
const inBase = (id: string) => done(move('in', 'base', id))
const RICE = done(move('in', 'rice', 'rice'))
const ENTRY = 0.8

/** What the house would rather not have, each by itself. */
test.each<[string, Partial<Run>, number]>([
  ['a run that costs nothing', {}, 0],
  ['a hundred seconds', { totalS: 100 }, 10],
  ['food taken out', { moves: [done(move('out', 'base', 'shrimp'))] }, 12],
  ['a wipe', { moves: [done(move('wipe', 'wipe'))] }, 6],
  ['something that goes in', { moves: [inBase('carrot')] }, ENTRY],
  ['a wait for the empty vessel', { moves: [done(move('oil', 'oil'), { waitedS: 20 })] }, 1],
  ['metal that falls to 120 °C', { rice: { ...rice, lowestC: 120 } }, 5],
  ['rice that fries for 15 s', { rice: { ...rice, fryingS: 15 } }, 4],
  ['1.6 % of free water', { rice: { ...rice, freeFraction: 0.016 } }, 6],
  ['10 K lost in bowls', { asideK: 10 }, 0.8],
  ['caramel on the metal', { caramel: 3 }, -4],
  ['butter at 200 °C', { butterC: 200 }, 10],
  ['fat 15 K over its smoke point', { fatOverK: 15 }, 3],
  ['garlic at 0.8 of its burn limit', { ended: [ended('garlic', { burn: 0.8 })] }, 12.5],
  ['shrimp that is done for a minute', { ended: [ended('shrimp', { overS: 60 })] }, 6],
  ['carrot at three times its goal', { ended: [ended('carrot', { softness: 3 * the('carrot').goal })] }, 3.677945],
  ['leaves at three times their goal', { ended: [ended('greens', { softness: 3 * the('greens').goal })] }, 2.734823],
  ['a target that is missed by a quarter', { ended: [ended('carrot', { progress: 0.75 })] }, 10],
])('%s', (_, run, cost) => expect(costing(run)).toBeCloseTo(cost, 5))

test('softer always costs more, and each time as soft again by as much: soft through and through is not worse without end', () => {
  for (const what of ['vegetable', 'leaf'] as const) {
    expect(tooSoftCost(1, what)).toBe(0)
    const [once, twice, fourfold] = [4, 8, 16].map((softness) => tooSoftCost(softness, what)) as [
      number,
      number,
      number,
    ]
    expect(twice).toBeGreaterThan(once)
    expect(fourfold - twice).toBeCloseTo(twice - once, 9)
  }
})

test('tomato that is only warmed is missed less than food that is half done', () => {
  expect(shortfallCost('soft', 0.5)).toBeLessThan(shortfallCost('crisp', 0.5) / 2)
  expect(shortfallCost('soft', 1.2)).toBe(0)
})

test('an egg on metal that food was fried on costs, unless it was wiped between', () => {
  const own = done(move('in', 'own', 'shrimp'))
  const egg = done(move('in', 'egg', 'egg'))
  const wiped = [own, done(move('wipe', 'wipe')), egg]
  expect(costing({ moves: [own, egg] }) - costing({ moves: [egg, own] })).toBeCloseTo(4, 6)
  expect(costing({ moves: wiped })).toBeCloseTo(2 * ENTRY + 6, 6)
})

test('garlic after the rice costs on a wok and not on a griddle, and at the finish nowhere', () => {
  const late = { moves: [RICE, done(move('in', 'afterRice', 'garlic'))], ended: [ended('rice'), ended('garlic')] }
  expect(costing(late) - costing(late, true)).toBeCloseTo(10, 6)
  const finish = { moves: [RICE, done(move('in', 'finish', 'garlic'))], ended: [ended('rice'), ended('garlic')] }
  expect(costing(finish)).toBeCloseTo(costing(finish, true), 6)
})

test('frozen peas into the rice cost by their share of it, and a vegetable a little', () => {
  const into = (id: string) => ({ moves: [RICE, done(move('in', 'halfTime', id))], ended: [ended('rice'), ended(id)] })
  const frozen = (30 * the('peas').massG) / the('rice').massG
  expect(costing(into('peas'))).toBeCloseTo(2 * ENTRY + frozen + 2, 6)
  expect(costing({ ...into('peas'), moves: into('peas').moves.reverse() })).toBeCloseTo(2 * ENTRY, 6)
})

test('across zones every move out of one costs', () => {
  const moves = [done(move('out', 'base', 'shrimp')), done(move('out', 'egg', 'egg'))]
  const zones = costing({ moves, choice: { ...NOTHING.choice, heat: 'zones' } })
  expect(zones - costing({ moves })).toBeCloseTo(6, 6)
})
