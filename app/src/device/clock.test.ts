import type * as AwakeModule from './awake'
import type * as ClockModule from './clock'

const NOW_MS = Date.UTC(2027, 2, 10, 18)
let isAwake = false
beforeEach(() => {
  localStorage.clear()
  isAwake = false
  jest.useFakeTimers({ now: NOW_MS })
})
afterEach(() => jest.useRealTimers())
/** The module as a page finds it after a reload. */
const load = (): typeof ClockModule => {
  jest.resetModules()
  jest.doMock('./awake', (): Partial<typeof AwakeModule> => ({ isKeptAwake: () => isAwake }))
  return jest.requireActual('./clock')
}
const MIN = 60_000
const DAY = 86_400_000

test.each([10 * MIN, -10 * MIN, 2 * DAY, -2 * DAY])(
  'a device %d ms off is so after a reload without a network',
  (offMs) => {
    const before = load()
    before.noteServerTime(NOW_MS - offMs, NOW_MS, NOW_MS)
    expect(load().kitchenNowMs()).toBe(NOW_MS - offMs)
  },
)

test('set back while it was closed, the kitchen\u2019s time does not run back', () => {
  load().noteServerTime(NOW_MS, NOW_MS, NOW_MS)
  jest.setSystemTime(NOW_MS - 10 * MIN)
  expect(load().kitchenNowMs()).toBeGreaterThanOrEqual(NOW_MS)
})

test('something broken in the store is passed over', () => {
  localStorage.setItem('okazu.clock', '{broken')
  expect(load().kitchenNowMs()).toBe(NOW_MS)
})

describe('set while the page is open', () => {
  test.each([10 * MIN, -10 * MIN, 2 * DAY, -2 * DAY])('by %d ms in mid-run: the run goes on as it was', (byMs) => {
    isAwake = true
    const clock = load()
    const onJump = jest.fn()
    const stop = clock.watchClock(onJump)
    jest.advanceTimersByTime(1000)
    jest.setSystemTime(Date.now() + byMs)
    jest.advanceTimersByTime(1000)
    expect(Math.abs(clock.kitchenNowMs() - (NOW_MS + 2000))).toBeLessThan(600)
    expect(onJump).toHaveBeenCalledTimes(1)
    stop()
  })

  test('forward without a run it may have slept: the wall clock is right, and the server is asked', () => {
    const clock = load()
    const onJump = jest.fn()
    const stop = clock.watchClock(onJump)
    jest.setSystemTime(Date.now() + 30 * MIN)
    jest.advanceTimersByTime(1000)
    expect(clock.kitchenNowMs()).toBeGreaterThanOrEqual(NOW_MS + 30 * MIN)
    expect(onJump).toHaveBeenCalledTimes(1)
    stop()
  })

  test('nothing happens while nobody sets it', () => {
    isAwake = true
    const onJump = jest.fn()
    const stop = load().watchClock(onJump)
    jest.advanceTimersByTime(60_000)
    expect(onJump).not.toHaveBeenCalled()
    stop()
  })
})
