import fc from 'fast-check'
import { readinessOf, type ReadyInput } from './readiness'
import { inTime, portionsBefore, reachOf } from './stave'

const DISHES = ['duck', 'crab', 'veg']
const STATIONS: ReadyInput['stations'] = [
  { id: 'ring-a', name: 'Ring A', kind: 'wok', heatMin: 8 },
  { id: 'ring-b', name: 'Ring B', kind: 'wok', heatMin: 8 },
  { id: 'griddle', name: 'Griddle', kind: 'griddle', heatMin: 20 },
]
const anyBoats = fc.array(
  fc.record({
    atMs: fc.integer({ min: 10, max: 200 }),
    dishId: fc.constantFrom(...DISHES),
    portions: fc.integer({ min: 1, max: 9 }),
  }),
  { minLength: 1, maxLength: 12 },
)
const anyUses = fc.uniqueArray(
  fc.record({ dishId: fc.constantFrom(...DISHES), gPerPortion: fc.integer({ min: 1, max: 250 }) }),
  { selector: (use) => use.dishId, minLength: 1, maxLength: 3 },
)

describe('law: how far a mass reaches', () => {
  test('never less far with more of it, and to the end with all that is asked for', () => {
    fc.assert(
      fc.property(anyBoats, anyUses, fc.nat(20_000), fc.nat(5_000), (boats, uses, massG, moreG) => {
        const few = reachOf(massG, uses, boats)
        const many = reachOf(massG + moreG, uses, boats)
        expect(many.untilMs ?? Infinity).toBeGreaterThanOrEqual(few.untilMs ?? Infinity)
        expect(many.shortG).toBeLessThanOrEqual(few.shortG + 1e-9)
        const wantedG = boats.reduce((sum, { dishId, portions }) => {
          return sum + portions * (uses.find((use) => use.dishId === dishId)?.gPerPortion ?? 0)
        }, 0)
        expect(reachOf(wantedG, uses, boats)).toEqual({ untilMs: null, shortG: 0, shortPortions: 0 })
        expect(few.shortG).toBeLessThanOrEqual(wantedG)
        if (few.untilMs === null) expect(few.shortPortions).toBe(0)
        else expect(boats.map(({ atMs }) => atMs)).toContain(few.untilMs)
      }),
      { endOnFailure: true },
    )
  })

  test('what it is short of is what is missing of the whole: no less helps', () => {
    fc.assert(
      fc.property(anyBoats, anyUses, fc.nat(8_000), (boats, uses, massG) => {
        const { shortG, untilMs } = reachOf(massG, uses, boats)
        expect(reachOf(massG + shortG, uses, boats).untilMs).toBeNull()
        if (untilMs !== null) expect(reachOf(massG + shortG - 2, uses, boats).untilMs).not.toBeNull()
      }),
      { endOnFailure: true },
    )
  })

  test('the order in which boats are written does not matter but at the same instant', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({
            atMs: fc.integer({ min: 1, max: 500 }),
            dishId: fc.constantFrom(...DISHES),
            portions: fc.integer({ min: 1, max: 9 }),
          }),
          { selector: (boat) => boat.atMs, maxLength: 10 },
        ),
        anyUses,
        fc.nat(5_000),
        (boats, uses, massG) => {
          expect(reachOf(massG, uses, [...boats].reverse())).toEqual(reachOf(massG, uses, boats))
          expect(inTime([...boats].reverse())).toEqual(inTime(boats))
        },
      ),
      { endOnFailure: true },
    )
  })
})

const anyInput: fc.Arbitrary<ReadyInput> = fc
  .record({
    boats: anyBoats,
    uses: fc.array(anyUses, { minLength: 1, maxLength: 4 }),
    stock: fc.array(fc.nat(3_000), { minLength: 4, maxLength: 4 }),
    more: fc.array(fc.nat(3_000), { minLength: 4, maxLength: 4 }),
    riceG: fc.nat(6_000),
    comingG: fc.nat(6_000),
    lit: fc.subarray(['ring-a', 'ring-b', 'griddle']),
    checks: fc.subarray(['probe', 'wok-heat', 'allergens']),
    done: fc.subarray(['probe', 'wok-heat', 'allergens']),
    handsHere: fc.nat(3),
  })
  .map(({ boats, uses, stock, more, riceG, comingG, lit, checks, done, handsHere }) => ({
    boats,
    outlook: uses.map((all, i) => ({
      itemId: i === 0 ? 'recipe:sauce' : `cut:item-${i}`,
      name: `item ${i}`,
      willHaveG: stock[i]! + more[i]!,
      wantedG: 0,
      shortG: 0,
      uses: all.map((use) => ({ ...use, componentId: 'c', portions: 1 })),
    })),
    stockG: new Map(uses.map((_, i) => [i === 0 ? 'recipe:sauce' : `cut:item-${i}`, stock[i]!])),
    tasks: [],
    schedule: null,
    rice: { usableG: riceG, comingG, startByMs: null, gPerPortion: new Map(DISHES.map((id) => [id, 200])) },
    stations: STATIONS,
    stationKindOf: new Map([
      ['duck', 'wok'],
      ['crab', 'wok'],
      ['veg', 'griddle'],
    ]),
    checked: new Map([...lit.map((id) => [`station:${id}`, 1] as const), ...done.map((id) => [id, 1] as const)]),
    handsHere,
    serviceMs: 10,
    checks,
  }))

describe('law: whether the service can begin', () => {
  test('as planned it holds at least as long as with what stands now, and never longer than its shortest stave', () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const ready = readinessOf(input)
        expect(ready.portions).toBe(portionsBefore(input.boats, null))
        expect(ready.nowPortions).toBeLessThanOrEqual(ready.holdsPortions)
        for (const stave of ready.staves) {
          if (stave.kind !== 'rules') expect(ready.holdsPortions).toBeLessThanOrEqual(stave.portions)
          expect(stave.nowPortions).toBeLessThanOrEqual(stave.portions)
          expect(stave.shortPortions).toBeGreaterThanOrEqual(0)
        }
        expect(ready.firstOut === null).toBe(ready.holdsPortions === ready.portions && ready.untilMs === null)
      }),
      { endOnFailure: true },
    )
  })

  test('whatever is not ready says what would help, and what is ready asks for nothing', () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const { staves, open } = readinessOf(input)
        for (const stave of staves) {
          expect([stave.id, stave.fix === null]).toEqual([stave.id, stave.state === 'ready'])
          expect([stave.id, stave.state === 'short']).toEqual([stave.id, stave.untilMs !== null])
        }
        expect(open).toHaveLength(staves.filter(({ state }) => state !== 'ready').length)
        const states = open.map(({ state }) => state)
        expect(states.lastIndexOf('short')).toBeLessThanOrEqual(
          states.includes('coming') ? states.indexOf('coming') : states.length,
        )
      }),
      { endOnFailure: true },
    )
  })

  test('one more pair of hands, a lit station or a check made leaves nothing worse', () => {
    fc.assert(
      fc.property(anyInput, fc.constantFrom('station:ring-a', 'station:griddle', 'probe'), (input, checkId) => {
        const before = readinessOf(input)
        for (const better of [
          { ...input, handsHere: input.handsHere + 1 },
          { ...input, checked: new Map([...input.checked, [checkId, 1]]) },
          { ...input, rice: { ...input.rice, usableG: input.rice.usableG + 500 } },
        ]) {
          const after = readinessOf(better)
          expect(after.holdsPortions).toBeGreaterThanOrEqual(before.holdsPortions)
          expect(after.nowPortions).toBeGreaterThanOrEqual(before.nowPortions)
          expect(after.open.length).toBeLessThanOrEqual(before.open.length)
        }
      }),
      { endOnFailure: true },
    )
  })
})

describe('stations that stand in for each other', () => {
  const base = (checked: string[]): ReadyInput => ({
    boats: [
      { atMs: 20, dishId: 'duck', portions: 4 },
      { atMs: 40, dishId: 'veg', portions: 3 },
    ],
    outlook: [],
    stockG: new Map(),
    tasks: [],
    schedule: null,
    rice: { usableG: 9_000, comingG: 0, startByMs: null, gPerPortion: new Map([['duck', 200]]) },
    stations: STATIONS,
    stationKindOf: new Map([
      ['duck', 'wok'],
      ['veg', 'griddle'],
    ]),
    checked: new Map(checked.map((id) => [`station:${id}`, 1])),
    handsHere: 2,
    serviceMs: 3_600_000,
    checks: [],
  })
  const lost = (checked: string[]) =>
    readinessOf(base(checked)).staves.flatMap(({ kind, id, shortPortions }) =>
      kind === 'stations' ? [[id, shortPortions]] : [],
    )

  test('a cold ring beside a lit one loses nobody’s portions; the only griddle loses its own', () => {
    expect(lost([])).toEqual([
      ['station:ring-a', 4],
      ['station:ring-b', 4],
      ['station:griddle', 3],
    ])
    expect(lost(['ring-b'])).toEqual([
      ['station:ring-a', 0],
      ['station:ring-b', 0],
      ['station:griddle', 3],
    ])
    expect(readinessOf(base(['ring-b']))).toMatchObject({ nowMs: 40, nowPortions: 4, holdsPortions: 7 })
    expect(readinessOf(base(['ring-b'])).open.map(({ id, state }) => [id, state])).toEqual([
      ['station:griddle', 'coming'],
      ['station:ring-a', 'coming'],
    ])
  })

  test('a station is to be lit so long before the service as it takes to heat', () => {
    const { open } = readinessOf(base(['ring-a', 'ring-b']))
    expect(open.map(({ fix }) => fix)).toEqual([
      { kind: 'light', stationId: 'griddle', minutes: 20, doByMs: 3_600_000 - 20 * 60_000 },
    ])
  })
})
