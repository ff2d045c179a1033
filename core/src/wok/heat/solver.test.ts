import { HOB, RING } from '../../test/stations'
import { advance, type Method } from './advance'
import { COMMON, PER_FOOD } from './layout'
import { emptyPan, foodC, metalC, putIn } from './pan'
import type { Pan } from './layout'
import { rates } from './rates'
import { vesselOf, type Vessel } from './vessel'

/** The outside solver: odex of the npm registry, Hairer and Wanner's extrapolation method. */
type Solver = {
  absoluteTolerance: number
  relativeTolerance: number
  maxSteps: number
  maxStepSize: number
  solve: (f: (t: number, y: number[]) => number[], fromS: number, y: number[], toS: number) => { y: number[] }
}
const { Solver: Odex } = jest.requireActual<{ Solver: new (n: number) => Solver }>('odex')

function loaded(station = HOB): Pan {
  const pan = emptyPan(vesselOf(station), 230, 85, 15, 'stir')
  putIn(pan, { food: 'rice', massG: 400, tempC: 4 })
  putIn(pan, { food: 'peas', massG: 40, tempC: -18 })
  putIn(pan, { food: 'seafood', massG: 60, tempC: 4 })
  putIn(pan, { food: 'leafy', massG: 20, tempC: 10 })
  return pan
}

/** The same equations to 240 s by the outside solver. */
function outside(pan: Pan, toS: number): Pan {
  const size = COMMON + pan.portions.length * PER_FOOD
  const dy = new Float64Array(pan.y.length)
  const at = new Float64Array(pan.y.length)
  const solver = new Odex(size)
  solver.absoluteTolerance = 1e-6
  solver.relativeTolerance = 1e-6
  solver.maxStepSize = 1
  const end = solver.solve(
    (_, y) => {
      at.set(y)
      rates(pan, at, dy)
      return [...dy.subarray(0, size)]
    },
    0,
    [...pan.y.subarray(0, size)],
    toS,
  )
  pan.y.set(end.y)
  return pan
}

const temperatures = (pan: Pan) => [metalC(pan), ...pan.portions.map((_, index) => foodC(pan, index))]
function ours(station: typeof HOB, method: Method, stepS: number, toS: number): number[] {
  const pan = loaded(station)
  advance(pan, toS, stepS, method)
  return temperatures(pan)
}

test.each([
  ['a hob', HOB],
  ['a ring', RING],
])('on %s an outside solver finds the same temperatures within 0.1 %% at 60 and 240 s', (_name, station) => {
  for (const toS of [60, 240]) {
    const theirs = temperatures(outside(loaded(station), toS))
    ours(station, 'rk4', 0.5, toS).forEach((tempC, i) => expect(tempC / theirs[i]!).toBeCloseTo(1, 4))
    ours(station, 'heun', 1, toS).forEach((tempC, i) => expect(Math.abs(tempC - theirs[i]!)).toBeLessThan(0.1))
  }
})

test('half the step, no other answer', () => {
  const fine = ours(HOB, 'rk4', 0.125, 240)
  ours(HOB, 'rk4', 0.5, 240).forEach((tempC, i) => expect(Math.abs(tempC - fine[i]!)).toBeLessThan(0.02))
})

/** A vessel with one zone that loses nothing: what remains has an answer on paper. */
const bare = (more: Partial<Vessel>): Vessel => ({
  ...vesselOf(HOB),
  hasFlame: false,
  netW: 1000,
  holdC: 1e6,
  shareA: 1,
  conductanceWPerK: 0,
  areaAM2: 0,
  areaBM2: 0,
  outsideBM2: 0,
  capacityAJPerK: 800,
  ...more,
})

test('without losses the metal climbs by P t / C', () => {
  const pan = emptyPan(bare({}), 25, 25, 0, 'stir')
  advance(pan, 60, 0.5, 'rk4')
  expect(metalC(pan)).toBeCloseTo(25 + (1000 * 60) / 800, 9)
})

test('with air alone it follows Newton: T = Ta + P / hA (1 - exp(-hA t / C))', () => {
  const areaM2 = 0.5
  const pan = emptyPan(bare({ areaAM2: areaM2, emissivity: 0 }), 25, 25, 0, 'stir')
  advance(pan, 60, 0.5, 'rk4')
  const lossWPerK = 10 * areaM2
  expect(metalC(pan) / (25 + (1000 / lossWPerK) * (1 - Math.exp((-lossWPerK * 60) / 800)))).toBeCloseTo(1, 8)
})
