import fc from 'fast-check'
import { allocateRice, inOrderOfUse, type LotOnHand } from './allocate'

const lot = (id: string, part: Partial<LotOnHand> = {}): LotOnHand => ({
  id,
  name: id,
  stage: 'ready',
  massG: 1000,
  useByMs: 100,
  cookedAtMs: 10,
  ...part,
})

test.each([
  ['what is out of the cold first', [lot('a'), lot('b', { stage: 'tempering' })], ['b', 'a']],
  ['then what must be used soonest', [lot('a', { useByMs: 200 }), lot('b', { useByMs: 150 })], ['b', 'a']],
  ['then what is oldest', [lot('a', { cookedAtMs: 20 }), lot('b', { cookedAtMs: 5 })], ['b', 'a']],
  ['then by name, so that every device agrees', [lot('b'), lot('a')], ['a', 'b']],
  ['out of the cold before a sooner date', [lot('a', { useByMs: 1 }), lot('b', { stage: 'tempering' })], ['b', 'a']],
])('%s', (_, lots, order) => {
  expect(inOrderOfUse(lots).map((one) => one.id)).toEqual(order)
})

test('demands are met in turn, and what is missing is named', () => {
  const lots = [lot('a', { massG: 500 }), lot('b', { massG: 400, useByMs: 200 })]
  expect(allocateRice(lots, [300, 400, 500])).toEqual([
    { draws: [{ lotId: 'a', massG: 300 }], shortG: 0 },
    {
      draws: [
        { lotId: 'a', massG: 200 },
        { lotId: 'b', massG: 200 },
      ],
      shortG: 0,
    },
    { draws: [{ lotId: 'b', massG: 200 }], shortG: 300 },
  ])
})

test('law: nothing is taken twice, and what is drawn and short is what was asked for', () => {
  const masses = fc.array(fc.integer({ min: 0, max: 4000 }), { maxLength: 5 })
  fc.assert(
    fc.property(masses, masses, (has, asks) => {
      const lots = has.map((massG, i) => lot(`l${i}`, { massG }))
      const results = allocateRice(lots, asks)
      results.forEach(({ draws, shortG }, i) => {
        const drawnG = draws.reduce((sum, one) => sum + one.massG, 0)
        expect(Math.abs(drawnG + shortG - asks[i]!)).toBeLessThan(1)
      })
      for (const one of lots) {
        const tookG = results.flatMap(({ draws }) => draws.filter((draw) => draw.lotId === one.id))
        expect(tookG.reduce((sum, draw) => sum + draw.massG, 0)).toBeLessThanOrEqual(one.massG)
      }
    }),
  )
})
