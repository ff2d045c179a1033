import fc from 'fast-check'
import { below, chance, seedWith } from './chance'
import { cooksFor } from './cooks'
import { bitsOf, MOST_ALLERGENS, numbers } from './names'

describe('which cook each time of work goes to', () => {
  const times = fc.array(
    fc.record({ from: fc.integer({ min: 0, max: 200 }), lasts: fc.integer({ min: 1, max: 60 }) }),
    { maxLength: 30 },
  )

  test('law: nobody works twice at once, and no more cooks than the most at once', () => {
    fc.assert(
      fc.property(times, (some) => {
        const spans = some.map(({ from, lasts }) => ({ from, to: from + lasts }))
        const cooks = cooksFor(spans)
        spans.forEach((one, i) =>
          spans.forEach((other, k) => {
            if (i < k && cooks[i] === cooks[k]) expect(one.to <= other.from || other.to <= one.from).toBe(true)
          }),
        )
        const most = Math.max(
          0,
          ...spans.map(({ from }) => spans.filter((one) => one.from <= from && one.to > from).length),
        )
        expect(new Set(cooks).size).toBe(most)
      }),
      { endOnFailure: true },
    )
  })

  test('who is free again takes the next, also to the second', () => {
    expect(
      cooksFor([
        { from: 0, to: 10 },
        { from: 10, to: 20 },
        { from: 15, to: 30 },
      ]),
    ).toEqual([0, 0, 1])
    expect(cooksFor([])).toEqual([])
  })
})

test('names are numbered as they come, and keep their number', () => {
  const number = numbers()
  expect(['egg', 'soy', 'egg', 'nut'].map(number)).toEqual([0, 1, 0, 2])
})

test('allergens are bits: two lists meet where they have one in common, and only there', () => {
  const names = fc.uniqueArray(fc.constantFrom('egg', 'soy', 'fish', 'nut', 'milk', 'wheat', 'sesame'))
  fc.assert(
    fc.property(names, names, (one, other) => {
      const bits = bitsOf()
      expect((bits(one) & bits(other)) !== 0).toBe(one.some((name) => other.includes(name)))
    }),
    { endOnFailure: true },
  )
  const many = Array.from({ length: MOST_ALLERGENS + 1 }, (_, n) => `a${n}`)
  expect(() => bitsOf()(many)).toThrow(/more than 31 allergens: name fewer/)
})

test('the same seed gives the same row, within its bounds and evenly enough', () => {
  const row = (seed: number) => {
    seedWith(seed)
    return Array.from({ length: 2000 }, chance)
  }
  expect(row(7)).toEqual(row(7))
  expect(row(7)).not.toEqual(row(8))
  const drawn = row(7)
  expect(drawn.every((one) => one >= 0 && one < 1)).toBe(true)
  expect(drawn.reduce((sum, one) => sum + one, 0) / drawn.length).toBeCloseTo(0.5, 1)
  seedWith(3)
  const tens = Array.from({ length: 3000 }, () => below(10))
  for (let n = 0; n < 10; n += 1) expect(tens.filter((one) => one === n).length).toBeGreaterThan(200)
})
