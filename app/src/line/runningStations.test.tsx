import { fireEvent, render, screen, within } from '@testing-library/react'
import { NO_WISHES, type LineWishes } from 'core/line/plan/wishes'
import { startWords } from '../words/i18n'
import { laterUntil } from './lineWords'
import { RunningStations } from './RunningStations'
import type { Line } from './useLinePlan'

const NOW_MS = 1_764_100_000_000
const MINUTE_MS = 60_000
const mockSaid: object[] = []
jest.mock('../device/clock', () => ({ kitchenNowMs: () => 1_764_100_000_000 }))
jest.mock('./plan/useLineState', () => ({ sayWish: (wish: object) => mockSaid.push(wish) }))
beforeAll(startWords)
beforeEach(() => void (mockSaid.length = 0))

const lineWith = (wishes: Partial<LineWishes>) =>
  ({
    atMs: NOW_MS,
    wishes: { ...NO_WISHES, ...wishes },
    kitchen: { timeZone: 'UTC', stations: [{ id: 'ring-a', name: 'Ring A' }] },
  }) as unknown as Line
const choose = (word: string) =>
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Ring A' })).getByRole('radio', { name: word }))

test('a station starts later by twenty minutes, on a whole minute, and by ten more or less', () => {
  render(<RunningStations line={lineWith({})} />)
  choose('starts later')
  const [said] = mockSaid as { backAtMs: number }[]
  expect(said).toMatchObject({ kind: 'station', stationId: 'ring-a', isDown: true })
  expect(said!.backAtMs % MINUTE_MS).toBe(0)
  expect(said!.backAtMs - NOW_MS).toBeGreaterThanOrEqual(20 * MINUTE_MS)
  expect(said!.backAtMs - NOW_MS).toBeLessThan(21 * MINUTE_MS)
})

test('it cannot be moved to before now, and cooks again with one tap', () => {
  const backAtMs = Math.ceil(NOW_MS / MINUTE_MS + 4) * MINUTE_MS
  render(<RunningStations line={lineWith({ laterStations: new Map([['ring-a', backAtMs]]) })} />)
  fireEvent.click(screen.getByRole('button', { name: '10 min later' }))
  fireEvent.click(screen.getByRole('button', { name: '10 min sooner' }))
  choose('cooks')
  const times = mockSaid as { isDown: boolean; backAtMs: number | null }[]
  expect(times[0]!.backAtMs).toBe(backAtMs + 10 * MINUTE_MS)
  expect(times[1]!.backAtMs).toBeGreaterThan(NOW_MS)
  expect(times[1]!.backAtMs! - NOW_MS).toBeLessThan(2 * MINUTE_MS + 1)
  expect(times[2]).toMatchObject({ isDown: false, backAtMs: null })
})

test('the word that stands already says nothing new; a time that has passed is no later start', () => {
  const passed = lineWith({ laterStations: new Map([['ring-a', NOW_MS - 1]]) })
  expect(laterUntil(passed, 'ring-a')).toBeNull()
  render(<RunningStations line={passed} />)
  choose('cooks')
  expect(mockSaid).toEqual([])
  expect(screen.queryByRole('button', { name: /min later/ })).toBeNull()
})
