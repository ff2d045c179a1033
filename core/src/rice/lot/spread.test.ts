import fc from 'fast-check'
import type { CoolStage } from '../cooling/coolingPlace'
import { spreadOf, type SpreadInput } from './spread'

const HOUSE: CoolStage[] = [
  { durationS: 1200, place: 'fan', covered: false },
  { durationS: 36_000, place: 'fridge', covered: false },
]
const input: SpreadInput = {
  massG: 8000,
  dryMassG: 3300,
  trayM2: 0.53 * 0.325,
  trays: null,
  place: { kind: 'fan', airTempC: 19 },
  isCovered: false,
  cooling: HOUSE,
  tempC: null,
}

test('law: trays hold all of it, at the usual depth or shallower by one tray, and a depth asked for is kept', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 500, max: 60_000 }),
      fc.double({ min: 0.01, max: 0.1, noNaN: true }),
      (massG, mostM) => {
        const spread = spreadOf({ ...input, massG })
        const fewer = spreadOf({ ...input, massG, trays: Math.max(1, spread.trays - 1) })
        expect(spread.depthM).toBeLessThanOrEqual(0.04)
        expect(fewer.depthM).toBeGreaterThanOrEqual(spread.depthM)
        const kept = spreadOf({ ...input, massG, trays: spread.traysFor(mostM) })
        expect(kept.depthM).toBeLessThanOrEqual(mostM + 0.0005)
      },
    ),
  )
})

test.each([
  ['the house’s first place, open', {}, HOUSE],
  ['covered: its own stage', { isCovered: true }, [{ durationS: 36_000, place: 'fan', covered: true, airTempC: 19 }]],
  [
    'another place',
    { place: { kind: 'blast', airTempC: null } },
    [{ durationS: 36_000, place: 'blast', covered: false, airTempC: undefined }],
  ],
  [
    'a bench cools nothing: as in the fridge',
    { place: { kind: 'bench', airTempC: 21 } },
    [{ durationS: 36_000, place: 'fridge', covered: false, airTempC: 21 }],
  ],
] as const)('%s', (_, changes, stages) => {
  expect(spreadOf({ ...input, ...changes }).stages).toEqual(stages)
})

test('water outside what rice can be is a slip; unknown dry rice says nothing', () => {
  expect(spreadOf(input)).toMatchObject({ isWaterOdd: false, isDepthOdd: false })
  expect(spreadOf({ ...input, massG: 3500 }).isWaterOdd).toBe(true)
  expect(spreadOf({ ...input, dryMassG: null })).toMatchObject({ waterFraction: null, isWaterOdd: false })
  expect(spreadOf({ ...input, trays: 1 })).toMatchObject({ isDepthOdd: false })
  expect(spreadOf({ ...input, massG: 60_000, trays: 1 }).isDepthOdd).toBe(true)
})

test.each([
  [null, 90],
  [20, 60],
  [101, 100],
  [84, 84],
])('read %s °C, the model starts at %s °C', (tempC, modelC) => {
  expect(spreadOf({ ...input, tempC }).modelC).toBe(modelC)
})
