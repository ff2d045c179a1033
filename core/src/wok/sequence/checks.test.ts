import fc from 'fast-check'
import { aGriddle, aWok, HOB, RING } from '../../test/stations'
import { aBatch, CARROT, CHICKEN, DUCK, ONION, PASTE, PLAIN, SHRIMP } from '../../test/wokDishes'
import { batchSeconds } from './batchSeconds'
import { derive, type SequenceInput } from './derive'
import { faultsOf, type FaultCode } from './judge'
import { keepsPin } from './pins'
import type { Ended, Run } from './run'
import { sequenceBatch } from './sequenceBatch'
import type { Pin } from '../../book/pins'
import type { ComponentInput } from './vocabulary'
import type { StatedSchools } from '../../book/schools'

const RING_AT = { station: RING, handling: 'toss' as const, batchMassG: 500 }
const GRIDDLE_AT = { station: aGriddle(), handling: 'flip' as const, batchMassG: 800 }
const codes = (input: SequenceInput): string[] => sequenceBatch(input).finding?.bad.map(({ code }) => code) ?? []

/** A dish for each hard check that it breaks. */
test.each<[FaultCode, SequenceInput]>([
  ['rawCold', aBatch([{ id: 'cubes', role: 'protein', food: 'poultry', ratioG: 60, cut: { sizeMm: 50 } }])],
  ['coatedWet', aBatch([], { egg: 'coated' }, { station: aGriddle(), handling: 'flip', batchMassG: 2000 })],
  ['steams', aBatch([], {}, { batchMassG: 900 })],
  ['tooFull', aBatch([], {}, { station: aWok(25_000, { diameterM: 0.3 }), handling: 'toss', batchMassG: 5000 })],
  ['riceCold', aBatch([], {}, { station: aWok(600, { efficiency: 0.15 }), batchMassG: 900 })],
  ['neverHot', aBatch([], {}, { station: aWok(300, { efficiency: 0.15 }) })],
  [
    'splitAllergen',
    aBatch([{ ...SHRIMP, allergens: ['crustaceans'] }], {}, { dish: { splitAllergens: ['crustaceans'] } }),
  ],
  [
    'readyCold',
    aBatch([{ ...DUCK, tempC: -18, state: 'cooked', ratioG: 90, cut: { sizeMm: 40 } }], { readyProtein: 'late' }),
  ],
  ['burnt', aBatch([PASTE], { rice: 'leaveCrust', paste: 'first' }, GRIDDLE_AT)],
])('%s is found, and nothing is offered', (code, input) => {
  const one = sequenceBatch(input)
  expect(codes(input)).toContain(code)
  expect(one.steps).toEqual([])
})

test('without rice there is nothing to fry', () => {
  expect(codes(aBatch([], {}, { dish: { components: PLAIN.filter(({ role }) => role !== 'rice') } }))).toEqual([
    'noRice',
  ])
})

test('an allergen that only some may not have goes in once the flame is off', () => {
  const nuts: ComponentInput = {
    id: 'nuts',
    role: 'vegetable',
    food: 'nut',
    readyToEat: true,
    ratioG: 4,
    allergens: ['nuts'],
  }
  const split = sequenceBatch(aBatch([nuts], {}, { dish: { splitAllergens: ['nuts'] } }))
  expect(split.finding).toBeNull()
  const at = split.steps.find(({ entries }) => entries.some(({ componentId }) => componentId === 'nuts'))
  expect(at?.heat).toBe('off')
})

test('a soft herb never goes over the flame', () => {
  const basil: ComponentInput = { id: 'basil', role: 'vegetable', food: 'leafy', ratioG: 3, tags: ['tender'] }
  const one = sequenceBatch(aBatch([basil]))
  expect(one.steps.find(({ entries }) => entries.some(({ componentId }) => componentId === 'basil'))?.heat).toBe('off')
})

test('no candidate that fails a check is chosen or shown as runner-up, and the fine run has no fault', () => {
  for (const input of [aBatch([SHRIMP, ONION, CARROT]), aBatch([CHICKEN, PASTE], {}, RING_AT)]) {
    const derived = derive(input)
    if (derived.kind !== 'derived') throw new Error('it derives')
    expect(faultsOf(derived.best.run, derived.components, input.dish)).toEqual([])
    expect(derived.runnerUp?.faults).toEqual([])
    expect(derived.best.run.energyResidual).toBeLessThan(1e-9)
    expect(derived.best.run.waterResidual).toBeLessThan(1e-9)
  }
})

describe('a run that holds, with one thing in it changed', () => {
  const input = aBatch([SHRIMP, DUCK], { egg: 'firstOut', rawProtein: 'ownOut' })
  const derived = derive(input)
  if (derived.kind !== 'derived') throw new Error('it derives')
  const { run } = derived.best
  const codesOf = (changed: Run) => faultsOf(changed, derived.components, input.dish).map(({ code }) => code)
  const ended = (id: string, change: Partial<Ended>): Run => ({
    ...run,
    ended: run.ended.map((end) => (end.one.id === id ? { ...end, ...change } : end)),
  })

  test.each<[string, FaultCode, Run]>([
    ['shrimp hot enough, not for long enough', 'rawCold', ended('shrimp', { logKill: 3.9 })],
    ['shrimp a degree too cool', 'rawCold', ended('shrimp', { peakC: 62 })],
    [
      'shrimp that never was in the vessel',
      'rawCold',
      { ...run, ended: run.ended.filter(({ one }) => one.id !== 'shrimp') },
    ],
    ['an egg set, but not safe', 'eggRaw', ended('egg', { logKill: 4.9 })],
    ['duck a degree too cool', 'readyCold', ended('duck', { peakC: 73 })],
    ['rice a degree too cool', 'riceCold', ended('rice', { peakC: 73 })],
    ['garlic at its limit', 'burnt', ended('garlic', { burn: 1 })],
    ['oil left out', 'missing', { ...run, moves: run.moves.filter(({ move }) => move.kind !== 'oil') }],
    ['salt left out', 'missing', { ...run, moves: run.moves.filter(({ move }) => !move.ids.includes('salt')) }],
  ])('%s is a fault', (_what, code, changed) => {
    expect(codesOf(run)).toEqual([])
    expect(codesOf(changed)).toEqual([code])
  })
})

describe('one change, the smallest that works', () => {
  test('900 g on a hob steams: two batches, or rice less cold', () => {
    const one = sequenceBatch(aBatch([], {}, { batchMassG: 900 }))
    expect(one.finding?.change).toMatchObject({ kind: 'batches' })
  })

  test('5 kg in a wok of 30 cm is as many batches as its room asks for', () => {
    const station = aWok(25_000, { diameterM: 0.3 })
    const { finding } = sequenceBatch(aBatch([], {}, { station, handling: 'toss', batchMassG: 5000 }))
    expect(finding?.change).toMatchObject({ kind: 'batches' })
    const { count, batchMassG } = finding!.change as { count: number; batchMassG: number }
    expect(count).toBeGreaterThan(4)
    expect(batchMassG).toBeLessThan(900)
  })

  test('thick pieces are cut smaller, and what is cut works', () => {
    const cubes: ComponentInput = { id: 'cubes', role: 'protein', food: 'poultry', ratioG: 20, cut: { sizeMm: 50 } }
    const { finding } = sequenceBatch(aBatch([cubes]))
    expect(finding?.change).toMatchObject({ kind: 'cut', componentId: 'cubes' })
    const { sizeMm } = finding!.change as { sizeMm: number }
    expect(sequenceBatch(aBatch([{ ...cubes, cut: { sizeMm } }])).finding).toBeNull()
  })
})

describe('what holds whatever the flame', () => {
  test.each([
    ['a hob', HOB, 'stir' as const, 280],
    ['a burner of 15 kW', aWok(15_000), 'stir' as const, 450],
    ['a ring', RING, 'toss' as const, 500],
  ])('%s: the same doneness, within the bands of common practice', (_name, station, handling, batchMassG) => {
    const derived = derive(
      aBatch([SHRIMP, ONION], { egg: 'firstOut', rawProtein: 'ownOut' }, { station, handling, batchMassG }),
    )
    if (derived.kind !== 'derived') throw new Error('it derives')
    const { run } = derived.best
    expect(run.rice.coreC).toBeGreaterThanOrEqual(74)
    expect(run.rice.doneS! - run.rice.startS).toBeGreaterThan(50)
    expect(run.rice.doneS! - run.rice.startS).toBeLessThanOrEqual(240)
    const shrimp = run.ended.find(({ one }) => one.id === 'shrimp')!
    expect(shrimp.peakC).toBeGreaterThanOrEqual(63)
    expect(shrimp.peakC).toBeLessThan(95)
  })

  test('a fifth more flame, or rice at 20 °C, is not slower with the same list', () => {
    const schools: StatedSchools = { egg: 'well', heat: 'full', sauce: 'wall' }
    const dryS = (input: SequenceInput) =>
      sequenceBatch(input).steps.find(({ action }) => action === 'riceIn')!.durationS
    const before = dryS(aBatch([], schools))
    expect(dryS(aBatch([], schools, { station: aWok(4200) }))).toBeLessThanOrEqual(before)
    expect(dryS(aBatch([], schools, { riceTempC: 20 }))).toBeLessThanOrEqual(before)
  })
})

const DRY_PIECES: readonly ComponentInput[] = [
  { id: 'nut', role: 'aromatic', food: 'nut', ratioG: 4 },
  { id: 'stalk', role: 'protein', food: 'leafy', state: 'raw', ratioG: 4, readyToEat: true },
  { id: 'egg-strips', role: 'protein', food: 'egg', state: 'cooked', readyToEat: true, ratioG: 4 },
]
test.each([
  ['a hob', aBatch([SHRIMP, ONION])],
  ['a ring', aBatch([CHICKEN, CARROT], {}, RING_AT)],
  ['a griddle', aBatch([DUCK], {}, GRIDDLE_AT)],
  // Small pieces that dry out: a long step would boil off more than they hold.
  ['a ring with dry pieces', aBatch(DRY_PIECES, {}, RING_AT)],
])('on %s long steps say how long the same way takes within 5 %%', (_name, input) => {
  const derived = derive(input)
  if (derived.kind !== 'derived') throw new Error('it derives')
  const { totalS, preheatS, fits } = batchSeconds(input, derived.best.choice)
  expect(fits).toBe(true)
  expect(preheatS).toBe(derived.best.run.preheatS)
  expect(Math.abs((totalS - preheatS) / derived.best.run.totalS - 1)).toBeLessThan(0.05)
})

describe('pins', () => {
  const pinned = (pin: Pin, more: readonly ComponentInput[] = [ONION, CARROT]) =>
    aBatch(more, {}, { dish: { pins: [pin] } })

  test.each<[string, Pin]>([
    ['onion before carrot', { component: 'onion', before: 'carrot' }],
    ['carrot before onion', { component: 'carrot', before: 'onion' }],
    ['garlic before the rice', { component: 'garlic', slot: 'beforeRice' }],
    ['the egg stays', { component: 'egg', leaves: false }],
    ['the egg leaves', { component: 'egg', leaves: true }],
    ['carrot after the rice', { component: 'carrot', slot: 'afterRice' }],
  ])('%s: possible, so it is kept', (_name, pin) => {
    const derived = derive(pinned(pin))
    if (derived.kind !== 'derived') throw new Error('it derives')
    expect(derived.pins).toMatchObject([{ isKept: true }])
    expect(keepsPin(derived.best.moves, pin)).toBe(true)
  })

  test('raw chicken once the flame is off is refused, and says why', () => {
    const { pins, finding } = sequenceBatch(pinned({ component: 'chicken', slot: 'afterOff' }, [CHICKEN]))
    expect(pins).toMatchObject([{ isKept: false, because: ['rawCold'] }])
    expect(finding).toBeNull()
  })

  test('two pins that contradict each other: the first is kept', () => {
    const pins: Pin[] = [
      { component: 'onion', before: 'carrot' },
      { component: 'onion', after: 'carrot' },
    ]
    const verdicts = sequenceBatch(aBatch([ONION, CARROT], {}, { dish: { pins } })).pins
    expect(verdicts.map(({ isKept }) => isKept)).toEqual([true, false])
  })

  const heldFor = (component: string, forS: number, more?: readonly ComponentInput[]) =>
    derive(pinned({ component, forS }, more))

  test('law: a thing held for a time lasts so long, or is refused with what stands against it', () => {
    const base = derive(aBatch([ONION, CARROT], {}))
    if (base.kind !== 'derived') throw new Error('it derives')
    fc.assert(
      fc.property(
        fc.constantFrom('garlic', 'onion', 'carrot', 'rice', 'soy'),
        fc.integer({ min: 3, max: 200 }),
        (id, forS) => {
          const derived = heldFor(id, forS, [ONION, CARROT])
          if (derived.kind !== 'derived') throw new Error('it derives')
          const [verdict] = derived.pins
          const done = derived.best.run.moves.find(({ move }) => move.kind === 'in' && move.ids.includes(id))!
          if (verdict!.isKept) expect(done.endS - done.startS).toBeCloseTo(forS, 3)
          else expect(verdict!.because.length).toBeGreaterThan(0)
        },
      ),
      { numRuns: 25, endOnFailure: true },
    )
  })

  test.each([
    ['carrot', 150, true, [], [ONION, CARROT]],
    ['rice', 10, false, ['steams'], [ONION, CARROT]],
    ['garlic', 200, false, ['burnt'], []],
  ])('%s for %i s: kept is %s', (id, forS, isKept, because, more) => {
    const derived = heldFor(id, forS, more)
    if (derived.kind !== 'derived') throw new Error('it derives')
    expect(derived.pins[0]).toMatchObject({ isKept })
    expect(derived.pins[0]!.because).toEqual(expect.arrayContaining(because))
  })

  test('a time and a place are held together', () => {
    const pins: Pin[] = [
      { component: 'carrot', forS: 90 },
      { component: 'onion', before: 'carrot' },
    ]
    const derived = derive(aBatch([ONION, CARROT], { garlic: 'atEnd' }, { dish: { pins } }))
    if (derived.kind !== 'derived') throw new Error('it derives')
    expect(derived.pins.map(({ isKept }) => isKept)).toEqual([true, true])
    expect(pins.every((pin) => keepsPin(derived.best.moves, pin))).toBe(true)
  })

  test('a pin of something that is not in the dish is refused by name', () => {
    const { pins } = sequenceBatch(pinned({ component: 'truffle', slot: 'afterRice' }))
    expect(pins).toMatchObject([{ isKept: false, because: ['unknownComponent'] }])
  })
})
