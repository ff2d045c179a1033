import fc from 'fast-check'
import { riceEnd } from './riceEnd'

const lot = (massG: number) => ({
  id: `lot-${massG}`,
  name: 'R-1',
  stage: 'ready' as const,
  massG,
  useByMs: 1,
  cookedAtMs: 1,
})
const batch = (setUpStartMs: number, riceMassG: number, ...tickets: number[]) => ({
  setUpStartMs,
  riceMassG,
  parts: tickets.map((ticketNumber) => ({ ticketNumber })),
})

test('the first ticket that goes short is named, in the order in which batches are set up', () => {
  const batches = [batch(3000, 500, 93, 94), batch(1000, 400, 91), batch(2000, 200, 92)]
  expect(riceEnd([lot(800)], batches)).toEqual({ ticketNumber: 94, atMs: 3000, shortG: 300, allShortG: 300 })
  expect(riceEnd([lot(800), lot(400)], batches)).toBeNull()
})

test('without rice the first batch goes short, and what all lack is everything', () => {
  expect(riceEnd([], [batch(2, 100, 2), batch(1, 200, 1)])).toEqual({
    ticketNumber: 1,
    atMs: 1,
    shortG: 200,
    allShortG: 300,
  })
})

test('law: what all lack is what they take less what there is, and nobody goes short while it is enough', () => {
  const masses = fc.array(fc.integer({ min: 2, max: 2000 }), { maxLength: 8 })
  fc.assert(
    fc.property(masses, masses, (lots, demands) => {
      const end = riceEnd(
        lots.map(lot),
        demands.map((g, i) => batch(i, g, i + 1)),
      )
      const lackG = demands.reduce((sum, g) => sum + g, 0) - lots.reduce((sum, g) => sum + g, 0)
      // A crumb under a gram on each lot may stay.
      if (lackG <= 0) expect(end).toBeNull()
      else expect(Math.abs((end?.allShortG ?? 0) - lackG)).toBeLessThanOrEqual(demands.length + lots.length)
    }),
    { endOnFailure: true },
  )
})
