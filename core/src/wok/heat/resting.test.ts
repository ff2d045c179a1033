import { aGriddle, aWok, HOB, RING } from '../../test/stations'
import { restingC } from './resting'
import { sameVesselOf } from './vessel'

test('metal cools from the flame to the air: thin metal sooner than a plate, and never below the kitchen', () => {
  const [ring, plate] = [sameVesselOf(RING), sameVesselOf(aGriddle())]
  const over = (vessel: typeof ring) => [0, 30, 120, 600, 1799, 4000].map((s) => restingC(vessel, s))
  for (const temps of [over(ring), over(plate), over(sameVesselOf(HOB))]) {
    temps.slice(1).forEach((tempC, i) => expect(tempC).toBeLessThanOrEqual(temps[i]!))
    expect(temps.at(-1)).toBeCloseTo(25, 0)
  }
  expect(restingC(ring, 0)).toBeCloseTo(220, 0)
  expect(restingC(ring, 120)).toBeLessThan(restingC(plate, 120) - 20)
})

test('metal that never came so far is no hotter than its ceiling', () => {
  expect(restingC(sameVesselOf(aWok(8000, { holdC: 180 })), 0)).toBeCloseTo(180, 6)
})
