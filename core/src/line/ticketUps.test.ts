import fc from 'fast-check'
import { ticketUps } from './ticketUps'

const batch = (stationId: string, upMs: number, ...tickets: string[]) => ({
  stationId,
  upMs,
  parts: tickets.map((ticketId) => ({ ticketId })),
})
const run = (stationId: string, upMs: number, ...tickets: string[]) => ({
  run: { stationId, parts: tickets.map((ticketId) => ({ ticketId })) },
  state: { upMs },
})

test('a ticket is up when the last of its portions is, in the wok or by plan', () => {
  const ups = ticketUps({
    batches: [batch('A', 500, '1', '2'), batch('B', 300, '1')],
    runs: [run('C', 400, '2', '3'), run('A', 900, '3')],
  })
  expect(Object.fromEntries(ups)).toEqual({
    1: { upMs: 500, stationId: 'A' },
    2: { upMs: 500, stationId: 'A' },
    3: { upMs: 900, stationId: 'A' },
  })
})

test('law: no portion of a ticket is up after the ticket, and nothing is said of a ticket without a portion', () => {
  const some = fc.array(
    fc.record({
      stationId: fc.constantFrom('A', 'B'),
      upMs: fc.integer({ min: 0, max: 1000 }),
      tickets: fc.array(fc.constantFrom('1', '2', '3'), { maxLength: 3 }),
    }),
  )
  fc.assert(
    fc.property(some, some, (batches, runs) => {
      const ups = ticketUps({
        batches: batches.map((one) => batch(one.stationId, one.upMs, ...one.tickets)),
        runs: runs.map((one) => run(one.stationId, one.upMs, ...one.tickets)),
      })
      const all = [...batches, ...runs]
      for (const one of all) for (const id of one.tickets) expect(ups.get(id)!.upMs).toBeGreaterThanOrEqual(one.upMs)
      expect(new Set(ups.keys())).toEqual(new Set(all.flatMap((one) => one.tickets)))
    }),
  )
})
