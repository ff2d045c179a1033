import fc from 'fast-check'
import { CHILLED_RICE, riceAtWok } from './riceAtWok'

const HOUR_MS = 3_600_000
const NOW_MS = 1_700_000_000_000
type Lot = Parameters<typeof riceAtWok>[0]
const lot = (change: Partial<Lot> = {}): Lot => ({
  place: 'fridge',
  covered: true,
  airTempC: null,
  readings: [],
  outSinceMs: null,
  cookedAtMs: NOW_MS - 20 * HOUR_MS,
  cooledAtMs: NOW_MS - 16 * HOUR_MS,
  spreadMassG: null,
  looseness: null,
  ...change,
})
const read = (hoursAgo: number, tempC: number, doubt: null | 'rise' = null) =>
  ({
    eventId: 'e',
    atMs: NOW_MS - hoursAgo * HOUR_MS,
    tempC,
    tempF: null,
    source: 'dial',
    doubt,
  }) as Lot['readings'][number]
const LOAD = { dryMassG: 1000, targetWaterFraction: 0.6 }

test('from the fridge it is as cold as a fridge, unless somebody has just read it', () => {
  expect(riceAtWok(lot(), null, NOW_MS)).toMatchObject({ tempC: CHILLED_RICE.tempC, tempErrorC: 2 })
  expect(riceAtWok(lot({ readings: [read(0.2, 7)] }), null, NOW_MS)).toMatchObject({ tempC: 7, tempErrorC: 1 })
  expect(riceAtWok(lot({ readings: [read(5, 7)] }), null, NOW_MS).tempC).toBe(4)
  expect(riceAtWok(lot({ place: 'freezer' }), null, NOW_MS).tempC).toBe(-18)
})

test('readings of its cooling, and those in doubt, say nothing of it now', () => {
  expect(riceAtWok(lot({ readings: [read(17, 60)], cooledAtMs: NOW_MS - 16.9 * HOUR_MS }), null, NOW_MS).tempC).toBe(4)
  expect(riceAtWok(lot({ readings: [read(0.1, 30, 'rise')] }), null, NOW_MS).tempC).toBe(4)
})

test('out of the cold it warms towards the air, from what was read of it there', () => {
  const out = (hours: number, change: Partial<Lot> = {}) =>
    riceAtWok(lot({ place: 'bench', outSinceMs: NOW_MS - hours * HOUR_MS, ...change }), null, NOW_MS).tempC
  expect(out(0)).toBeCloseTo(4, 9)
  expect(out(1.5)).toBeCloseTo(24 - 20 / Math.E, 6)
  expect(out(1, { airTempC: 32 })).toBeGreaterThan(out(1))
  expect(out(2, { readings: [read(0, 10)] })).toBe(10)
})

test('its water is what it weighed when it was spread, less what the fridge took', () => {
  const weighed = riceAtWok(lot({ spreadMassG: 2200, cookedAtMs: NOW_MS }), LOAD, NOW_MS)
  // 1,000 g of raw rice hold 875 g of dry matter (12.5 % water, common practice): of 2,200 g that leaves 60.2 % of water.
  expect(weighed).toMatchObject({ waterFraction: expect.closeTo(1 - 875 / 2200, 9), waterError: 0.01 })
  const later = (covered: boolean) =>
    riceAtWok(lot({ spreadMassG: 2200, covered }), LOAD, NOW_MS + 24 * HOUR_MS).waterFraction
  expect(later(true)).toBeLessThan(weighed.waterFraction)
  expect(later(false)).toBeLessThan(later(true))
  expect(riceAtWok(lot({ cookedAtMs: NOW_MS }), LOAD, NOW_MS)).toMatchObject({ waterFraction: 0.6, waterError: 0.02 })
  expect(riceAtWok(lot({ cookedAtMs: NOW_MS }), null, NOW_MS)).toMatchObject({ waterFraction: 0.62, waterError: 0.03 })
})

test('law: it is never colder than the fridge or hotter than the air, and never drier than rice gets', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 100, noNaN: true }),
      fc.integer({ min: 500, max: 3000 }),
      (hours, spreadMassG) => {
        const out = lot({ place: 'bench', outSinceMs: NOW_MS - hours * HOUR_MS, spreadMassG })
        const { tempC, waterFraction } = riceAtWok(out, LOAD, NOW_MS)
        expect(tempC).toBeGreaterThanOrEqual(4)
        expect(tempC).toBeLessThanOrEqual(24)
        expect(waterFraction).toBeGreaterThanOrEqual(0.5)
      },
    ),
  )
})

test('lumps are as large as somebody said; nobody’s word is not a word for none', () => {
  expect(riceAtWok(lot(), null, NOW_MS).lumpMm).toBeNull()
  expect(riceAtWok(lot({ looseness: 'loose' }), null, NOW_MS).lumpMm).toBe(0)
  const [clumps, blocks] = (['clumps', 'blocks'] as const).map(
    (looseness) => riceAtWok(lot({ looseness }), null, NOW_MS).lumpMm!,
  )
  expect(clumps).toBeGreaterThan(5)
  expect(blocks).toBeGreaterThan(clumps!)
})
