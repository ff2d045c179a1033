import fc from 'fast-check'
import { coverTonight, drawDown } from './tonight'

const lots = [
  { id: 'a', massG: 500 },
  { id: 'b', massG: 1000 },
]

test('lots are used up one after the other, and the last is left with what nobody asks for', () => {
  const demands = [
    { atMs: 20, massG: 300 },
    { atMs: 10, massG: 400 },
    { atMs: 30, massG: 200 },
  ]
  expect(drawDown(lots, demands)).toEqual([
    { lotId: 'a', fromMs: 10, untilMs: 20, tookG: 500 },
    { lotId: 'b', fromMs: 20, untilMs: null, tookG: 400 },
  ])
  expect(drawDown(lots, [])).toEqual([])
})

test('law: what is taken is what is asked for or all there is, never more than a lot holds, and agrees with the cover', () => {
  const amount = fc.integer({ min: 0, max: 3000 })
  fc.assert(
    fc.property(fc.array(amount, { maxLength: 5 }), fc.array(amount, { maxLength: 8 }), (masses, input) => {
      const stock = masses.map((massG, i) => ({ id: String(i), massG }))
      const demands = input.map((massG, i) => ({ atMs: i * 1000, massG }))
      const uses = drawDown(stock, demands)
      const allG = masses.reduce((sum, one) => sum + one, 0)
      const askedG = input.reduce((sum, one) => sum + one, 0)
      expect(uses.reduce((sum, one) => sum + one.tookG, 0)).toBe(Math.min(allG, askedG))
      for (const use of uses) expect(use.tookG).toBeLessThanOrEqual(stock.find((one) => one.id === use.lotId)!.massG)
      const { untilMs } = coverTonight(allG, demands, null)
      expect(untilMs !== null).toBe(askedG > allG)
    }),
  )
})
