import fc from 'fast-check'
import { aGriddle, aWok, HOB } from '../../test/stations'
import { bareMetalWPerM2, heapOf, vesselOf } from './vessel'

/** Area and volume of a cap by adding up thin rings, which the code does not do. */
function capByRings(diameterM: number, depthM: number) {
  const radius = diameterM / 2
  const sphere = (radius * radius + depthM * depthM) / (2 * depthM)
  const rings = 200_000
  let areaM2 = 0
  let volumeM3 = 0
  for (let n = 0; n < rings; n += 1) {
    const height = ((n + 0.5) / rings) * depthM
    const at = Math.sqrt(2 * sphere * height - height * height)
    volumeM3 += Math.PI * at * at * (depthM / rings)
    areaM2 += 2 * Math.PI * at * (sphere / at) * (depthM / rings)
  }
  return { areaM2, volumeM3 }
}

test('a wok of 36 cm has 0.13 m² of metal and holds 5.7 L, as rings added up say', () => {
  const wok = vesselOf(HOB)
  const { areaM2, volumeM3 } = capByRings(0.36, 0.28 * 0.36)
  expect((wok.areaAM2 + wok.areaBM2) / areaM2).toBeCloseTo(1, 6)
  expect(wok.volumeM3 / volumeM3).toBeCloseTo(1, 6)
  expect(wok.volumeM3 * 1000).toBeCloseTo(5.66, 1)
  expect(wok.workableM3 / wok.volumeM3).toBeCloseTo(0.4, 12)
})

test('law: a heap fills its cap, covers no more than the metal, and more food covers more', () => {
  const volume = fc.double({ min: 1e-6, max: 2.2e-3, noNaN: true })
  fc.assert(
    fc.property(volume, fc.double({ min: 0.28, max: 0.6, noNaN: true }), (volumeM3, diameterM) => {
      const vessel = vesselOf(aWok(8000, { diameterM }))
      const heap = heapOf(vessel, volumeM3, Infinity, 0.7)
      const heightM = heap.coversM2 / (2 * Math.PI * vessel.sphereM)
      const fills = (Math.PI * heightM * heightM * (3 * vessel.sphereM - heightM)) / 3
      const isFull = heap.coversM2 >= vessel.areaAM2 + vessel.areaBM2 - 1e-12
      if (!isFull) expect(fills / volumeM3).toBeCloseTo(1, 6)
      expect(heap.coversM2).toBeLessThanOrEqual(vessel.areaAM2 + vessel.areaBM2 + 1e-12)
      expect(heapOf(vessel, volumeM3 * 1.1, Infinity, 0.7).coversM2).toBeGreaterThanOrEqual(heap.coversM2)
      expect(heapOf(vessel, volumeM3, heap.coversM2 / 2, 0.7).coversM2).toBeCloseTo(heap.coversM2 / 2, 12)
    }),
  )
})

test('a griddle zone is spread over its share, a pan over its bottom, and an empty vessel over nothing', () => {
  const griddle = vesselOf(aGriddle())
  expect(heapOf(griddle, 0.002, Infinity, 0.7)).toEqual({
    coversM2: 0.7 * 0.18,
    surfaceM2: 0.7 * 0.18,
    depthM: 0.002 / 0.126,
  })
  const pan = vesselOf(aWok(3500, { kind: 'pan', diameterM: 0.3 }))
  expect(heapOf(pan, 0.001, Infinity, 0.7).coversM2).toBeCloseTo((Math.PI * 0.24 ** 2) / 4, 9)
  expect(heapOf(pan, 0, 0, 0.7)).toEqual({ coversM2: 0, surfaceM2: 0, depthM: 0 })
  expect(vesselOf(aWok(3500, { kind: 'pot' })).areaAM2).toBeCloseTo((Math.PI * 0.36 ** 2) / 4, 9)
})

test('bare metal at 330 °C loses 9 kW a square metre: air and Stefan and Boltzmann, by hand', () => {
  expect(bareMetalWPerM2(330, 0.85)).toBeCloseTo(10 * 305 + 0.85 * 5.670374419e-8 * (603.15 ** 4 - 298.15 ** 4), 6)
  expect(bareMetalWPerM2(25, 0.85)).toBe(0)
})

test.each([
  ['powerW', { powerW: 0 }],
  ['efficiency', { efficiency: Number.NaN }],
  ['massKg', { massKg: -1 }],
  ['diameter', { diameterM: null }],
  ['depthM', { depthM: 0.3 }],
  ['plate', { kind: 'griddle' as const }],
])('a station without a sensible %s is refused by name', (name, wrong) => {
  expect(() => vesselOf({ ...HOB, ...wrong })).toThrow(new RegExp(name))
})
