import fc from 'fast-check'
import { mergeSpans } from './crews'
import { Profile } from './profile'

const HORIZON = 40
const span = fc.record({
  fromS: fc.integer({ min: 0, max: HORIZON - 1 }),
  lengthS: fc.integer({ min: 1, max: 12 }),
  units: fc.integer({ min: 1, max: 2 }),
})

/** The same free units, second by second. */
function both(units: number, takes: readonly { fromS: number; lengthS: number; units: number }[]) {
  const profile = Profile.constant(units)
  const free = new Array<number>(HORIZON * 2).fill(units)
  for (const one of takes) {
    profile.take(one.fromS, one.fromS + one.lengthS, one.units)
    for (let s = one.fromS; s < one.fromS + one.lengthS; s += 1) free[s]! -= one.units
  }
  return { profile, free }
}

test('steps say the same as a list of seconds: what is free, and where something fits first', () => {
  fc.assert(
    fc.property(
      fc.array(span, { maxLength: 8 }),
      fc.nat(HORIZON),
      fc.integer({ min: 1, max: 8 }),
      fc.integer({ min: 1, max: 3 }),
      (takes, fromS, lengthS, units) => {
        const { profile, free } = both(3, takes)
        const least = Math.min(...free.slice(fromS, fromS + lengthS))
        expect(profile.leastFree(fromS, fromS + lengthS)).toBe(least)
        let first = fromS
        while (Math.min(...free.slice(first, first + lengthS)) < units) first += 1
        expect(profile.nextFit(fromS, lengthS, units)).toBe(first)
      },
    ),
    { numRuns: 300, seed: 61 },
  )
})

test('what is given back was never taken, two together have what both have, a mirror read backward says the same', () => {
  fc.assert(
    fc.property(fc.array(span, { maxLength: 6 }), fc.array(span, { maxLength: 6 }), fc.nat(HORIZON), (a, b, atS) => {
      const left = both(3, a)
      const right = both(2, b)
      const at = (profile: Profile, s: number) => profile.leastFree(s, s + 1)
      expect(at(left.profile.plus(right.profile), atS)).toBe(left.free[atS]! + right.free[atS]!)
      expect(at(left.profile.mirrored(), -atS - 1)).toBe(left.free[atS])
      for (const one of a) left.profile.take(one.fromS, one.fromS + one.lengthS, -one.units)
      expect(left.profile.leastFree(0, HORIZON * 2)).toBe(3)
    }),
    { numRuns: 200, seed: 62 },
  )
})

test('work back from a moment counts free seconds only', () => {
  const profile = Profile.within(
    [
      { fromS: 0, toS: 10 },
      { fromS: 20, toS: 30 },
    ],
    2,
  )
  expect(profile.workedBackFrom(30, 20)).toBe(20)
  expect(profile.workedBackFrom(30, 24)).toBe(8)
  expect(profile.workedBackFrom(25, 10)).toBe(20)
  expect(profile.workedBackFrom(30, 41)).toBe(-Infinity)
  expect(profile.longestS(2)).toBe(10)
  expect(profile.longestS(3)).toBe(0)
})

test('spans that touch are one, and none is lost', () => {
  expect(
    mergeSpans([
      { fromS: 5, toS: 8 },
      { fromS: 0, toS: 3 },
      { fromS: 3, toS: 4 },
      { fromS: 6, toS: 10 },
      { fromS: 9, toS: 9 },
    ]),
  ).toEqual([
    { fromS: 0, toS: 4 },
    { fromS: 5, toS: 10 },
  ])
})
