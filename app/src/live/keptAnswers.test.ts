import { dehydrate, QueryClient } from '@tanstack/react-query'
import type { PersistedClient } from '@tanstack/react-query-persist-client'
import { createKeptAnswers } from './keptAnswers'

const mockStore = new Map<string, unknown>()
let mockFault: Error | null = null
const mockWritten: string[][] = []
const mockNoted: unknown[] = []
jest.mock('idb-keyval', () => ({
  get: (key: string) => Promise.resolve(mockStore.get(key)),
  getMany: (keys: string[]) => Promise.resolve(keys.map((key) => mockStore.get(key))),
  setMany: (entries: [string, unknown][]) => {
    if (mockFault) return Promise.reject(mockFault)
    mockWritten.push(entries.map(([key]) => key))
    entries.forEach(([key, value]) => mockStore.set(key, value))
    return Promise.resolve()
  },
  delMany: (keys: string[]) => {
    keys.forEach((key) => mockStore.delete(key))
    return Promise.resolve()
  },
}))
jest.mock('../device/storage', () => ({ noteStore: (_: string, fault: unknown) => mockNoted.push(fault) }))

let client: QueryClient
const now = (): PersistedClient => ({ timestamp: 5, buster: '1', clientState: dehydrate(client) })
const answers = (kept: PersistedClient | undefined) =>
  Object.fromEntries(kept?.clientState.queries.map(({ queryKey, state }) => [queryKey.join(), state.data]) ?? [])

beforeEach(() => {
  mockStore.clear()
  mockWritten.length = 0
  mockNoted.length = 0
  mockFault = null
  client = new QueryClient()
  client.setQueryData(['dishes'], ['duck'])
  client.setQueryData(['tickets'], [41])
})
afterEach(() => client.clear())

test('what was kept is there after a reload, as an answer', async () => {
  await createKeptAnswers().keepNow(now())
  const kept = await createKeptAnswers().persister.restoreClient()
  expect(kept).toMatchObject({ timestamp: 5, buster: '1' })
  expect(answers(kept)).toEqual({ dishes: ['duck'], tickets: [41] })
  for (const { state } of kept!.clientState.queries)
    expect(state).toMatchObject({ status: 'success', fetchStatus: 'idle', error: null })
})

test('only what changed is written again, also after a reload', async () => {
  const kept = createKeptAnswers()
  await kept.keepNow(now())
  client.setQueryData(['tickets'], [41, 42])
  await kept.keepNow(now())
  expect(mockWritten.map((keys) => keys.length)).toEqual([3, 2])
  const after = createKeptAnswers()
  const restored = (await after.persister.restoreClient())!
  await after.keepNow({ ...restored, timestamp: 9 })
  expect(mockWritten.at(-1)).toHaveLength(1)
  expect(answers(await createKeptAnswers().persister.restoreClient())).toEqual({ dishes: ['duck'], tickets: [41, 42] })
})

test('a full store is said, and what it did not take is written with the next', async () => {
  const kept = createKeptAnswers()
  mockFault = new Error('full')
  await kept.keepNow(now())
  expect(mockNoted).toEqual([mockFault])
  mockFault = null
  await kept.keepNow(now())
  expect(mockNoted.at(-1)).toBeNull()
  expect(answers(await createKeptAnswers().persister.restoreClient())).toEqual({ dishes: ['duck'], tickets: [41] })
})

test('what is no longer known is forgotten; what another version kept is not read', async () => {
  const kept = createKeptAnswers()
  await kept.keepNow(now())
  client.removeQueries({ queryKey: ['tickets'] })
  await kept.keepNow(now())
  expect([...mockStore.keys()].some((key) => key.includes('tickets'))).toBe(false)
  await kept.persister.removeClient()
  expect(mockStore.size).toBe(0)
  mockStore.set('okazu.seen', '{"old":"text"}')
  expect(await createKeptAnswers().persister.restoreClient()).toBeUndefined()
})

test('several in a moment are kept once, the last of them', async () => {
  jest.useFakeTimers()
  const { persister } = createKeptAnswers()
  void persister.persistClient(now())
  client.setQueryData(['tickets'], [43])
  void persister.persistClient(now())
  await jest.advanceTimersByTimeAsync(300)
  jest.useRealTimers()
  expect(mockWritten).toHaveLength(1)
  expect(answers(await createKeptAnswers().persister.restoreClient())).toMatchObject({ tickets: [43] })
})
