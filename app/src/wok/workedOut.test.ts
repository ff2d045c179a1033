import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import { DISH, EVERYTHING, TOOLS } from 'core/test/kitchen'
import type * as KeptTimes from './keptTimes'
import type * as WorkedOut from './workedOut'
import { workedOut, workOut } from './workedOut'
import { inWokWorker } from './wokWorker'
import { wokWork } from './wok.worker'

// There is no worker in a test: the same functions answer in the page.
jest.mock('./wokWorker', () => ({ inWokWorker: jest.fn() }))
const ask = inWokWorker as unknown as jest.Mock

const components = EVERYTHING.filter(({ id }) => ['rice', 'soy', 'oil'].includes(id))
const dish = { ...DISH, components } as unknown as Dish
const station: Station = { id: 'ring-a', name: 'Ring A', kind: 'wok', powerW: 24_000, capPortions: 2 }
const kitchenOf = (change: object = {}, tempC = 4) => ({
  kitchen: { tools: TOOLS, ruleSet: 'us', isScottish: false, ...change } as unknown as Kitchen,
  rice: { tempC, waterFraction: 0.62, lumpMm: null },
})
const batch = (portions: number[]) => ({
  modifiers: [],
  allergies: [],
  parts: portions.map((n) => ({ portions: n, modifiers: [] })),
})
/** Answers come a moment after the worker's. */
const answered = () => new Promise((resolve) => setTimeout(resolve, 50))

beforeEach(() =>
  ask.mockReset().mockImplementation((work: (functions: object) => unknown) => Promise.resolve(work(wokWork))),
)

test('not yet is not nothing: unknown until the worker has answered, then the same for everybody who asks', async () => {
  const kitchen = kitchenOf()
  expect(workedOut(kitchen).timesOf(dish, station)).toBeNull()
  workOut(kitchen, { times: [{ dish, station }], scores: [{ dish, station, batch: batch([1, 1]) }] })
  await answered()
  const { timesOf, scoreOf } = workedOut(kitchen)
  expect(timesOf(dish, station)?.seconds).toHaveLength(2)
  expect(scoreOf(dish, batch([1, 1]), station)?.kind).toBe('score')
  expect(scoreOf(dish, batch([2]), station)).toBe(scoreOf(dish, batch([1, 1]), station))
})

test('the same is asked of the worker once; another version of the station, another dish or rule set is another question', () => {
  ask.mockReset().mockImplementation(() => new Promise(() => undefined))
  const kitchen = kitchenOf({ ruleSet: 'au' })
  const question = { times: [], scores: [{ dish, station, batch: batch([2]) }] }
  workOut(kitchen, question)
  workOut(kitchen, question)
  expect(ask).toHaveBeenCalledTimes(1)
  const hotter = { ...station, heat: { version: 3, plate: {} } } as unknown as Station
  workOut(kitchen, { times: [], scores: [{ dish, station: hotter, batch: batch([2]) }] })
  workOut(kitchen, { times: [], scores: [{ dish: { ...dish, portionRiceG: 300 }, station, batch: batch([2]) }] })
  workOut(kitchenOf({ ruleSet: 'uk' }), question)
  expect(ask).toHaveBeenCalledTimes(4)
})

test('rough times are there first; the full ones take their place and are not displaced by rough ones again', async () => {
  const kitchen = kitchenOf({ ruleSet: 'uk', isScottish: true })
  const question = { times: [{ dish, station }], scores: [] }
  let release = () => {}
  const held = new Promise<void>((resolve) => (release = resolve))
  const slow = {
    ...wokWork,
    stationTimes: (...args: Parameters<typeof wokWork.stationTimes>) => held.then(() => wokWork.stationTimes(...args)),
  }
  ask.mockImplementation((work: (functions: object) => unknown) => Promise.resolve(work(slow)))
  workOut(kitchen, question)
  await answered()
  expect(workedOut(kitchen).timesOf(dish, station)).toMatchObject({ isRough: true })
  release()
  await answered()
  expect(workedOut(kitchen).timesOf(dish, station)?.isRough).toBeUndefined()
  const warm = { ...kitchen, rice: { ...kitchen.rice, tempC: 16 } }
  workOut(warm, question)
  expect(workedOut(warm).timesOf(dish, station)?.isRough).toBeUndefined()
})

test('a worker that stopped is asked again', async () => {
  const kitchen = kitchenOf({ isScottish: true })
  ask.mockRejectedValueOnce(new Error('the worker stopped'))
  const question = { times: [], scores: [{ dish, station, batch: batch([1]) }] }
  workOut(kitchen, question)
  await answered()
  workOut(kitchen, question)
  expect(ask).toHaveBeenCalledTimes(2)
})

test('while the rice has become warmer the last answer stands, until the next one is there', async () => {
  const cold = kitchenOf()
  const warm = kitchenOf({}, 16)
  const question = { times: [], scores: [{ dish, station, batch: batch([2]) }] }
  workOut(cold, question)
  await answered()
  const before = workedOut(cold).scoreOf(dish, batch([2]), station)
  expect(workedOut(warm).scoreOf(dish, batch([2]), station)).toBe(before)
  workOut(warm, question)
  await answered()
  const after = workedOut(warm).scoreOf(dish, batch([2]), station)
  const secondsOf = (answer: typeof after) => (answer?.kind === 'score' ? answer.score.totalS : Number.NaN)
  expect(secondsOf(after)).toBeLessThanOrEqual(secondsOf(before))
  expect(after?.kind === 'score' && after.score.basis?.riceTempC).toBe(16)
})

test('what this device worked out before is taken without asking, and nothing rough comes first', async () => {
  const kitchen = kitchenOf({ isScottish: true })
  const question = { times: [{ dish, station }], scores: [] }
  workOut(kitchen, question)
  await answered()
  const known = workedOut(kitchen).timesOf(dish, station)
  expect(known?.seconds).toHaveLength(2)
  jest.useFakeTimers()
  try {
    jest.isolateModules(() => {
      const again = jest.requireActual<typeof WorkedOut>('./workedOut')
      const kept = jest.requireActual<typeof KeptTimes>('./keptTimes')
      jest.spyOn(kept, 'timesBefore').mockReturnValue(known)
      ask.mockClear()
      again.workOut(kitchen, question)
      expect(again.workedOut(kitchen).timesOf(dish, station)).toEqual(known)
      expect(ask).not.toHaveBeenCalled()
    })
  } finally {
    jest.useRealTimers()
  }
})
