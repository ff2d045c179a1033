import { z } from 'zod'
import { getJson, NoAnswer, Refused, sendFile, sendJson } from './http'

const Thing = z.object({ n: z.number() })
const calls: { path: string; init: RequestInit }[] = []
let answer: () => Promise<Response>
const response = (status: number, body: unknown): Response =>
  ({
    ok: status < 400,
    status,
    json: () => (body instanceof Error ? Promise.reject(body) : Promise.resolve(body)),
    headers: new Headers(),
  }) as Response

beforeEach(() => {
  calls.length = 0
  global.fetch = jest.fn((path: string, init: RequestInit) => {
    calls.push({ path, init })
    return answer()
  }) as unknown as typeof fetch
})

test('an answer is checked against the contract before anyone sees it', async () => {
  answer = () => Promise.resolve(response(200, { n: 1 }))
  expect(await getJson('/thing', Thing)).toEqual({ n: 1 })
  expect(calls[0]!.path).toBe('/api/thing')
  answer = () => Promise.resolve(response(200, { n: 'one' }))
  await expect(getJson('/thing', Thing)).rejects.toThrow(/n/)
})

test('what is sent carries its type', async () => {
  answer = () => Promise.resolve(response(201, { n: 2 }))
  await sendJson('POST', '/thing', { a: 1 }, Thing)
  await sendFile('/file', new ArrayBuffer(2), 'text/csv', Thing)
  expect(calls.map(({ init }) => (init.headers as Record<string, string>)['content-type'])).toEqual([
    'application/json',
    'text/csv',
  ])
  expect(calls[0]!.init.body).toBe('{"a":1}')
})

test('a refusal keeps what the server said; a failure of the server is no answer', async () => {
  const problem = {
    type: 'x',
    title: 't',
    status: 409,
    detail: 'the run is over',
    code: 'run-over',
    faults: [],
    values: {},
  }
  answer = () => Promise.resolve(response(409, problem))
  await expect(getJson('/thing', Thing)).rejects.toMatchObject({ problem: { code: 'run-over' } })
  await expect(getJson('/thing', Thing)).rejects.toBeInstanceOf(Refused)
  answer = () => Promise.resolve(response(503, { ...problem, status: 503, code: 'database' }))
  await expect(getJson('/thing', Thing)).rejects.toBeInstanceOf(NoAnswer)
  answer = () => Promise.resolve(response(502, new Error('not JSON')))
  await expect(getJson('/thing', Thing)).rejects.toBeInstanceOf(NoAnswer)
})

test('no network is no answer, and so is silence', async () => {
  answer = () => Promise.reject(new TypeError('Failed to fetch'))
  await expect(getJson('/thing', Thing)).rejects.toBeInstanceOf(NoAnswer)
  jest.useFakeTimers()
  answer = () =>
    new Promise((_, reject) => calls[0]!.init.signal!.addEventListener('abort', () => reject(new Error('aborted'))))
  calls.length = 0
  const noAnswer = expect(getJson('/thing', Thing)).rejects.toBeInstanceOf(NoAnswer)
  await jest.advanceTimersByTimeAsync(9000)
  await noAnswer
  jest.useRealTimers()
})
