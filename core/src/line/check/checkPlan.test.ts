import { exactPoints } from '../../test/exactLine'
import { numbersFrom, smallInstance, tinyInstance } from '../../test/lineInstances'
import type { LineBatch, LineInstance } from '../planner/instance'
import { planInstance, type PlanOptions } from '../planner/planInstance'
import { checkPlan } from './checkPlan'
import type { LineRule } from './fried'

jest.setTimeout(300_000)

const FAST: PlanOptions = { evaluations: 300 }
const rulesOf = (instance: LineInstance, batches: readonly LineBatch[]): LineRule[] => [
  ...new Set(checkPlan(instance, { ...planInstance(instance, FAST), batches }).errors.map(({ rule }) => rule)),
]

/** An instance whose plan has at least two batches on a ring, the first of them not the only one of its dish. */
const instance = smallInstance(11)
const plan = planInstance(instance, FAST)
const changed = (i: number, change: Partial<LineBatch>) =>
  plan.batches.map((batch, k) => (k === i ? { ...batch, ...change } : batch))

test('a plan as it was made keeps every rule', () => {
  expect(checkPlan(instance, plan)).toEqual({ feasible: true, errors: [], objective: plan.objective })
})

test('a part that is missing, fried twice, or of nobody is named', () => {
  expect(rulesOf(instance, plan.batches.slice(1))).toContain('parts')
  expect(rulesOf(instance, [...plan.batches, { ...plan.batches[0]!, start: 90_000 }])).toContain('parts')
  expect(rulesOf(instance, changed(0, { parts: ['nobody'] }))).toEqual(expect.arrayContaining(['parts']))
})

test('a station that cannot, a start off the grid, before now or before the ticket is named', () => {
  const kim = planOf('kim')
  expect(
    rulesOf(
      kim.instance,
      kim.batches.map((batch) => ({ ...batch, station: 'ring-a' })),
    ),
  ).toContain('station')
  expect(rulesOf(instance, changed(0, { start: plan.batches[0]!.start + 1 }))).toContain('grid')
  expect(rulesOf(instance, changed(0, { start: -500 }))).toEqual(expect.arrayContaining(['past', 'release']))
})

test('two batches at once on a station, and more hands than there are, are named', () => {
  const [first, ...rest] = plan.batches
  const sameStation = rest.map((batch) => ({ ...batch, station: first!.station, start: first!.start }))
  expect(rulesOf(instance, [first!, ...sameStation])).toEqual(expect.arrayContaining(['overlap', 'hands']))
})

test('a wrong plan of who cooks, and an item that is not gone, are named', () => {
  expect(rulesOf(instance, changed(0, { cooks: [7] }))).toContain('cooks')
  expect(checkPlan(instance, { ...plan, gone: ['t0-0'] }).errors.map(({ rule }) => rule)).toContain('gone')
  expect(checkPlan(instance, { ...plan, instance: 'other' }).errors[0]!.rule).toBe('instance')
})

test('portions that must not be fried together are named: family, allergen, the wok’s size, and a wash left out', () => {
  const two = planOf('veg', 'egg')
  const together = [{ ...two.batches[0]!, parts: two.batches.flatMap(({ parts }) => parts) }]
  expect(rulesOf(two.instance, together)).toContain('family')
  const guest = planOf('nut', 'nut')
  const avoiding = {
    ...guest.instance,
    dishes: guest.instance.dishes.map((one) =>
      one.id === 'nut' ? { ...one, mods: { plain: { merge: 'late' as const, removes: ['peanut'] } } } : one,
    ),
    tickets: guest.instance.tickets.map((ticket, i) =>
      i === 0 ? ticket : { ...ticket, items: [{ ...ticket.items[0]!, mods: ['plain'], avoid: ['peanut'] }] },
    ),
  }
  const one = [{ ...guest.batches[0]!, parts: ['t0-0', 't1-0'] }]
  expect(rulesOf(avoiding, one)).toContain('allergen')
  const apart = planInstance(avoiding, FAST)
  const unwashed = apart.batches
    .map((batch) => ({ ...batch, station: 'ring-a', wash: false }))
    .sort((a) => (a.parts.includes('t0-0') ? -1 : 1))
    .map((batch, i) => ({ ...batch, start: i * 600 }))
  expect(rulesOf(avoiding, unwashed)).toContain('wash')
  const many = planOf('veg', 'veg', 'veg')
  expect(rulesOf(many.instance, [{ ...many.batches[0]!, parts: ['t0-0', 't1-0', 't2-0'] }])).toContain('capacity')
})

/** Tickets of two portions of a dish each, and their plan. */
function planOf(...dishes: string[]): { instance: LineInstance; batches: readonly LineBatch[] } {
  const base = tinyInstance(1, 3)
  const clean: LineInstance = {
    ...base,
    hands: 3,
    stations: base.stations.map((one) => ({ ...one, from: 0, last: null })),
    tickets: dishes.map((dish, i) => ({
      ...{ id: `t${i}`, at: 0, due: 600, kind: 'dine' as const, w: 1 },
      items: [{ id: `t${i}-0`, dish, n: 2, mods: [], avoid: [] }],
    })),
  }
  return { instance: clean, batches: planInstance(clean, FAST).batches }
}

test('no damaged plan that keeps the rules is better than the best', () => {
  let kept = 0
  for (let seed = 1; seed <= 9; seed += 1) {
    const tiny = tinyInstance(seed, 3)
    const good = planInstance(tiny)
    const best = exactPoints(tiny, good.objective + 1e-6)
    const random = numbersFrom(seed)
    for (let n = 0; n < 12; n += 1) {
      const i = Math.floor(random() * good.batches.length)
      const batch = good.batches[i]!
      const damage: Partial<LineBatch>[] = [
        { start: batch.start + (Math.floor(random() * 11) - 5) * 30 },
        { station: ['ring-a', 'ring-b', 'griddle'][Math.floor(random() * 3)]! },
        { wash: !batch.wash },
      ]
      const batches = good.batches.map((one, k) => (k === i ? { ...one, ...damage[n % 3]! } : one))
      const checked = checkPlan(tiny, { ...good, batches })
      if (!checked.feasible) continue
      kept += 1
      expect(checked.objective).toBeGreaterThanOrEqual(best - 1e-6)
    }
  }
  expect(kept).toBeGreaterThan(10)
})
