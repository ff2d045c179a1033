import fc from 'fast-check'
import { bowlsOf } from './bowls'

const part = (ticketId: string, portions: number) => ({ ticketId, ticketNumber: Number(ticketId.slice(1)), portions })
const item = (portions: number, firedPortions: number) => ({ portions, firedPortions })

test('a ticket that this batch completes is whole; one of which others are at the flame or wait is not', () => {
  const batch = { id: 'run', parts: [part('t1', 2), part('t2', 1), part('t2', 1), part('t3', 1)] }
  const tickets = [
    { id: 't1', items: [item(2, 2)] },
    { id: 't2', items: [item(4, 4), item(1, 1)] },
    { id: 't3', items: [item(1, 1), item(3, 1)] },
  ]
  const others = [
    { id: 'b', stationId: 'ring-b', upMs: 5000, parts: [part('t2', 2)] },
    { id: 'c', stationId: 'griddle', upMs: 9000, parts: [part('t2', 1), part('t9', 4)] },
  ]
  expect(bowlsOf(batch, tickets, true, others)).toEqual([
    { ticketId: 't1', ticketNumber: 1, portions: 2, allPortions: 2, frying: null, toFire: 0, isWhole: true },
    {
      ...{ ticketId: 't2', ticketNumber: 2, portions: 2, allPortions: 5, toFire: 0, isWhole: false },
      frying: { portions: 3, stationId: 'griddle', upMs: 9000 },
    },
    { ticketId: 't3', ticketNumber: 3, portions: 1, allPortions: 4, frying: null, toFire: 2, isWhole: false },
  ])
})

test('a ticket that is not open any more is whole with this batch; the batch itself is not among the others', () => {
  const batch = { id: 'run', parts: [part('t7', 3)] }
  expect(bowlsOf(batch, [], true, [{ ...batch, stationId: 'ring-a', upMs: 1 }])).toEqual([
    { ticketId: 't7', ticketNumber: 7, portions: 3, allPortions: 3, frying: null, toFire: 0, isWhole: true },
  ])
})

test('of a ticket behind those that were read nobody knows whether it is whole; that others fry of it is known all the same', () => {
  const batch = { id: 'run', parts: [part('t7', 3)] }
  const other = { id: 'b', stationId: 'ring-b', upMs: 5000, parts: [part('t7', 2)] }
  expect(bowlsOf(batch, [], false, [])[0]!.isWhole).toBeNull()
  expect(bowlsOf(batch, [], false, [other])[0]).toMatchObject({ isWhole: false, allPortions: 5 })
})

test('no portion is counted twice or lost, and a ticket is whole when nothing of it is still to come', () => {
  const count = fc.nat(4)
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 4 }), count, count, count, (here, before, elsewhere, waiting) => {
      const all = here + before + elsewhere + waiting
      const tickets = [{ id: 't1', items: [item(all, here + before + elsewhere)] }]
      const others = elsewhere > 0 ? [{ id: 'o', stationId: 's', upMs: 1, parts: [part('t1', elsewhere)] }] : []
      const [bowl] = bowlsOf({ id: 'run', parts: [part('t1', here)] }, tickets, false, others)
      expect(bowl!.allPortions - bowl!.portions - (bowl!.frying?.portions ?? 0) - bowl!.toFire).toBe(before)
      expect(bowl!.isWhole).toBe(elsewhere + waiting === 0)
    }),
    { endOnFailure: true },
  )
})
