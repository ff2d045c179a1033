import fc from 'fast-check'
import type { Component } from './dish'
import { component, DISH, TOOLS } from '../test/kitchen'
import { batchAmounts, componentMassG, totalMassG } from './scale'

type Scaling = Component['scaling']
const one = (scaling: Scaling, extra: Partial<Component> = {}) =>
  component({ id: 'x', role: 'fat', food: 'oil', ratioG: 4, scaling, ...extra })
const riceG = fc.double({ min: 50, max: 4000, noNaN: true })
const EGG = { count: { size: 'egg', massG: 50 }, ratioG: 16 }

describe('laws of scaling', () => {
  test('a film stays, the share grows; a cap holds; eggs are whole and at least one', () => {
    expect(componentMassG(one('film', { filmG: 8 }), 440, 220)).toBeCloseTo(8 + 17.6, 9)
    expect(componentMassG(one('capped', { capG: 10 }), 1000, 220)).toBe(10)
    const eggs = one('stepwise', EGG)
    expect([100, 440, 660].map((massG) => componentMassG(eggs, massG, 220))).toEqual([50, 50, 100])
  })

  test.each<[Scaling, Partial<Component>, number, number, number]>([
    ['linear', {}, 8.8, 17.6, 44],
    ['perBatch', {}, 8.8, 8.8, 8.8],
    ['film', { filmG: 6 }, 14.8, 23.6, 50],
    ['capped', { capG: 20 }, 8.8, 17.6, 20],
    ['capped', {}, 8.8, 17.6, 44],
    ['stepwise', EGG, 50, 50, 200],
    ['stepwise', {}, 8.8, 17.6, 44],
  ])('%s: one, two and five portions of 220 g take so much', (scaling, extra, single, double, five) => {
    const masses = [220, 440, 1100].map((massG) => componentMassG(one(scaling, extra), massG, 220))
    for (const [i, massG] of [single, double, five].entries()) expect(masses[i]).toBeCloseTo(massG, 9)
  })

  test('linear: so many times the rice, so many times the mass', () => {
    fc.assert(
      fc.property(riceG, fc.double({ min: 0.1, max: 20, noNaN: true }), (massG, k) =>
        expect(componentMassG(one('linear'), massG * k, 220)).toBeCloseTo(
          k * componentMassG(one('linear'), massG, 220),
          6,
        ),
      ),
    )
  })

  test('more rice never takes less of anything', () => {
    const any = fc.constantFrom<Component>(
      one('linear'),
      one('perBatch'),
      one('film', { filmG: 8 }),
      one('capped', { capG: 30 }),
      one('stepwise', EGG),
    )
    fc.assert(
      fc.property(any, riceG, fc.double({ min: 0, max: 2000, noNaN: true }), (part, massG, more) => {
        expect(componentMassG(part, massG + more, 220)).toBeGreaterThanOrEqual(componentMassG(part, massG, 220) - 1e-9)
      }),
    )
  })

  test('whole pieces are whole, at least one, and within half a piece of their share', () => {
    fc.assert(
      fc.property(riceG, (massG) => {
        const eggsG = componentMassG(one('stepwise', EGG), massG, 220)
        expect(eggsG % 50).toBe(0)
        expect(eggsG).toBeGreaterThanOrEqual(50)
        if (eggsG > 50) expect(Math.abs(eggsG - 0.16 * massG)).toBeLessThanOrEqual(25 + 1e-9)
      }),
    )
  })
})

describe('a whole batch', () => {
  test('weighs what its components weigh, and each is measured within its tolerance or on the scale', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), (portions) => {
        const massG = portions * DISH.portionRiceG
        const amounts = batchAmounts(DISH.components, massG, DISH.portionRiceG, TOOLS)
        const expected = DISH.components.reduce((sum, part) => sum + componentMassG(part, massG, DISH.portionRiceG), 0)
        expect(totalMassG(amounts)).toBeCloseTo(expected, 6)
        for (const { measure, massG: partG } of amounts) {
          expect(measure.count).toBeGreaterThan(0)
          if (measure.tool !== 'scale') expect(Math.abs(measure.massG / partG - 1)).toBeLessThanOrEqual(0.1 + 1e-9)
        }
      }),
    )
  })

  test('an empty list weighs nothing', () => expect(totalMassG([])).toBe(0))
})
