import pino from 'pino'
import { startTicks } from './ticks'

const log = pino({ level: 'silent' })
beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms)

test('a work that fails holds up no other, and is tried again', async () => {
  const feed = jest.fn<Promise<number>, []>().mockRejectedValueOnce(new Error('no feed')).mockResolvedValue(1)
  const probe = jest.fn<Promise<number>, []>().mockResolvedValue(0)
  const changed = jest.fn()
  const end = startTicks(
    [
      { name: 'feed', everyMs: 1000, work: feed },
      { name: 'probe', everyMs: 1000, work: probe },
    ],
    changed,
    log,
  )
  await pass(1000)
  expect([feed.mock.calls.length, probe.mock.calls.length, changed.mock.calls.length]).toEqual([1, 1, 0])
  await pass(1000)
  expect([feed.mock.calls.length, probe.mock.calls.length, changed.mock.calls.length]).toEqual([2, 2, 1])
  await end()
})

test('a slow work runs once at a time, and holds up no other', async () => {
  let running = 0
  let most = 0
  const slow = async () => {
    running += 1
    most = Math.max(most, running)
    await new Promise((done) => setTimeout(done, 2500))
    running -= 1
    return 0
  }
  const quick = jest.fn<Promise<number>, []>().mockResolvedValue(0)
  const end = startTicks(
    [
      { name: 'slow', everyMs: 1000, work: slow },
      { name: 'quick', everyMs: 1000, work: quick },
    ],
    () => undefined,
    log,
  )
  await pass(6000)
  expect(most).toBe(1)
  expect(quick).toHaveBeenCalledTimes(6)
  const ending = end()
  await pass(20_000)
  await ending
  expect(running).toBe(0)
  await pass(5000)
  expect(quick).toHaveBeenCalledTimes(6)
})
