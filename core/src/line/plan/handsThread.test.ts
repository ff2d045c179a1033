import fc from 'fast-check'
import { batchHands, handsThreads } from './handsThread'

const batch = { stationId: 'griddle', setUpStartMs: 0, startMs: 10_000, upMs: 110_000 }

test('a batch takes hands from its set-up on; while it is left alone they are free', () => {
  expect(batchHands(batch, undefined)).toEqual([{ stationId: 'griddle', fromMs: 0, toMs: 110_000 }])
  expect(batchHands(batch, { fromShare: 0.2, toShare: 0.7 })).toEqual([
    { stationId: 'griddle', fromMs: 0, toMs: 30_000 },
    { stationId: 'griddle', fromMs: 80_000, toMs: 110_000 },
  ])
})

test('a griddle that is left alone lends its hands to a ring', () => {
  const ring = { stationId: 'ring-a', fromMs: 30_000, toMs: 80_000 }
  const [thread, second] = handsThreads([...batchHands(batch, { fromShare: 0.2, toShare: 0.7 }), ring])
  expect(thread!.map(({ stationId }) => stationId)).toEqual(['griddle', 'ring-a', 'griddle'])
  expect(second).toBeUndefined()
})

test('law: nobody is at two stations at once, and there are no more threads than are needed at once', () => {
  const stretch = fc
    .tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 1, max: 30 }))
    .map(([fromMs, lasts]) => ({ stationId: 's', fromMs, toMs: fromMs + lasts }))
  fc.assert(
    fc.property(fc.array(stretch, { maxLength: 12 }), (stretches) => {
      const threads = handsThreads(stretches)
      for (const thread of threads)
        thread.slice(1).forEach(({ fromMs }, i) => expect(fromMs).toBeGreaterThanOrEqual(thread[i]!.toMs))
      const atOnce = stretches.map(
        ({ fromMs }) => stretches.filter((one) => one.fromMs <= fromMs && one.toMs > fromMs).length,
      )
      expect(threads).toHaveLength(Math.max(0, ...atOnce))
      expect(threads.flat()).toHaveLength(stretches.length)
    }),
    { endOnFailure: true },
  )
})
