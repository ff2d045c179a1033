import { aWok, HOB, RING } from '../../test/stations'
import { preheat, preheatOf } from './preheat'
import { AIR_C } from './parameters'
import { gasEfficiency, usualHandling, usualStation } from './usualStations'
import { vesselOf } from './vessel'

const [hob, ring] = [vesselOf(HOB), vesselOf(RING)]

describe('an empty vessel on its flame', () => {
  test('takes longer the hotter it is to be, and less over a stronger flame', () => {
    const seconds = [100, 150, 200, 230].map((toC) => preheat(hob, toC).seconds!)
    expect(seconds).toEqual([...seconds].sort((a, b) => a - b))
    for (const toC of [150, 230]) expect(preheat(ring, toC).seconds!).toBeLessThan(preheat(hob, toC).seconds!)
  })

  /** Common practice: a spun wok on a home's hob smokes after one to four minutes, on a jet ring within one. */
  test('smokes after minutes on a hob, and within one on a ring', () => {
    expect(preheat(hob, 230).seconds!).toBeGreaterThan(60)
    expect(preheat(hob, 230).seconds!).toBeLessThan(240)
    expect(preheat(ring, 230).seconds!).toBeLessThan(60)
  })

  test('that is warm enough already takes no time, and one that its flame never heats so far says so', () => {
    expect(preheat(hob, AIR_C)).toMatchObject({ seconds: 0, metalC: AIR_C })
    const weak = preheat(vesselOf(aWok(300)), 230)
    expect(weak.seconds).toBeNull()
    expect(weak.metalC).toBeLessThan(230)
  })

  test('has a rim that is cooler than what lies over the flame', () => {
    for (const vessel of [hob, ring]) {
      const { metalC, rimC } = preheat(vessel, 230)
      expect(metalC).toBe(230)
      expect(rimC).toBeLessThan(metalC)
      expect(rimC).toBeGreaterThan(AIR_C)
    }
  })

  test('is worked out once for each vessel and temperature', () => {
    expect(preheatOf(hob, 180)).toBe(preheatOf(hob, 180))
    expect(preheatOf(hob, 180)).toEqual(preheat(hob, 180))
    expect(preheatOf(hob, 200)).not.toBe(preheatOf(hob, 180))
  })
})

/** Common practice: a home's burner gives a third of its heat to the wok, a jet ring a fifth. */
test.each([
  [3500, 0.32],
  [35_000, 0.2],
  [1_000_000, 0.15],
  [500, 0.35],
])('of a gas flame of %d W a share of %d reaches a wok', (powerW, share) => {
  expect(gasEfficiency(powerW)).toBeCloseTo(share, 2)
})

test('what nobody said of a station is what is usual: tossed on a ring, stirred on a hob, turned on a griddle', () => {
  expect(usualStation('wok', 24_000)).toMatchObject({ powerW: 24_000, holdC: 320, zoneShare: null, contact: null })
  expect(usualStation('wok', null)).toMatchObject({ powerW: 8000, holdC: 280 })
  expect(usualStation('griddle', null)).toMatchObject({ powerW: 9000, holdC: 230 })
  expect(usualHandling(usualStation('wok', 24_000))).toBe('toss')
  expect(usualHandling(usualStation('wok', 3500))).toBe('stir')
  expect(usualHandling(usualStation('griddle', 24_000))).toBe('flip')
  for (const kind of ['wok', 'griddle'] as const) expect(() => vesselOf(usualStation(kind, null))).not.toThrow()
})
