import fc from 'fast-check'
import { exactPoints } from '../../test/exactLine'
import { lineInstance, numbersFrom, rushOf, smallInstance, tinyInstance } from '../../test/lineInstances'
import { checkPlan } from '../check/checkPlan'
import { RULES } from './dispatch'
import type { LineDish, LineInstance, LineTicket, Residue } from './instance'
import { placeList } from './placeList'
import { planByRule, planInstance } from './planInstance'

/** Searching every plan there is takes seconds, and minutes where the machine is busy. */
jest.setTimeout(300_000)

const wok = {
  cap: 4,
  phases: [
    { hands: true, a: 40, b: 20 },
    { hands: false, a: 0, b: 0 },
    { hands: true, a: 10, b: 0 },
  ],
}
const zone = {
  cap: 3,
  phases: [
    { hands: true, a: 30, b: 0 },
    { hands: false, a: 90, b: 0 },
    { hands: true, a: 30, b: 0 },
  ],
}
const dish = (id: string, base: string, allergen: string, free: number, max: number, on: LineDish['on']): LineDish => ({
  ...{ id, base, allergens: [allergen], free, max, on },
  ...{ mods: {}, split: 0, uses: {} },
})
const DISHES = [
  dish('veg', 'soy', 'soy', 120, 240, { wok }),
  dish('nut', 'curry', 'peanut', 120, 240, { wok }),
  dish('kim', 'plate', 'egg', 180, 360, { zone }),
]
type Short = [at: number, due: number, kind: 'dine' | 'take', items: [dish: string, n: number, avoid?: string][]]
const caseOf = (kinds: string[], tickets: Short[]): LineInstance =>
  lineInstance({
    hands: 1,
    dishes: DISHES,
    stations: kinds.map((kind) => ({ id: kind, kind, from: 0, down: [], last: null })),
    tickets: tickets.map(([at, due, kind, items], t): LineTicket => ({
      ...{ id: `t${t}`, at, due, kind, w: 1 },
      items: items.map(([id, n, avoid], i) => ({
        ...{ id: `t${t}-${i}`, dish: id, n, mods: [], avoid: avoid ? [avoid] : [] },
      })),
    })),
  })

describe('instances worked out by hand', () => {
  test('like portions are fried together, and the first waits for the second', () => {
    const plan = planInstance(
      caseOf(
        ['wok'],
        [
          [0, 300, 'dine', [['veg', 1]]],
          [40, 300, 'dine', [['veg', 2]]],
        ],
      ),
    )
    expect(plan).toMatchObject({ objective: 28.5, lateTickets: 0 })
    expect(plan.batches).toEqual([{ station: 'wok', start: 40, wash: false, parts: ['t0-0', 't1-0'], cooks: [0] }])
  })

  test('who must not meet peanut comes first, without a wash', () => {
    const plan = planInstance(
      caseOf(
        ['wok'],
        [
          [0, 90, 'dine', [['nut', 2]]],
          [0, 150, 'dine', [['veg', 1, 'peanut']]],
        ],
      ),
    )
    expect(plan.objective).toBe(131.5)
    expect(plan.batches.map(({ start, wash, parts }) => [start, wash, ...parts])).toEqual([
      [0, false, 't1-0'],
      [90, false, 't0-0'],
    ])
  })

  test('metal that was brushed needs no set-up, and is washed all the same for who must not meet what was on it', () => {
    const brushed = (last: Residue | null, avoid?: string) => {
      const one = caseOf(
        ['wok'],
        [[0, 90, 'dine', [['veg', 1, ...(avoid ? [avoid] : [])] as [string, number, string?]]]],
      )
      const plan = planInstance({ ...one, stations: one.stations.map((station) => ({ ...station, last })) })
      expect(
        checkPlan({ ...one, stations: one.stations.map((station) => ({ ...station, last })) }, plan).errors,
      ).toEqual([])
      return plan.batches.map(({ start, wash }) => [start, wash])
    }
    const other = brushed({ dish: 'nut', residue: ['peanut'] })
    expect(other[0]![0]).toBeGreaterThan(0)
    expect(brushed({ dish: null, residue: ['peanut'] })).toEqual([[0, false]])
    expect(brushed({ dish: null, residue: ['peanut'] }, 'peanut')[0]![1]).toBe(true)
  })

  test('a takeaway is fried so that it holds freely until its boat', () => {
    const plan = planInstance(caseOf(['wok'], [[0, 900, 'take', [['veg', 2]]]]))
    expect(plan.objective).toBe(59.5)
    expect(plan.batches[0]!.start).toBeGreaterThanOrEqual(510)
    expect(plan.batches[0]!.start).toBeLessThanOrEqual(810)
  })

  test('a wok is fried while the griddle is left alone', () => {
    const plan = planInstance(
      caseOf(
        ['wok', 'zone'],
        [
          [
            0,
            300,
            'dine',
            [
              ['kim', 1],
              ['nut', 1],
            ],
          ],
        ],
      ),
    )
    expect(plan.objective).toBe(40)
    expect(plan.batches.map(({ station, start }) => [station, start])).toEqual([
      ['zone', 0],
      ['wok', 50],
    ])
  })
})

test('small cases: against every plan there is, the mean gap is within 0.15 %', () => {
  const gaps = Array.from({ length: 60 }, (_, i) => {
    const instance = tinyInstance(700 + i, i % 3 === 0 ? 4 : 3)
    const { objective } = planInstance(instance)
    return objective / exactPoints(instance, objective + 1e-6) - 1
  })
  expect(gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length).toBeLessThanOrEqual(0.0015)
})

describe('what the best plan cannot do', () => {
  const seeds = Array.from({ length: 6 }, (_, i) => 900 + i)
  const best = (instance: LineInstance) => exactPoints(instance, planInstance(instance).objective + 1e-6)
  const eased: [string, (instance: LineInstance) => LineInstance][] = [
    ['a further pair of hands', (one) => ({ ...one, hands: one.hands + 1 })],
    [
      'a later promise at the table',
      (one) => ({
        ...one,
        tickets: one.tickets.map((ticket) => (ticket.kind === 'dine' ? { ...ticket, due: ticket.due + 100 } : ticket)),
      }),
    ],
    ['food that holds longer', (one) => ({ ...one, dishes: one.dishes.map((d) => ({ ...d, free: d.free + 60 })) })],
  ]
  test.each(eased)('%s makes no plan dearer', (_, ease) => {
    for (const seed of seeds) {
      const instance = tinyInstance(seed, 3)
      expect(best(ease(instance))).toBeLessThanOrEqual(best(instance) + 1e-6)
    }
  })

  test('other names, and the same evening an hour later, cost the same', () => {
    for (const seed of seeds) {
      const instance = tinyInstance(seed, 4)
      const points = planInstance(instance).objective
      const later: LineInstance = {
        ...instance,
        now: 3600,
        stations: instance.stations.map((one) => ({ ...one, from: one.from + 3600 })),
        tickets: instance.tickets
          .map((ticket) => ({ ...ticket, id: `x${ticket.id}`, at: ticket.at + 3600, due: ticket.due + 3600 }))
          .reverse(),
      }
      expect(planInstance(later).objective).toBeCloseTo(points, 4)
    }
  })
})

const anySeed = fc.integer({ min: 1, max: 1_000_000 })

describe('every plan', () => {
  test('keeps every rule, costs what the checker says, and no more than any rule of the textbooks', () => {
    fc.assert(
      fc.property(anySeed, (seed) => {
        const instance = smallInstance(seed)
        const plan = planInstance(instance, { seed, evaluations: 1500 })
        const checked = checkPlan(instance, plan)
        expect(checked.errors).toEqual([])
        expect(checked.objective).toBeCloseTo(plan.objective, 4)
        for (const rule of RULES)
          expect(plan.objective).toBeLessThanOrEqual(planByRule(instance, rule, false).objective + 1e-6)
        expect(planInstance(instance, { seed, evaluations: 1500 })).toEqual(plan)
      }),
      { numRuns: 150, endOnFailure: true },
    )
  })

  test('of a rush keeps every rule too', () => {
    for (const [items, seed] of [
      [40, 3],
      [80, 4],
      [150, 5],
    ] as const) {
      const instance = rushOf(items, seed)
      const plan = planInstance(instance, { evaluations: 3000 })
      expect(checkPlan(instance, plan)).toEqual({ feasible: true, errors: [], objective: plan.objective })
    }
  })

  test('a list that asks for a start long after everything else is a plan too', () => {
    const instance = smallInstance(346_742)
    const wanted = instance.tickets.flatMap(({ items }) =>
      items.map(({ id }) => ({ parts: [id], station: 'ring-a', notBefore: 40_000 })),
    )
    const plan = placeList(instance, wanted)
    expect(plan.batches.length).toBeGreaterThan(0)
    expect(checkPlan(instance, plan)).toEqual({ feasible: true, errors: [], objective: plan.objective })
    expect(planInstance(instance, { start: wanted, evaluations: 100 }).objective).toBeLessThan(plan.objective)
  })

  test('any list of batches is a plan: parts that must not meet are fried apart, washes that are missing are added', () => {
    fc.assert(
      fc.property(anySeed, (seed) => {
        const instance = smallInstance(seed)
        const random = numbersFrom(seed)
        const parts = instance.tickets
          .flatMap((ticket) => ticket.items.flatMap(({ id }) => [id, `${id}/1`, `${id}/2`, `${id}/3`]))
          .sort(() => random() - 0.5)
        const wanted = []
        while (parts.length > 0)
          wanted.push({
            parts: parts.splice(0, 1 + Math.floor(random() * 3)),
            station: ['ring-a', 'ring-b', 'griddle', 'nowhere'][Math.floor(random() * 4)]!,
            wash: random() < 0.2,
            notBefore: random() < 0.3 ? random() * 900 : 0,
          })
        const plan = placeList(instance, wanted)
        const checked = checkPlan(instance, plan)
        expect(checked.errors).toEqual([])
        expect(checked.objective).toBeCloseTo(plan.objective, 4)
      }),
      { numRuns: 3_000, endOnFailure: true },
    )
  })

  test('leaves what is at the flame as it is', () => {
    for (let seed = 1; seed < 60; seed += 1) {
      const instance = smallInstance(seed)
      const { batches } = planInstance(instance, { evaluations: 300 })
      for (const { station, start, wash, parts } of instance.frozen)
        expect(batches).toContainEqual(expect.objectContaining({ station, start, wash, parts }))
    }
  })
})

test('what was told stays told where another plan gains less than a change costs', () => {
  const tickets: Short[] = [
    [0, 300, 'dine', [['veg', 1]]],
    [0, 290, 'dine', [['nut', 1]]],
  ]
  const free = caseOf(['wok'], tickets)
  const first = planInstance(free).batches[0]!
  const other = first.parts[0] === 't0-0' ? 't1-0' : 't0-0'
  const told = { ...free, told: [{ station: 'wok', parts: [other] }] }
  expect(planInstance(told).batches[0]!.parts).toEqual([other])
})

test('an item that the stock does not give is gone whole, and the rest is planned', () => {
  const base = caseOf(
    ['wok'],
    [
      [0, 300, 'dine', [['veg', 2]]],
      [
        10,
        300,
        'dine',
        [
          ['veg', 2],
          ['nut', 1],
        ],
      ],
    ],
  )
  const instance = {
    ...base,
    dishes: DISHES.map((one) => (one.id === 'veg' ? { ...one, uses: { rice: 1 } } : one)),
    stock: { rice: 3 },
  }
  const plan = planInstance(instance)
  expect(plan.gone).toEqual(['t1-0'])
  expect(plan.batches.flatMap(({ parts }) => parts).sort()).toEqual(['t0-0', 't1-1'])
})

test('an item that no station takes whole is cut evenly, the larger part first', () => {
  const plan = planInstance(caseOf(['wok'], [[0, 900, 'dine', [['veg', 9]]]]))
  expect(plan.batches.flatMap(({ parts }) => parts).sort()).toEqual(['t0-0/1', 't0-0/2', 't0-0/3'])
  expect(plan.objective).toBe(checkPlan(caseOf(['wok'], [[0, 900, 'dine', [['veg', 9]]]]), plan).objective)
})
