import fc from 'fast-check'
import { SCHOOLS } from '../../book/schools'
import { heatFor, preheatToC } from './levels'
import type { Segment } from './moves'

const SEGMENTS: readonly Segment[] = ['egg', 'own', 'base', 'rice', 'end', 'last']
const heat = fc.constantFrom(...SCHOOLS.heat)
const holdC = fc.double({ min: 200, max: 330, noNaN: true })

test('law: no school opens the flame beyond full or lets the metal above what the station may', () => {
  fc.assert(
    fc.property(
      heat,
      fc.constantFrom(...SEGMENTS),
      fc.constantFrom(...SCHOOLS.lastToss),
      holdC,
      (school, segment, lastToss, hold) => {
        const { ceilingC, open } = heatFor({ heat: school, lastToss }, segment, hold)
        expect(ceilingC).toBeLessThanOrEqual(hold)
        expect(open).toBeGreaterThan(0)
        expect(open).toBeLessThanOrEqual(1)
      },
    ),
    { endOnFailure: true },
  )
})

test('law: the empty vessel is never heated to what it may not reach, and oil from cold never to smoke', () => {
  fc.assert(
    fc.property(heat, fc.constantFrom(...SCHOOLS.preheat), holdC, (school, preheat, hold) => {
      const toC = preheatToC({ heat: school, preheat }, hold)
      expect(toC).toBeLessThan(hold)
      if (preheat === 'oilFromCold') expect(toC).toBeLessThanOrEqual(190)
    }),
    { endOnFailure: true },
  )
})

test('a coated pan of 230 °C keeps to its limit in every school', () => {
  for (const school of SCHOOLS.heat)
    for (const segment of SEGMENTS)
      expect(heatFor({ heat: school, lastToss: 'asBefore' }, segment, 230).ceilingC).toBeLessThanOrEqual(230)
})

test.each<[(typeof SCHOOLS.heat)[number], Segment, Segment]>([
  ['mediumThenHigh', 'base', 'rice'],
  ['lowRising', 'egg', 'base'],
  ['lowRising', 'base', 'rice'],
  ['lowRising', 'rice', 'end'],
  ['zones', 'egg', 'rice'],
])('%s: cooler at %s than later at %s', (school, early, late) => {
  const at = (segment: Segment) => heatFor({ heat: school, lastToss: 'asBefore' }, segment, 300).ceilingC
  expect(at(early)).toBeLessThan(at(late))
})

test('a flame lowered for the last toss is lower, and nowhere else', () => {
  const at = (lastToss: (typeof SCHOOLS.lastToss)[number], segment: Segment) =>
    heatFor({ heat: 'full', lastToss }, segment, 300)
  expect(at('lowered', 'last').ceilingC).toBeLessThan(at('asBefore', 'last').ceilingC)
  for (const segment of SEGMENTS.filter((one) => one !== 'last'))
    expect(at('lowered', segment)).toEqual(at('asBefore', segment))
})
