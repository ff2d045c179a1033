import { act, render } from '@testing-library/react'
import { useAwake } from './awake'
import { kitchenNowMs, noteServerTime } from './clock'
import { deviceId, newId, stampNow } from './ids'
import { changeSettings, currentSettings } from './settings'
import { give, openSound } from './signal'

describe('the screen stays on', () => {
  const release = jest.fn(() => Promise.resolve())
  const request = jest.fn(() => Promise.resolve({ release, released: false, addEventListener: jest.fn() }))
  beforeEach(() => Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true }))
  function Run() {
    useAwake()
    return null
  }

  test("from the run's begin, again after the page was hidden, until its end", async () => {
    const { unmount } = render(<Run />)
    await act(() => Promise.resolve())
    expect(request).toHaveBeenCalledTimes(1)
    document.dispatchEvent(new Event('visibilitychange'))
    await act(() => Promise.resolve())
    expect(request).toHaveBeenCalledTimes(2)
    unmount()
    await act(() => Promise.resolve())
    expect(release).toHaveBeenCalled()
  })

  test('a browser that refuses does not stop the run', async () => {
    request.mockImplementationOnce(() => Promise.reject(new Error('NotAllowedError')))
    expect(() => render(<Run />)).not.toThrow()
    await act(() => Promise.resolve())
  })
})

describe("the kitchen's time", () => {
  test('is taken from the server, half way through the trip', () => {
    const sentMs = Date.now()
    noteServerTime(sentMs + 3_600_000, sentMs - 100, sentMs + 100)
    expect(Math.abs(kitchenNowMs() - (Date.now() + 3_600_000))).toBeLessThan(50)
  })

  test('a slow answer does not unsettle it, a true change does', () => {
    const before = kitchenNowMs() - Date.now()
    noteServerTime(Date.now() + before + 400, Date.now() - 900, Date.now())
    expect(Math.abs(kitchenNowMs() - Date.now() - before)).toBeLessThan(20)
    noteServerTime(Date.now(), Date.now() - 5, Date.now())
    expect(Math.abs(kitchenNowMs() - Date.now())).toBeLessThan(50)
  })
})

test('ids sort by time, the device keeps its own, and no two stamps are the same', () => {
  const ids = Array.from({ length: 50 }, newId)
  expect(ids).toEqual([...ids].sort())
  expect(deviceId()).toBe(deviceId())
  const stamps = Array.from({ length: 50 }, stampNow).map(({ atMs, counter }) => `${atMs}-${counter}`)
  expect(new Set(stamps).size).toBe(50)
})

test('settings are kept on the device, and something broken there is not fatal', () => {
  changeSettings({ handsFree: false, theme: 'paper' })
  expect(JSON.parse(localStorage.getItem('okazu.settings') ?? '{}')).toMatchObject({ handsFree: false, theme: 'paper' })
  expect(currentSettings().sound).toBe(true)
})

describe('ear and hand', () => {
  const vibrate = jest.fn()
  const started: number[] = []
  class FakeAudio {
    state = 'running'
    currentTime = 0
    destination = {}
    resume = () => Promise.resolve()
    createGain = () => ({
      gain: { setValueAtTime: jest.fn(), exponentialRampToValueAtTime: jest.fn() },
      connect: (next: object) => next,
    })
    createOscillator = () => ({
      frequency: { value: 0 },
      connect: (next: object) => next,
      start: (atS: number) => started.push(atS),
      stop: jest.fn(),
    })
  }
  beforeAll(() => {
    Object.defineProperty(navigator, 'vibrate', { value: vibrate, configurable: true })
    Object.defineProperty(globalThis, 'AudioContext', { value: FakeAudio, configurable: true })
  })
  beforeEach(() => {
    started.length = 0
    vibrate.mockClear()
  })

  test('a check sounds and shakes in a pattern of its own', () => {
    changeSettings({ sound: true, vibration: true })
    openSound()
    give('check')
    expect(started).toEqual([0, 0.25, 0.5])
    expect(vibrate).toHaveBeenCalledWith([180, 90, 180, 90, 180])
  })

  test('each can be switched off', () => {
    changeSettings({ sound: false, vibration: false })
    give('next')
    expect([started, vibrate.mock.calls]).toEqual([[], []])
  })
})
