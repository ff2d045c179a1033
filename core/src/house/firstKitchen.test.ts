import fc from 'fast-check'
import { FIRST_STEPS, firstKitchen, type KitchenParts } from './firstKitchen'

const NOTHING: KitchenParts = {
  owners: 0,
  cooks: 0,
  stations: 0,
  stationsWithPlate: 0,
  vessels: 0,
  coldPlaces: 0,
  ladles: 0,
  instruments: 0,
  dishes: 0,
  lots: 0,
  waves: 0,
  shifts: 0,
}
const some = fc.nat({ max: 4 })
const partsOf = fc
  .record({
    owners: some,
    cooks: some,
    stations: some,
    stationsWithPlate: some,
    vessels: some,
    coldPlaces: some,
    ladles: some,
    instruments: some,
    dishes: some,
    lots: some,
    waves: some,
    shifts: some,
  })
  .map((parts) => ({ ...parts, stationsWithPlate: Math.min(parts.stations, parts.stationsWithPlate) }))

test('an empty kitchen: nothing works, and it says what it cannot cook without', () => {
  const { steps, works, canCook } = firstKitchen(NOTHING)
  expect(works).toEqual([])
  expect(canCook).toBe(false)
  expect(steps.filter(({ isNeeded }) => isNeeded).map(({ step }) => step)).toEqual(['name', 'station', 'dish'])
})

test('an owner, a ring and a dish: the dish is timed, the batch an estimate until the plate is given', () => {
  const parts = { ...NOTHING, owners: 1, cooks: 1, stations: 1, dishes: 1 }
  expect(firstKitchen(parts)).toMatchObject({ canCook: true, works: ['timedDish', 'largestBatch'] })
  expect(firstKitchen({ ...parts, stationsWithPlate: 1 }).works).toEqual(['timedDish', 'measuredBatch'])
})

test('one ring of two without a plate: its batch is still an estimate', () => {
  const parts = { ...NOTHING, owners: 1, stations: 2, stationsWithPlate: 1, dishes: 1 }
  expect(firstKitchen(parts).works).toContain('largestBatch')
})

test('law: entering more never takes a done step back, but for a station whose plate is not given yet', () => {
  fc.assert(
    fc.property(partsOf, partsOf, (a, b) => {
      const sum = Object.fromEntries(
        Object.keys(a).map((key) => [key, a[key as keyof KitchenParts] + b[key as keyof KitchenParts]]),
      ) as KitchenParts
      const [before, after] = [firstKitchen(a), firstKitchen(sum)]
      for (const [i, step] of FIRST_STEPS.entries())
        if (step !== 'plate' && before.steps[i]!.isDone) expect(after.steps[i]!.isDone).toBe(true)
      if (before.canCook) expect(after.canCook).toBe(true)
    }),
    { endOnFailure: true },
  )
})
