import { act, renderHook } from '@testing-library/react'
import { keep } from '../../device/storage'
import { beginCleaning, endCleaning, useCleaning } from './cleaning'

const BEGAN_MS = 1_000_000
const BRUSH = { kind: 'brush', beganMs: BEGAN_MS } as const
const MIN_MS = 60_000
type Seen = { stationId?: string; usedUntilMs?: number | null; nowMs?: number }
const seeing = (first: Seen = {}) =>
  renderHook(
    ({ stationId = 'ring-a', usedUntilMs = null, nowMs = BEGAN_MS + 5000 }: Seen) =>
      useCleaning(stationId, usedUntilMs, nowMs),
    { initialProps: first },
  )

beforeEach(() => localStorage.clear())

test('what was begun goes on, at its own station, until it is said to be done', () => {
  const here = seeing()
  const elsewhere = seeing({ stationId: 'ring-b' })
  act(() => beginCleaning('ring-a', BRUSH))
  expect(here.result.current).toEqual(BRUSH)
  expect(elsewhere.result.current).toBeNull()
  act(() => endCleaning('ring-a'))
  expect(here.result.current).toBeNull()
})

test('it is there after a reload', () => {
  act(() => beginCleaning('ring-a', BRUSH))
  expect(seeing().result.current).toEqual(BRUSH)
})

test.each<[string, Seen]>([
  ['something was cooked there since', { usedUntilMs: BEGAN_MS + 1000 }],
  ['it was forgotten', { nowMs: BEGAN_MS + 11 * MIN_MS }],
])('it is over where %s', (_, seen) => {
  act(() => beginCleaning('ring-a', BRUSH))
  expect(seeing(seen).result.current).toBeNull()
})

test('what was cooked before it does not end it', () => {
  act(() => beginCleaning('ring-a', BRUSH))
  expect(seeing({ usedUntilMs: BEGAN_MS - 1000 }).result.current).toEqual(BRUSH)
})

test.each(['{', '{"kind":"scrub","beganMs":1}', '[]'])('what is kept and cannot be read is nothing: %s', (kept) => {
  keep('okazu.cleaning/ring-a', kept)
  expect(seeing().result.current).toBeNull()
})
