import fc from 'fast-check'
import { saturationPressurePa } from '../../physics/water'
import { airLoss, surface } from './airLoss'
import { contact, floatingShare, touch } from './contact'
import { AIR_C, AIR_VAPOUR_PA, BOIL_C, BOIL_J_PER_KG, WATER_J_PER_KGK } from './parameters'

const runs = { endOnFailure: true, numRuns: 300 }
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })

/** Leidenfrost: textbook values from memory. */
test.each([
  [100, 1],
  [160, 1],
  [195, 0.6],
  [230, 0.2],
  [320, 0.2],
])('on metal at %d °C %d of a wet contact is left', (metalC, share) => {
  expect(floatingShare(metalC)).toBeCloseTo(share, 9)
})

describe('the interface between metal and food', () => {
  const between100 = (foodC: number) => BOIL_J_PER_KG + WATER_J_PER_KGK * (BOIL_C - foodC)

  test('law: what the metal gives is what the food takes and what its steam carries, in every regime', () => {
    fc.assert(
      fc.property(
        between(20, 320),
        between(-10, 100),
        between(50, 2_000),
        between(50, 1_500),
        between(0, 0.2),
        (metalC, foodC, metalSide, foodSide, supply) => {
          touch(metalC, foodC, metalSide, foodSide, supply)
          const [heat = 0, steam = 0, faceC = 0] = contact
          expect(heat).toBeCloseTo(metalSide * (metalC - faceC), 4)
          expect(Math.abs(heat - foodSide * (faceC - foodC) - steam * between100(foodC))).toBeLessThan(1e-3)
          expect(steam).toBeGreaterThanOrEqual(0)
          expect(steam).toBeLessThanOrEqual(supply + 1e-12)
        },
      ),
      runs,
    )
  })

  test('enough water holds it at the boil: it steams; too little lets it rise: it fries', () => {
    touch(230, 80, 300, 400, 1)
    expect(contact[2]).toBeCloseTo(BOIL_C, 9)
    touch(230, 80, 300, 400, 0.001)
    expect(contact[2]).toBeGreaterThan(105)
    expect(contact[1]).toBe(0.001)
    touch(90, 20, 300, 400, 1)
    expect(contact[1]).toBe(0)
    expect(contact[2]).toBeCloseTo((300 * 90 + 400 * 20) / 700, 9)
  })
})

describe('a face in the air', () => {
  /** Hotter, or with a weaker contact behind it, one linear step is too coarse for the law: what is wetter may lose less. */
  test('law: up to 75 °C what is wetter never gives off less, and the surface lies between the food and the air', () => {
    fc.assert(
      fc.property(
        between(AIR_C, 75),
        between(0.3, 0.9),
        between(0, 0.1),
        between(200, 1_500),
        between(5, 30),
        (tempC, activity, more, foodSide, airWPerM2K) => {
          const lost = airLoss(tempC, activity, foodSide, airWPerM2K)
          const surfaceC = surface[0]!
          expect(lost).toBeGreaterThanOrEqual(0)
          expect(surfaceC).toBeLessThanOrEqual(tempC)
          expect(surfaceC).toBeGreaterThanOrEqual(AIR_C - 1e-9)
          expect(airLoss(tempC, activity + more, foodSide, airWPerM2K)).toBeGreaterThanOrEqual(0.98 * lost)
        },
      ),
      runs,
    )
  })

  test('what is as dry as the kitchen’s air loses no water; its heat alone cools it', () => {
    const activity = AIR_VAPOUR_PA / saturationPressurePa(60)
    expect(airLoss(60, 0.9 * activity, 500, 12)).toBe(0)
    expect(surface[0]).toBeLessThan(60)
  })

  test('a stronger contact with the food behind it keeps it warmer, and it loses more', () => {
    const weak = airLoss(80, 0.9, 100, 12)
    const weakC = surface[0]!
    expect(airLoss(80, 0.9, 1_000, 12)).toBeGreaterThan(weak)
    expect(surface[0]).toBeGreaterThan(weakC)
  })
})
