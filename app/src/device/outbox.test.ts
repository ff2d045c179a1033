import { waitFor } from '@testing-library/react'

import type * as NetworkModule from './network'
import type * as OutboxModule from './outbox'

type Outbox = typeof OutboxModule
type Answer = () => Response
const answers: Answer[] = []
const sent: { path: string; body: unknown }[] = []
const json = (status: number, body: unknown): Response =>
  ({
    ok: status < 400,
    status,
    json: () => Promise.resolve(body),
    headers: new Headers({ 'x-okazu-now': '1000' }),
  }) as Response

beforeEach(() => {
  localStorage.clear()
  answers.length = 0
  sent.length = 0
  jest.resetModules()
  global.fetch = jest.fn((path: string, init: RequestInit) => {
    sent.push({ path, body: JSON.parse(init.body as string) as unknown })
    const answer = answers.shift()
    return answer ? Promise.resolve(answer()) : Promise.reject(new TypeError('no network'))
  }) as unknown as typeof fetch
})
/** The module as a page finds it after a reload: only what was kept is there. */
const load = (): Outbox => jest.requireActual('./outbox')
const parcel = (n: number) => ({ kind: 'runEvents' as const, subjectId: 'run', path: `/runs/${n}`, body: { n } })
const kept = () => Object.keys(localStorage).filter((key) => key.startsWith('okazu.outbox/'))

test('what is said is kept before it is sent, and gone when the server has it', async () => {
  const { post } = load()
  answers.push(() => json(200, {}))
  post(parcel(1))
  expect(kept()).toHaveLength(1)
  await waitFor(() => expect(kept()).toHaveLength(0))
})

test('without a network everything stays, across a reload, and leaves in the order it was said', async () => {
  const before = load()
  before.post(parcel(1))
  before.post(parcel(2))
  before.post(parcel(3))
  await waitFor(() => expect(sent.length).toBeGreaterThan(0))
  expect(kept()).toHaveLength(3)
  jest.resetModules()
  sent.length = 0
  answers.push(...[1, 2, 3].map(() => () => json(200, {})))
  const after = load()
  after.startOutbox(() => Promise.resolve())
  await waitFor(() => expect(kept()).toHaveLength(0))
  expect(sent.map((one) => one.body)).toEqual([{ n: 1 }, { n: 2 }, { n: 3 }])
})

describe('what builds on something said waits until that was sent', () => {
  test('until the server has it', async () => {
    const { post, untilSent } = load()
    let answer: ((response: Response) => void) | undefined
    global.fetch = jest.fn(() => new Promise<Response>((resolve) => (answer = resolve)))
    post(parcel(1))
    let isSent = false
    const sending = untilSent('run', 60_000).then(() => void (isSent = true))
    await untilSent('another', 60_000)
    expect(isSent).toBe(false)
    answer!(json(200, {}))
    await sending
    expect(kept()).toHaveLength(0)
  })

  test('no longer than it may, and not at all once the network is gone', async () => {
    const { post, untilSent } = load()
    global.fetch = jest.fn(() => new Promise<Response>(() => undefined))
    post(parcel(1))
    await untilSent('run', 5)
    const waiting = untilSent('run', 60_000)
    const { noteReachable }: typeof NetworkModule = jest.requireActual('./network')
    noteReachable(false)
    await waiting
    await untilSent('run', 60_000)
    expect(kept()).toHaveLength(1)
  })
})

test('a refusal is kept with its reason, and holds nothing up', async () => {
  const refusal = {
    type: 'x',
    title: 'over',
    status: 409,
    detail: 'the run is over',
    code: 'run-over',
    faults: [],
    values: {},
  }
  const { post, dropParcel } = load()
  answers.push(
    () => json(409, refusal),
    () => json(200, {}),
  )
  post(parcel(1))
  post(parcel(2))
  await waitFor(() => expect(kept()).toHaveLength(1))
  await waitFor(() => expect(localStorage.getItem(kept()[0]!)).toContain('run-over'))
  dropParcel(kept()[0]!.replace('okazu.outbox/', ''))
  expect(kept()).toHaveLength(0)
})

test('a server that fails is asked again; something broken in the store is passed over', async () => {
  localStorage.setItem('okazu.outbox/0', '{broken')
  const { post } = load()
  answers.push(
    () => json(500, {}),
    () => json(200, {}),
  )
  post(parcel(1))
  await waitFor(() => expect(sent).toHaveLength(2), { timeout: 4000 })
  await waitFor(() => expect(kept()).toEqual(['okazu.outbox/0']))
})

describe('a parcel on which the server fails', () => {
  const failed = () => json(500, { ...problem, status: 500, code: 'internal' })
  const problem = { type: 'x', title: 'x', status: 422, detail: 'x', code: 'invalid', faults: [], values: {} }

  test('stands aside after the third time, with what belongs to it; the rest goes on', async () => {
    jest.useFakeTimers()
    try {
      const { post, isAside, startOutbox } = load()
      startOutbox(() => Promise.resolve())
      answers.push(failed, failed, failed, () => json(200, {}))
      post(parcel(1))
      post({ ...parcel(2), subjectId: 'run' })
      post({ ...parcel(3), subjectId: 'another run' })
      await jest.advanceTimersByTimeAsync(10_000)
      expect(sent.map((one) => one.path)).toEqual(['/api/runs/1', '/api/runs/1', '/api/runs/1', '/api/runs/3'])
      expect(kept().map((key) => isAside(JSON.parse(localStorage.getItem(key)!) as never))).toEqual([true, false])
      answers.push(
        () => json(200, {}),
        () => json(200, {}),
      )
      await jest.advanceTimersByTimeAsync(31_000)
      expect(kept()).toEqual([])
    } finally {
      jest.useRealTimers()
    }
  })

  test('what is answered oddly is delivered all the same: the server has it', async () => {
    const { post, startOutbox } = load()
    startOutbox(() => Promise.reject(new Error('not what was expected')))
    answers.push(() => json(200, { odd: true }))
    post(parcel(1))
    await waitFor(() => expect(kept()).toEqual([]))
  })

  test('an answer that is cut off counts as none', async () => {
    const { post } = load()
    answers.push(
      () => ({ ...json(200, {}), json: () => Promise.reject(new SyntaxError('cut off')) }),
      () => json(200, {}),
    )
    post(parcel(1))
    await waitFor(() => expect(sent).toHaveLength(2), { timeout: 4000 })
    await waitFor(() => expect(kept()).toEqual([]))
  })

  test('what was refused for its time is asked about, and sent again as said now', async () => {
    const { post, isAskedAbout, sayNow } = load()
    answers.push(() => json(422, { ...problem, code: 'clock-ahead' }))
    post({ ...parcel(1), body: { events: [{ id: 'a', atMs: 5 }] } })
    await waitFor(() => expect(localStorage.getItem(kept()[0]!)).toContain('clock-ahead'))
    const [key = ''] = kept()
    expect(isAskedAbout(JSON.parse(localStorage.getItem(key)!) as never)).toBe(true)
    answers.push(() => json(200, {}))
    sayNow(key.replace('okazu.outbox/', ''))
    await waitFor(() => expect(kept()).toEqual([]))
    const { events } = sent.at(-1)!.body as { events: { atMs: number }[] }
    expect(events[0]!.atMs).toBeGreaterThan(5)
  })
})

test('what was said in one kitchen waits while the device is in another, and goes when it is back', async () => {
  const letInto = (id: string) => localStorage.setItem('okazu.me', JSON.stringify({ kitchen: { id } }))
  letInto('low-tide')
  const { post } = load()
  post(parcel(1))
  await waitFor(() => expect(sent).toHaveLength(1))
  letInto('kettle-lane')
  jest.resetModules()
  sent.length = 0
  answers.push(() => json(200, {}))
  load().post(parcel(2))
  await waitFor(() => expect(kept()).toHaveLength(1))
  expect(sent.map(({ path }) => path)).toEqual(['/api/runs/2'])
  letInto('low-tide')
  jest.resetModules()
  answers.push(() => json(200, {}))
  const stop = load().startOutbox(() => Promise.resolve())
  await waitFor(() => expect(kept()).toHaveLength(0))
  expect(sent.map(({ path }) => path)).toEqual(['/api/runs/2', '/api/runs/1'])
  stop()
})
