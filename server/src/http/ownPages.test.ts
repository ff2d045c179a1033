import type { OpenAPIHono } from '@hono/zod-openapi'
import { openTestKitchen, newTicket, type TestKitchen } from '../db/test/testKitchen'
import { networkOf, whereToOpen } from '../network'
import type { RequestEnv } from './context'

let kitchen: TestKitchen
let app: OpenAPIHono<RequestEnv>
beforeAll(async () => {
  kitchen = await openTestKitchen()
  // Health, which is asked for here, compares with the database's own time.
  kitchen.clock.moveToMs(Date.now())
  app = kitchen.app
})
afterAll(() => kitchen.close())

const ask = async (path: string, init: RequestInit = {}) => {
  const response = await app.request(`http://localhost:8425${path}`, init)
  const problem = response.status < 400 ? null : ((await response.json()) as { code: string }).code
  return [response.status, problem]
}
const ticket = () => JSON.stringify(newTicket('duck', 1, Date.now() + 600_000))
const post = (headers: Record<string, string>, body = ticket()) =>
  ask('/api/tickets', { method: 'POST', headers: { 'content-type': 'application/json', ...headers }, body })
const count = async () => {
  const response = await app.request('/api/tickets')
  return ((await response.json()) as { tickets: unknown[] }).tickets.length
}

describe('the name it is asked under', () => {
  test.each(['localhost', 'localhost:8425', '127.0.0.1:8425', '[::1]:9000', 'LOCALHOST'])(
    '%s is its own',
    async (host) => {
      expect(await ask('/api/health', { headers: { host } })).toEqual([200, null])
    },
  )

  test.each([
    'kitchen.example',
    'kitchen.example:8425',
    '127.0.0.1.kitchen.example',
    'localhost.example',
    '192.168.1.9',
  ])('%s is foreign, for reading, writing, live updates and the app itself', async (host) => {
    for (const path of ['/api/health', '/api/tickets', '/api/live', '/line'])
      expect(await ask(path, { headers: { host } })).toEqual([403, 'foreign-host'])
    expect(await post({ host })).toEqual([403, 'foreign-host'])
  })
})

describe('the page that asks', () => {
  test('programs send no origin, own pages send their own: both are taken', async () => {
    const before = await count()
    expect(await post({})).toEqual([201, null])
    expect(
      await post({ origin: 'http://localhost:8425', host: 'localhost:8425', 'sec-fetch-site': 'same-origin' }),
    ).toEqual([201, null])
    expect(await count()).toBe(before + 2)
  })

  test.each<[string, Record<string, string>]>([
    ['another site', { origin: 'http://evil.example' }],
    ['another port of this machine', { origin: 'http://localhost:3000' }],
    ['a page of no site', { origin: 'null' }],
    ['nonsense', { origin: 'not an origin' }],
    ['a form of another site', { 'sec-fetch-site': 'cross-site' }],
    ['a neighbour under the same name', { 'sec-fetch-site': 'same-site' }],
  ])('%s writes nothing and follows nothing', async (_who, headers) => {
    const before = await count()
    expect(await post({ host: 'localhost:8425', ...headers })).toEqual([403, 'foreign-page'])
    expect(await ask('/api/live', { headers: { host: 'localhost:8425', ...headers } })).toEqual([403, 'foreign-page'])
    expect(await count()).toBe(before)
  })
})

describe('the type of a body', () => {
  test.each(['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x', ''])(
    'JSON sent as "%s" is not read, and the right type is named',
    async (type) => {
      const before = await count()
      const response = await app.request('/api/tickets', {
        method: 'POST',
        headers: { 'content-type': type },
        body: new TextEncoder().encode(ticket()),
      })
      expect(response.status).toBe(415)
      expect(await response.json()).toMatchObject({
        code: 'wrong-type',
        detail: expect.stringContaining('application/json') as string,
      })
      expect(await count()).toBe(before)
    },
  )

  test('every route that takes a body refuses another type', async () => {
    const document = (await (await app.request('/api/openapi.json')).json()) as {
      paths: Record<string, Record<string, { requestBody?: { content: Record<string, unknown> } }>>
    }
    const writes = Object.entries(document.paths).flatMap(([path, methods]) =>
      Object.entries(methods).flatMap(([method, route]) => (route.requestBody ? [{ path, method }] : [])),
    )
    expect(writes.length).toBeGreaterThan(20)
    for (const { path, method } of writes) {
      const response = await app.request(path.replace(/\{\w+\}/g, 'x'), {
        method: method.toUpperCase(),
        headers: { 'content-type': 'text/plain' },
        body: '{}',
      })
      expect([method, path, response.status]).toEqual([method, path, 415])
    }
  })

  test('a parameter of the type is no other type', async () => {
    expect(await post({ 'content-type': 'application/json; charset=utf-8' })).toEqual([201, null])
  })

  test('brackets without end are refused before they are parsed', async () => {
    expect(await post({}, '['.repeat(100_000))).toEqual([400, 'bad-json'])
    expect(await post({}, `{"a":"${'['.repeat(1000)}"}`)).toEqual([422, 'invalid'])
  })

  test('a CSV of more than 1 MiB is told to come in parts, JSON of as much is not too large', async () => {
    const megabytes = (n: number) => 'x'.repeat(n * 1_048_576 + 1)
    const csv = { method: 'POST', headers: { 'content-type': 'text/csv' }, body: megabytes(1) }
    expect(await ask('/api/rice/demand', csv)).toEqual([413, 'too-large'])
    expect(await post({}, `{"a":"${megabytes(1)}"}`)).toEqual([422, 'invalid'])
    expect(await post({}, megabytes(4))).toEqual([413, 'too-large'])
  })
})

describe('where it listens', () => {
  const settings = { OKAZU_HOST: '127.0.0.1', OKAZU_NAMES: '' }

  test('this machine alone, unless somebody says otherwise', () => {
    expect(networkOf(settings)).toEqual({ host: '127.0.0.1', names: ['127.0.0.1', 'localhost', '[::1]'], tls: null })
    expect(whereToOpen(networkOf(settings), 8425)).toEqual(['Okazu is ready at http://127.0.0.1:8425'])
  })

  test('on the network it answers to that address, and says that others can read', () => {
    const network = networkOf({ ...settings, OKAZU_HOST: '192.168.1.20' })
    expect(network.names).toContain('192.168.1.20')
    expect(whereToOpen(network, 8425)).toEqual([
      'Okazu is ready at http://192.168.1.20:8425',
      expect.stringContaining('OKAZU_TLS_CERT'),
    ])
  })

  test('on every address it asks for the names', () => {
    const open = (names: string) => whereToOpen(networkOf({ OKAZU_HOST: '0.0.0.0', OKAZU_NAMES: names }), 8425)
    expect(open('')).toContainEqual(expect.stringContaining('OKAZU_NAMES'))
    expect(open('Okazu.local, tide.local')[0]).toBe('Okazu is ready at http://okazu.local:8425')
    expect(open('okazu.local')).toHaveLength(2)
  })

  test('a certificate without its key is said at once', () => {
    expect(() => networkOf({ ...settings, OKAZU_TLS_CERT: '/tmp/cert.pem' })).toThrow(/belong together/)
  })
})
