import fc from 'fast-check'
import { nextWaves, waveMinutes, wavesBetween, type Waves } from './waves'

const H = 60
const MIN_MS = 60_000
const ALL = [1, 2, 3, 4, 5, 6, 7]
const EVENING: Waves = { spans: [{ weekdays: ALL, fromMin: 16 * H, toMin: 22 * H, everyMin: 20 }], stayMin: 12 }
const at = (iso: string) => Date.parse(iso)

test('boats of an evening come every twenty minutes by the wall clock, the last of them too', () => {
  const waves = wavesBetween(EVENING, at('2026-11-30T00:00Z'), at('2026-12-01T00:00Z'), 'Europe/London')
  expect(waves).toHaveLength(19)
  expect(waves[0]).toEqual({ landsMs: at('2026-11-30T16:00Z'), leavesMs: at('2026-11-30T16:12Z') })
  expect(waves.at(-1)!.landsMs).toBe(at('2026-11-30T22:00Z'))
  const inSummer = wavesBetween(EVENING, at('2026-07-01T00:00Z'), at('2026-07-02T00:00Z'), 'Europe/London')
  expect(inSummer[0]!.landsMs).toBe(at('2026-07-01T15:00Z'))
})

test('the wave that has not left is the next to leave; after the last the next day has one', () => {
  const next = (iso: string, count = 1) =>
    nextWaves(EVENING, at(iso), count, 'Europe/London').map(({ leavesMs }) =>
      new Date(leavesMs).toISOString().slice(8, 16),
    )
  expect(next('2026-11-30T18:05:00Z', 3)).toEqual(['30T18:12', '30T18:32', '30T18:52'])
  expect(next('2026-11-30T18:12:00Z')).toEqual(['30T18:32'])
  expect(next('2026-11-30T23:00:00Z')).toEqual(['01T16:12'])
})

test('only on its weekdays; spans that meet give each minute once', () => {
  const spans = [
    { weekdays: [5, 6], fromMin: 17 * H, toMin: 18 * H, everyMin: 30 },
    { weekdays: [6], fromMin: 18 * H, toMin: 19 * H, everyMin: 60 },
  ]
  expect([1, 5, 6].map((weekday) => waveMinutes({ spans }, weekday))).toEqual([
    [],
    [1020, 1050, 1080],
    [1020, 1050, 1080, 1140],
  ])
  // 30 November 2026 is a Monday: the next is on Friday.
  const [friday] = nextWaves({ spans, stayMin: 0 }, at('2026-11-30T12:00Z'), 1, 'UTC')
  expect(friday!.landsMs).toBe(at('2026-12-04T17:00Z'))
  expect(nextWaves({ spans: [], stayMin: 10 }, at('2026-11-30T12:00Z'), 3, 'UTC')).toEqual([])
})

test('in the night when the clock goes forward no wave comes twice, and when it goes back none is lost', () => {
  const all: Waves = { spans: [{ weekdays: ALL, fromMin: 0, toMin: 23 * H + 45, everyMin: 15 }], stayMin: 5 }
  const day = (from: string, to: string) =>
    wavesBetween(all, at(from), at(to), 'Europe/London').map(({ landsMs }) => landsMs)
  const spring = day('2026-03-29T00:00Z', '2026-03-29T23:00Z')
  expect(new Set(spring).size).toBe(spring.length)
  expect(spring).toEqual([...spring].sort((a, b) => a - b))
  expect(day('2026-10-24T23:00Z', '2026-10-26T00:00Z')).toHaveLength(96)
})

test('law: windows that meet give every wave once', () => {
  const t0 = at('2026-10-24T12:00Z')
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 2880 }),
      fc.integer({ min: 0, max: 2880 }),
      fc.integer({ min: 5, max: 240 }),
      (a, b, everyMin) => {
        const waves: Waves = { spans: [{ weekdays: ALL, fromMin: 30, toMin: 1400, everyMin }], stayMin: 10 }
        const [one = 0, two = 0] = [a, b].sort((x, y) => x - y).map((min) => t0 + min * MIN_MS)
        const between = (from: number, to: number) => wavesBetween(waves, from, to, 'Europe/London')
        expect([...between(t0, one), ...between(one, two)]).toEqual(between(t0, two))
      },
    ),
    { endOnFailure: true, numRuns: 60 },
  )
})
