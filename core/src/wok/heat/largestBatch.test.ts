import { aGriddle, aWok, HOB, RING } from '../../test/stations'
import { fry } from './fry'
import { largestBatch, largestBatchFast, MOST_HEATING_S, OIL_G_PER_KG, type BatchQuestion } from './largestBatch'
import { LEAST_METAL_C } from './parameters'

const of = (more: Partial<BatchQuestion>) => largestBatch({ station: HOB, riceTempC: 4, handling: 'stir', ...more })

/** Bands of common practice; a hob takes one portion, a ring three to five, a griddle zone about seven. */
test.each<[string, Partial<BatchQuestion>, number, number, string]>([
  ['a hob of 3.5 kW', {}, 300, 480, 'dip'],
  ['a ring of 25 kW, tossed', { station: RING, handling: 'toss' }, 1000, 1700, 'volume'],
  ['a griddle zone', { station: aGriddle(), handling: 'flip' }, 1500, 3000, 'time'],
  ['a coil of 5 kW', { station: aWok(5000, { source: 'induction' }) }, 900, 1300, 'time'],
])('%s', (_name, question, least, most, limit) => {
  const batch = of(question)
  expect(batch?.massG).toBeGreaterThan(least)
  expect(batch?.massG).toBeLessThan(most)
  expect(batch?.limit).toBe(limit)
})

test('the answer holds in a run of its own, and 3 % more does not', () => {
  for (const station of [HOB, aWok(5000), aWok(8000)]) {
    const batch = of({ station })!
    const run = (massG: number) =>
      fry({
        station,
        startMetalC: 230,
        oilG: (massG * OIL_G_PER_KG) / 1000,
        components: [{ food: 'rice', massG, tempC: 4, atS: 0 }],
        handling: 'stir',
        durationS: 300,
      })
    const holds = (massG: number) =>
      run(massG).lowestMetalC >= LEAST_METAL_C - 0.2 && (run(massG).timeTo74S ?? Infinity) <= MOST_HEATING_S + 0.5
    expect(holds(batch.massG)).toBe(true)
    expect(holds(batch.massG * 1.03)).toBe(false)
  }
})

test('warmer rice allows more, a wider wok over the same weak flame less, a narrow one only what fits', () => {
  const cold = of({})!.massG
  expect(of({ riceTempC: 20 })!.massG).toBeGreaterThan(cold * 1.04)
  expect(of({ station: aWok(3500, { diameterM: 0.4 }) })!.massG).toBeLessThan(cold)
  expect(of({ station: aWok(12_000, { diameterM: 0.3 }) })).toMatchObject({ limit: 'volume' })
})

test('wetter rice allows less', () => {
  expect(of({ riceWaterFraction: 0.68 })!.massG).toBeLessThan(of({})!.massG)
})

test('a flame that heats nothing has no batch', () => {
  expect(of({ station: aWok(150) })).toBeNull()
})

test('the fast form is near on stations it was not made on', () => {
  const errors = [2800, 4200, 6100, 7400, 9500].flatMap((powerW) =>
    [0.32, 0.38].flatMap((diameterM) =>
      [2, 12, 24].map((riceTempC) => {
        const question: BatchQuestion = { station: aWok(powerW, { diameterM }), riceTempC, handling: 'stir' }
        return Math.abs((largestBatchFast(question)?.massG ?? 0) / (largestBatch(question)?.massG ?? Infinity) - 1)
      }),
    ),
  )
  const sorted = [...errors].sort((a, b) => a - b)
  expect(sorted[Math.floor(sorted.length / 2)]).toBeLessThan(0.02)
  expect(Math.max(...errors)).toBeLessThan(0.06)
})
