import { DISH, EVERYTHING, TOOLS, US } from '../test/kitchen'
import { heatOf } from './batchHeat'
import { batchScore } from './batchScore'
import { roughStationTimes, stationTimes } from './stationTimes'

const RING = heatOf({ kind: 'wok', powerW: 24_000 })
const HOB = heatOf({ kind: 'wok', powerW: 3500 })
const dish = {
  ...DISH,
  components: EVERYTHING.filter(({ id }) => ['rice', 'egg', 'soy', 'scallion', 'oil'].includes(id)),
}
const timesAt = (heat: typeof RING, cap = 4) => stationTimes(dish, cap, heat, TOOLS, US).seconds

test('each portion more takes longer, and a hob longer than a ring', () => {
  const ring = timesAt(RING)
  expect(ring).toHaveLength(4)
  ring.slice(1).forEach((seconds, i) => expect(seconds).toBeGreaterThanOrEqual(ring[i]!))
  expect(timesAt(HOB, 1)[0]!).toBeGreaterThan(ring[0]!)
})

test('they are within a quarter of what a score of its own says, and the same where they come from', () => {
  timesAt(RING).forEach((seconds, i) => {
    const parts = [{ portions: i + 1, modifiers: [] }]
    const scored = batchScore(dish, { modifiers: [], allergies: [], parts }, RING, TOOLS, US)
    const totalS = scored.kind === 'score' ? scored.score.totalS : Number.NaN
    expect(Math.abs(seconds - totalS) / totalS).toBeLessThan(0.25)
    if (i === 1) expect(seconds).toBe(totalS)
  })
})

test('a station takes no more than fries well on it, and one portion whatever it is', () => {
  expect(timesAt(HOB, 6).length).toBeLessThan(6)
  const large = { ...dish, portionRiceG: 1320 }
  expect(stationTimes(large, 3, RING, TOOLS, US).seconds).toHaveLength(1)
})

test('where a dish cannot be cooked safely there is no time', () => {
  const thick = { ...EVERYTHING[2]!, cut: { shape: 'dice' as const, sizeMm: 60 } }
  expect(stationTimes({ ...dish, components: [EVERYTHING[0]!, thick] }, 2, RING, TOOLS, US).seconds).toEqual([])
})

describe('rough times', () => {
  test.each([RING, HOB])('are near the full ones for as many portions, and say that they are rough', (heat) => {
    const full = timesAt(heat)
    const rough = roughStationTimes(dish, 4, heat, US)
    expect(rough?.isRough).toBe(true)
    expect(Math.abs(rough!.seconds.length - full.length)).toBeLessThanOrEqual(1)
    full
      .slice(0, rough!.seconds.length)
      .forEach((seconds, i) => expect(Math.abs(rough!.seconds[i]! / seconds - 1)).toBeLessThan(0.3))
  })

  test('of what no probable way cooks safely there are none', () => {
    const thick = { ...EVERYTHING[2]!, cut: { shape: 'dice' as const, sizeMm: 60 } }
    expect(roughStationTimes({ ...dish, components: [EVERYTHING[0]!, thick] }, 2, RING, US)).toBeNull()
    const noRice = { ...dish, components: dish.components.filter(({ role }) => role !== 'rice') }
    expect(roughStationTimes(noRice, 2, RING, US)).toBeNull()
  })
})
