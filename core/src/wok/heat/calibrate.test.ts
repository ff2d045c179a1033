import fc from 'fast-check'
import { aGriddle, aWok, HOB, RING } from '../../test/stations'
import { calibrate, expectedReadings, FIRST_SMOKE_C, waterS, type Readings } from './calibrate'
import { advance } from './advance'
import { emptyPan, metalC, putIn } from './pan'
import { preheat } from './preheat'
import { vesselOf, type HeatStation } from './vessel'

const LITRE = { litres: 1, fromC: 20, toC: 80 }
const LOAD = { massG: 400, riceTempC: 4, startMetalC: 230, atS: 65, handling: 'stir' } as const

/** Times of the project's own prototype for a litre of water in a wok of 36 cm. */
test.each<[string, HeatStation, number]>([
  ['3.5 kW', HOB, 340],
  ['5 kW', aWok(5000), 251],
  ['8 kW', aWok(8000), 176],
  ['12 kW', aWok(12_000), 130],
  ['25 kW', RING, 79],
  ['a coil of 3.5 kW', aWok(3500, { source: 'induction' }), 109],
])('a litre of water from 20 to 80 °C over %s', (_name, station, seconds) => {
  expect(Math.abs((waterS(station, LITRE) ?? Infinity) / seconds - 1)).toBeLessThan(0.12)
})

/** What a station that is truly so would show. */
function shown(truth: HeatStation): Readings {
  const vessel = vesselOf(truth)
  const pan = emptyPan(vessel, LOAD.startMetalC, preheat(vessel, LOAD.startMetalC).rimC, 10, LOAD.handling)
  putIn(pan, { food: 'rice', massG: LOAD.massG, tempC: LOAD.riceTempC })
  advance(pan, LOAD.atS, 1, 'heun')
  return {
    water: { ...LITRE, seconds: waterS(truth, LITRE) ?? Infinity },
    dry: { toC: FIRST_SMOKE_C, seconds: preheat(vessel, FIRST_SMOKE_C).seconds ?? Infinity },
    load: { ...LOAD, metalC: metalC(pan) },
  }
}

test('law: a station that is not what its plate says is found again from its three readings', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.14, max: 0.42, noNaN: true }),
      fc.double({ min: 0.35, max: 0.65, noNaN: true }),
      fc.double({ min: 0.75, max: 1.3, noNaN: true }),
      (efficiency, zoneShare, contact) => {
        const truth = aWok(6000, { efficiency, zoneShare, contact })
        const { result } = calibrate(aWok(6000), shown(truth))
        expect(result.implausible).toEqual([])
        expect(result.efficiency / efficiency).toBeCloseTo(1, 2)
        expect((result.zoneShare ?? 0) / zoneShare).toBeCloseTo(1, 2)
        expect((result.contact ?? 0) / contact).toBeCloseTo(1, 2)
      },
    ),
    { numRuns: 6, endOnFailure: true },
  )
})

test('law: more of the flame always heats water sooner, up to a ring of 35 kW', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 5000, max: 35_000, noNaN: true }),
      fc.double({ min: 0.15, max: 0.5, noNaN: true }),
      (powerW, efficiency) => {
        const seconds = (share: number) => waterS(aWok(powerW, { efficiency: share }), LITRE) ?? Infinity
        expect(seconds(efficiency * 1.1)).toBeLessThan(seconds(efficiency) * 0.97)
      },
    ),
    { numRuns: 40, endOnFailure: true },
  )
})

test('the error falls from a third by the plate to a few percent by water and watch', () => {
  const none = { water: null, dry: null, load: null }
  expect(calibrate(HOB, none).result).toMatchObject({
    efficiency: HOB.efficiency,
    efficiencyError: 0.35,
    zoneShare: null,
    contact: null,
  })
  expect(calibrate(HOB, { ...none, water: shown(HOB).water }).result.efficiencyError).toBeLessThan(0.03)
})

test('readings that no station could give are named and not taken', () => {
  const asked = (more: Partial<Readings>) => calibrate(HOB, { water: null, dry: null, load: null, ...more })
  const fast = asked({ water: { ...LITRE, seconds: 20 } })
  expect(fast.result.implausible).toEqual([{ reading: 'water', why: 'tooFast' }])
  expect(fast.station.efficiency).toBe(HOB.efficiency)
  expect(asked({ water: { ...LITRE, seconds: 3000 } }).result.implausible).toEqual([
    { reading: 'water', why: 'tooSlow' },
  ])
  expect(asked({ dry: { toC: 230, seconds: 2 } }).result.implausible).toEqual([{ reading: 'dry', why: 'tooFast' }])
  expect(asked({ dry: { toC: 230, seconds: 900 } }).result.implausible).toEqual([{ reading: 'dry', why: 'tooSlow' }])
  expect(asked({ load: { ...LOAD, metalC: 229 } }).result.implausible).toEqual([{ reading: 'load', why: 'tooHot' }])
})

test('a ceiling below first smoke does not stand in the way: the flame is left open for the dry vessel', () => {
  const coil = aWok(3500, { source: 'induction', holdC: 200 })
  const { dryS } = expectedReadings(coil, LITRE)
  expect(dryS).toBeGreaterThan(10)
  const { result } = calibrate(coil, { water: null, dry: { toC: FIRST_SMOKE_C, seconds: dryS ?? 0 }, load: null })
  expect(result).toMatchObject({ implausible: [], zoneShare: expect.closeTo(0.35, 2) as number })
})

test('a griddle has no zone in its plate: its dry reading changes nothing', () => {
  const { station } = calibrate(aGriddle(), { water: null, dry: { toC: 230, seconds: 400 }, load: null })
  expect(station).toEqual(aGriddle())
})
