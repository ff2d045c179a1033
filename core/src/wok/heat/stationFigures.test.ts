import { aGriddle, aWok, HOB, RING } from '../../test/stations'
import { stationFigures } from './stationFigures'

const of = (station = HOB, efficiencyError = 0.05) =>
  stationFigures(station, { riceTempC: 4, handling: 'stir', efficiencyError })

test('the largest batch is the least of what each limit allows, and its doubt lies around it', () => {
  for (const station of [HOB, aWok(5000), aWok(12_000, { diameterM: 0.4 })]) {
    const { largest, limits, leastG, mostG } = of(station)
    const each = [limits.dipG, limits.timeG, limits.volumeG].filter((one) => one !== null)
    expect(Math.abs((largest?.massG ?? 0) / Math.min(...each) - 1)).toBeLessThan(0.01)
    expect(leastG).toBeLessThanOrEqual(largest?.massG ?? 0)
    expect(mostG).toBeGreaterThanOrEqual((largest?.massG ?? 0) - 1)
  }
})

test('more rice falls further, fries less and is hot later', () => {
  const [one, half, twice] = of().recoveries
  expect(one!.lowestMetalC).toBeGreaterThan(half!.lowestMetalC)
  expect(half!.lowestMetalC).toBeGreaterThan(twice!.lowestMetalC)
  expect(one!.fryingS).toBeGreaterThan(twice!.fryingS)
  expect(one!.timeTo74S).toBeLessThan(half!.timeTo74S ?? Infinity)
  expect(one!.metal).toHaveLength(61)
})

test('the section is drawn to scale: as wide as the wok at the rim, and every level inside it', () => {
  const { outline, heights } = of()
  expect(outline.at(-1)!.halfWidthM).toBeCloseTo(0.18, 3)
  expect(outline.at(-1)!.heightM).toBeCloseTo(0.1008, 3)
  for (const level of [heights.largestM, heights.dipM, heights.timeM, heights.volumeM])
    expect(level ?? 0).toBeLessThan(heights.rimM)
  expect(
    stationFigures(aGriddle(), { riceTempC: 4, handling: 'flip', efficiencyError: 0 }).outline[0]!.halfWidthM,
  ).toBeGreaterThan(0.1)
})

test('a flame that heats nothing is told by loads that are never hot', () => {
  const { largest, recoveries } = of(aWok(150))
  expect(largest).toBeNull()
  expect(recoveries.every((one) => one.timeTo74S === null)).toBe(true)
})

test('on a ring nothing but the rim limits', () => {
  const { limits, largest } = stationFigures(RING, { riceTempC: 4, handling: 'toss', efficiencyError: 0.1 })
  expect(limits).toMatchObject({ dipG: null, timeG: null })
  expect(largest?.limit).toBe('volume')
})
