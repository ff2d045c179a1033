import fc from 'fast-check'
import { aGriddle, HOB, RING } from '../../test/stations'
import { advance } from './advance'
import { FOOD_THERMAL } from './foodTable'
import { HEAT_FOODS } from './foods'
import { P_AREA_A, P_AREA_B, P_SHARE, P_SURFACE, PER_PART, V_BARE_A, V_BARE_B, type Pan } from './layout'
import { setPatch } from './lift'
import { portionOf, type FoodLoad } from './load'
import { emptyPan, foodC, metalC, putIn, residuals, setWork } from './pan'
import { HANDLINGS, MELT_J_PER_KG } from './parameters'
import { vesselOf } from './vessel'

const anyFood = fc.constantFrom(...HEAT_FOODS)
const anyLoad = fc.record({
  food: anyFood,
  massG: fc.integer({ min: 2, max: 600 }),
  tempC: fc.integer({ min: -1, max: 95 }),
  pieceMm: fc.option(fc.integer({ min: 1, max: 30 }), { nil: undefined }),
})
const anyHandling = fc.constantFrom(...HANDLINGS)
const anyStation = fc.constantFrom(HOB, RING, aGriddle())

describe('a load', () => {
  test('weighs what was put in: dry matter, free and bound water', () => {
    fc.assert(
      fc.property(anyLoad, fc.option(fc.double({ min: 0.05, max: 0.95, noNaN: true })), (load, waterFraction) => {
        const one = portionOf({ ...load, ...(waterFraction !== null && { waterFraction }) })
        expect(one.dryKg + one.freeKg + one.boundKg).toBeCloseTo(load.massG / 1000, 9)
        for (const kg of [one.dryKg, one.freeKg, one.boundKg, one.givesUpKg]) expect(kg).toBeGreaterThanOrEqual(-1e-12)
        expect(one.givesUpKg).toBeLessThanOrEqual(one.boundKg + 1e-12)
      }),
      { endOnFailure: true },
    )
  })

  test('twice as much is twice of everything, in the same pieces', () => {
    fc.assert(
      fc.property(anyLoad, (load) => {
        const [one, two] = [portionOf(load), portionOf({ ...load, massG: 2 * load.massG })]
        for (const name of [
          'dryKg',
          'dryJPerK',
          'freeKg',
          'boundKg',
          'iceJ',
          'volumeM3',
          'layerM2',
          'piecesM2',
        ] as const)
          expect(two[name]).toBeCloseTo(2 * one[name], 9)
        for (const name of ['pieceM', 'bedJPerKgK', 'pieceWPerMK', 'diffusivityM2PerS'] as const)
          expect(two[name]).toBeCloseTo(one[name], 12)
      }),
      { endOnFailure: true },
    )
  })

  test('frozen, its ice takes the heat that melts 88 % of its water; thawed, none', () => {
    const peas = portionOf({ food: 'peas', massG: 100, tempC: -18 })
    const water = FOOD_THERMAL.peas.composition.water!
    expect(peas.iceJ).toBeCloseTo(0.1 * water * 0.88 * MELT_J_PER_KG, 6)
    expect(portionOf({ food: 'peas', massG: 100, tempC: 4 }).iceJ).toBe(0)
    expect(portionOf({ food: 'peas', massG: 100, tempC: 0, isFrozen: true }).iceJ).toBe(peas.iceJ)
  })

  test('rice is the wetter on its face, the wetter it is; fresh from the pot more than after a day', () => {
    const freeG = (waterFraction: number) =>
      portionOf({ food: 'rice', massG: 1000, tempC: 5, waterFraction }).freeKg * 1000
    expect(freeG(0.62)).toBeCloseTo(12, 6)
    expect(freeG(0.68)).toBeCloseTo(45, 6)
    expect(freeG(0.4)).toBeCloseTo(2, 6)
  })

  test.each<[Partial<FoodLoad>, RegExp]>([
    [{ massG: 0 }, /massG 0 of rice is not above zero/],
    [{ massG: NaN }, /massG NaN of rice/],
    [{ massG: Infinity }, /massG Infinity of rice/],
    [{ tempC: -41 }, /tempC -41 of rice is outside -40 to 100/],
    [{ tempC: 101 }, /tempC 101 of rice/],
    [{ tempC: NaN }, /tempC NaN of rice/],
    [{ pieceMm: 0 }, /pieceMm 0 of rice is outside 0 to 1000/],
    [{ pieceMm: 1001 }, /pieceMm 1001 of rice/],
    [{ waterFraction: 1.2 }, /1\.2/],
    [{ waterFraction: -0.1 }, /-0\.1/],
  ])('%j is refused', (wrong, message) => {
    expect(() => portionOf({ food: 'rice', massG: 300, tempC: 5, ...wrong })).toThrow(message)
    expect(() => portionOf({ food: 'rice', massG: 300, tempC: 5, ...wrong })).toThrow(RangeError)
  })
})

describe('how it lies', () => {
  const panWith = (station: typeof HOB, handling: Parameters<typeof emptyPan>[4], loads: readonly FoodLoad[]): Pan => {
    const pan = emptyPan(vesselOf(station), 220, 200, 12, handling)
    loads.forEach((load) => putIn(pan, load))
    return pan
  }
  const sumOf = (pan: Pan, place: number) =>
    pan.portions.reduce((sum, _, index) => sum + pan.parts[index * PER_PART + place]!, 0)
  const loads = fc.array(anyLoad, { minLength: 1, maxLength: 6 })

  test('food never touches more metal than is covered, and what is bare is the rest', () => {
    fc.assert(
      fc.property(anyStation, anyHandling, loads, (station, handling, some) => {
        const pan = panWith(station, handling, some)
        const { areaAM2, areaBM2, outsideBM2 } = pan.vessel
        expect(sumOf(pan, P_AREA_A)).toBeLessThanOrEqual(areaAM2 - pan.fixed[V_BARE_A]! + 1e-9)
        expect(sumOf(pan, P_AREA_B)).toBeLessThanOrEqual(areaBM2 + outsideBM2 - pan.fixed[V_BARE_B]! + 1e-9)
        expect(pan.fixed[V_BARE_A]).toBeGreaterThanOrEqual(-1e-12)
        expect(pan.fixed[V_BARE_B]).toBeGreaterThanOrEqual(outsideBM2 - 1e-12)
        expect(sumOf(pan, P_SHARE)).toBeCloseTo(1, 9)
      }),
      { endOnFailure: true },
    )
  })

  test('an egg in a well has its own metal, and the heap the rest; folded in, all is as before', () => {
    fc.assert(
      fc.property(anyStation, loads, (station, some) => {
        const pan = panWith(station, 'stir', [...some, { food: 'egg', massG: 50, tempC: 8 }])
        const [before, egg] = [pan.parts.slice(), some.length]
        setPatch(pan, egg, 0.008)
        expect(pan.parts[egg * PER_PART + P_AREA_A]).toBe(0.008)
        expect(pan.parts[egg * PER_PART + P_SHARE]).toBe(0)
        expect(sumOf(pan, P_SHARE)).toBeCloseTo(1, 9)
        expect(sumOf(pan, P_AREA_A)).toBeLessThanOrEqual(pan.vessel.areaAM2 + 1e-9)
        setPatch(pan, egg, 0)
        expect(pan.parts).toEqual(before)
      }),
      { numRuns: 60, endOnFailure: true },
    )
  })

  test('how it is moved is set and set back without a trace', () => {
    fc.assert(
      fc.property(anyStation, anyHandling, anyHandling, loads, (station, one, other, some) => {
        const pan = panWith(station, one, some)
        const [fixed, parts] = [pan.fixed.slice(), pan.parts.slice()]
        setWork(pan, { handling: other })
        setWork(pan, { handling: one })
        expect(pan.fixed).toEqual(fixed)
        expect(pan.parts).toEqual(parts)
      }),
      { numRuns: 60, endOnFailure: true },
    )
  })

  test('tossed food shows more of itself to the air than food that is left', () => {
    const surface = (handling: 'toss' | 'leave') =>
      sumOf(panWith(HOB, handling, [{ food: 'rice', massG: 300, tempC: 5 }]), P_SURFACE)
    expect(surface('toss')).toBeGreaterThan(surface('leave'))
  })

  test('a food put in as two halves heats as the whole', () => {
    fc.assert(
      fc.property(
        anyStation,
        anyHandling,
        anyLoad,
        fc.integer({ min: 5, max: 90 }),
        (station, handling, load, seconds) => {
          const whole = panWith(station, handling, [load])
          const half = { ...load, massG: load.massG / 2 }
          const halves = panWith(station, handling, [half, half])
          for (const pan of [whole, halves]) {
            advance(pan, seconds, 0.25, 'rk4')
            expect(residuals(pan).energy).toBeLessThan(1e-9)
          }
          expect(foodC(halves, 0)).toBeCloseTo(foodC(halves, 1), 6)
          expect(Math.abs(foodC(halves, 0) - foodC(whole, 0))).toBeLessThan(0.5)
          expect(Math.abs(metalC(halves) - metalC(whole))).toBeLessThan(1)
        },
      ),
      { numRuns: 40, endOnFailure: true },
    )
  })
})
