import fc from 'fast-check'
import { batchComponents } from '../../book/batchComponents'
import { allergenListOf } from '../../book/allergens'
import { DISH } from '../../test/kitchen'
import { miseEnds } from './miseEnds'

const LIST = allergenListOf('us')
const MIN_MS = 60_000
const count = { eventId: 'e', deviceId: 'd', atMs: 0, massG: 0, expectedG: null, placeId: null }
const lettuce = (looseG: number, lastCount: typeof count | null = count) => [
  { itemId: 'ingredient:lettuce', name: 'lettuce', lots: [], looseG, lastCount },
]
const batch = (setUpMin: number, portions: number, ...tickets: number[]) => ({
  ...{ dish: DISH, setUpStartMs: setUpMin * MIN_MS, modifiers: [], allergies: [] },
  parts: tickets.map((ticketNumber) => ({ ticketNumber, portions: portions / tickets.length, modifiers: [] })),
})
const made = batchComponents(DISH, { modifiers: [], allergies: [], parts: [{ portions: 1, modifiers: [] }] }, LIST)
/** Of one portion [g]. */
const portionG =
  made.kind === 'batch' ? made.batch.components.find(({ component }) => component.id === 'lettuce')!.massG : NaN

test('the first ticket that goes short is named, whatever order the batches are listed in', () => {
  const batches = [batch(9, 2, 93, 94), batch(1, 2, 91), batch(4, 2, 92)]
  const [end, ...others] = miseEnds(lettuce(5 * portionG), batches, LIST, 30 * MIN_MS)
  expect(others).toEqual([])
  expect(end).toMatchObject({ itemId: 'ingredient:lettuce', name: 'lettuce', ticketNumber: 94, atMs: 9 * MIN_MS })
  expect(end!.shortG).toBeCloseTo(portionG)
  expect(miseEnds(lettuce(6 * portionG), batches, LIST, 30 * MIN_MS)).toEqual([])
})

test('what nobody counted is not known, and does not end; what was counted as none does', () => {
  expect(miseEnds(lettuce(0, null), [batch(1, 1, 91)], LIST, 30 * MIN_MS)).toEqual([])
  expect(miseEnds([], [batch(1, 1, 91)], LIST, 30 * MIN_MS)).toEqual([])
  expect(miseEnds(lettuce(0), [batch(1, 1, 91)], LIST, 30 * MIN_MS)).toMatchObject([{ ticketNumber: 91 }])
})

test('only the next stretch is looked at', () => {
  expect(miseEnds(lettuce(portionG), [batch(1, 1, 91), batch(31, 1, 92)], LIST, 30 * MIN_MS)).toEqual([])
})

test('law: all that lack is what is wanted beyond what is there', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 8 }),
      fc.integer({ min: 0, max: 30 }),
      (portions, there) => {
        const batches = portions.map((n, i) => batch(i, n, i))
        const ends = miseEnds(lettuce(there * portionG), batches, LIST, 60 * MIN_MS)
        const wanted = portions.reduce((sum, n) => sum + n, 0)
        expect(ends.reduce((sum, { shortG }) => sum + shortG, 0)).toBeCloseTo(Math.max(0, wanted - there) * portionG, 4)
      },
    ),
    { endOnFailure: true },
  )
})
