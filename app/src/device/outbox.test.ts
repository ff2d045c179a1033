import { waitFor } from '@testing-library/react'

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
  after.startOutbox(() => undefined)
  await waitFor(() => expect(kept()).toHaveLength(0))
  expect(sent.map((one) => one.body)).toEqual([{ n: 1 }, { n: 2 }, { n: 3 }])
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
