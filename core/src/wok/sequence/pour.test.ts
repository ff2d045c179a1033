import { HOB } from '../../test/stations'
import { emptyPan, putIn } from '../heat/pan'
import { vesselOf } from '../heat/vessel'
import { patchM2 } from './pour'

const eggOver = (...lying: readonly { food: 'garlic' | 'rice' | 'allium'; massG: number }[]) => {
  const pan = emptyPan(vesselOf(HOB), 230, 200, 10, 'stir')
  for (const load of lying) putIn(pan, { ...load, tempC: 60 })
  return patchM2(pan, putIn(pan, { food: 'egg', massG: 60, tempC: 4 }))
}

test('an egg beside a heap has metal of its own; over less than itself, or in an empty vessel, it runs', () => {
  expect(eggOver({ food: 'rice', massG: 300 })).toBeGreaterThan(0)
  expect(eggOver({ food: 'garlic', massG: 4 })).toBe(0)
  expect(eggOver()).toBe(0)
})

test('what lies there counts together, and the patch never takes more than three tenths of the metal', () => {
  const half = { food: 'allium', massG: 25 } as const
  expect(eggOver(half)).toBe(0)
  expect(eggOver(half, half, half)).toBeGreaterThan(0)
  expect(eggOver({ food: 'rice', massG: 2_000 })).toBeLessThanOrEqual(0.3 * vesselOf(HOB).areaAM2)
})
