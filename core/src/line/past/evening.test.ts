import fc from 'fast-check'
import { downsOf, type PastDown } from './evening'

type Said = Parameters<typeof downsOf>[0][number]
const down = (atMs: number, backAtMs?: number, stationId = 'ring-a'): Said => ({
  ...{ stationId, isDown: true, atMs },
  ...(backAtMs !== undefined && { backAtMs }),
})
const up = (atMs: number, stationId = 'ring-a'): Said => ({ stationId, isDown: false, atMs })
const spans = (downs: readonly PastDown[]) => downs.map(({ stationId, fromMs, toMs }) => [stationId, fromMs, toMs])

test.each<[string, Said[], (string | number | null)[][]]>([
  ['down and back', [down(100), up(300)], [['ring-a', 100, 300]]],
  ['down to the end', [down(100)], [['ring-a', 100, null]]],
  ['down until an hour that was said', [down(100, 500)], [['ring-a', 100, 500]]],
  ['back sooner than was said', [down(100, 500), up(300)], [['ring-a', 100, 300]]],
  ['said again with another end: one stretch', [down(100, 500), down(200, 900)], [['ring-a', 100, 900]]],
  [
    'down again after it was back by itself: two',
    [down(100, 500), down(700)],
    [
      ['ring-a', 100, 500],
      ['ring-a', 700, null],
    ],
  ],
  ['said to be back after it was back by itself', [down(100, 500), up(700)], [['ring-a', 100, 500]]],
  ['back without having been down', [up(100)], []],
  [
    'two stations at once',
    [down(100), down(200, undefined, 'griddle'), up(300)],
    [
      ['ring-a', 100, 300],
      ['griddle', 200, null],
    ],
  ],
])('%s', (_, said, wanted) => expect(spans(downsOf(said))).toEqual(wanted))

test('law: stretches of a station do not overlap, and none ends before it begins', () => {
  const anySaid = fc
    .array(
      fc.record({
        stationId: fc.constantFrom('ring-a', 'griddle'),
        isDown: fc.boolean(),
        afterMs: fc.integer({ min: 1, max: 100 }),
        backMs: fc.option(fc.integer({ min: 1, max: 300 })),
      }),
      { maxLength: 12 },
    )
    .map((steps) => {
      let atMs = 0
      return steps.map(({ stationId, isDown, afterMs, backMs }): Said => {
        atMs += afterMs
        return { stationId, isDown, atMs, ...(isDown && backMs !== null && { backAtMs: atMs + backMs }) }
      })
    })
  fc.assert(
    fc.property(anySaid, (said) => {
      const downs = downsOf(said)
      for (const stationId of ['ring-a', 'griddle']) {
        const own = downs.filter((one) => one.stationId === stationId)
        own.forEach(({ fromMs, toMs }, i) => {
          expect(toMs ?? Infinity).toBeGreaterThanOrEqual(fromMs)
          if (i > 0) expect(own[i - 1]!.toMs ?? Infinity).toBeLessThanOrEqual(fromMs)
        })
      }
    }),
    { numRuns: 300, endOnFailure: true },
  )
})
