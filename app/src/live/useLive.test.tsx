import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, render } from '@testing-library/react'
import { useLive } from './useLive'

type Listener = (event: { data: string; lastEventId: string }) => void
class FakeSource {
  static open: FakeSource[] = []
  readonly listeners: Record<string, Listener> = {}
  isClosed = false
  constructor(readonly url: string) {
    FakeSource.open.push(this)
  }
  addEventListener(kind: string, listener: Listener) {
    this.listeners[kind] = listener
  }
  close() {
    this.isClosed = true
  }
  say(kind: string, data: unknown, lastEventId = '') {
    act(() => this.listeners[kind]!({ data: JSON.stringify(data), lastEventId }))
  }
}

const client = new QueryClient()
const invalidated = jest.spyOn(client, 'invalidateQueries').mockResolvedValue()
function Screen() {
  useLive(true)
  return null
}
const newest = () => FakeSource.open.at(-1)!

beforeEach(() => {
  jest.useFakeTimers()
  FakeSource.open = []
  invalidated.mockClear()
  Object.defineProperty(globalThis, 'EventSource', { value: FakeSource, configurable: true })
})
afterEach(() => jest.useRealTimers())

const open = () =>
  render(
    <QueryClientProvider client={client}>
      <Screen />
    </QueryClientProvider>,
  )

test('a change asks again for its topic alone', () => {
  open()
  newest().say('hello', { nowMs: 1, isReset: false }, '7')
  invalidated.mockClear()
  newest().say('change', { no: 8, topic: 'tickets', key: 'x' }, '8')
  expect(invalidated.mock.calls).toEqual([[{ queryKey: ['tickets'] }]])
})

test('after a gap it resumes from the last number it saw, and asks for nothing twice', () => {
  open()
  newest().say('hello', { nowMs: 1, isReset: false }, '7')
  newest().say('change', { no: 8, topic: 'runs', key: '' }, '8')
  invalidated.mockClear()
  newest().say('error', {})
  expect(newest().isClosed).toBe(true)
  act(() => void jest.advanceTimersByTime(2000))
  expect(newest().url).toBe('/api/live?after=8')
  newest().say('hello', { nowMs: 1, isReset: false }, '8')
  // Only whether the device is still let in is looked at.
  expect(invalidated.mock.calls).toEqual([[{ queryKey: ['people', 'me'] }]])
})

test('a reset asks for everything', () => {
  open()
  newest().say('hello', { nowMs: 1, isReset: false }, '7')
  invalidated.mockClear()
  newest().say('hello', { nowMs: 1, isReset: true }, '3')
  expect(invalidated).toHaveBeenCalledWith()
})

test('a screen that is left follows nothing', () => {
  const { unmount } = open()
  const source = newest()
  unmount()
  expect(source.isClosed).toBe(true)
  act(() => void jest.advanceTimersByTime(5000))
  expect(FakeSource.open).toHaveLength(1)
})
