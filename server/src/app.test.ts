import { Health } from 'contract/health'
import { drawPaper } from './papers/papers'
import { createApp } from './app'
import type { Pool } from 'mysql2/promise'
import { Followers } from './live/follower'
import { openTestKitchen, send, type TestKitchen } from './db/test/testKitchen'
import pino from 'pino'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

test('the OpenAPI document is generated and describes every route that the application serves', async () => {
  const document = (await send(kitchen.app, 'GET', '/openapi.json')).json as {
    openapi: string
    paths: Record<string, Record<string, unknown>>
  }
  expect(document.openapi).toBe('3.1.0')
  const described = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => `${method.toUpperCase()} ${path}`),
  )
  const served = kitchen.app.routes
    .filter((route) => route.method !== 'ALL' && route.path !== '/api/openapi.json')
    .map((route) => `${route.method} ${route.path.replace(/:(\w+)/g, '{$1}')}`)
  expect([...new Set(served)].sort()).toEqual(described.sort())
})

test('headers keep strangers out: no inline script, no frame, no sniffing', async () => {
  const { headers } = await send(kitchen.app, 'GET', '/health')
  const csp = headers.get('content-security-policy') ?? ''
  expect(csp).toContain("default-src 'none'")
  expect(csp).toContain("script-src 'self'")
  expect(csp).not.toContain('unsafe')
  expect(headers.get('x-content-type-options')).toBe('nosniff')
  expect(csp).toContain("frame-ancestors 'none'")
  expect(Number(headers.get('x-okazu-now'))).toBeGreaterThan(0)
})

test('an address that is not there is a problem, not a page', async () => {
  const answer = await send(kitchen.app, 'GET', '/nothing')
  expect(answer.status).toBe(404)
  expect(answer.json).toMatchObject({ code: 'not-found', type: 'urn:okazu:problem:not-found' })
})

const kitchenOf = (pool: Pool) => ({
  pool,
  dataFolder: null,
  migrations: [],
  kitchenId: 'x',
  printer: { print: () => Promise.resolve({ kind: 'refused' as const, why: 'no printer' }) },
  draw: drawPaper,
})

describe('the database fails this once: asked again in a moment it may answer', () => {
  const failing = async (failure: (pool: Pool) => Promise<unknown>) => {
    const error: unknown = await failure(kitchen.pool).then(
      () => null,
      (caught: unknown) => caught,
    )
    if (!(error instanceof Error)) throw new Error('it was to fail')
    const fails = () => Promise.reject(error)
    const pool = { execute: fails, query: fails, getConnection: fails } as unknown as Pool
    const log = pino({ level: 'silent' })
    const app = createApp({ ...kitchenOf(pool), now: Date.now }, new Followers(pool, log), log)
    const answer = await app.request('/api/kitchen', { headers: { authorization: 'Bearer any token' } })
    return [answer.status, ((await answer.json()) as { code: string }).code]
  }

  test('a statement took too long', async () => {
    const tooLong = (pool: Pool) => pool.query('SET STATEMENT max_statement_time = 0.05 FOR SELECT SLEEP(2)')
    expect(await failing(tooLong)).toEqual([503, 'database'])
  })
  test('its connection was killed in a statement', async () => {
    const killed = async (pool: Pool) => {
      const connection = await pool.getConnection()
      const both = [connection.query('SELECT SLEEP(2)'), pool.query(`KILL ${connection.threadId}`)]
      await Promise.all(both).finally(() => connection.destroy())
    }
    expect(await failing(killed)).toEqual([503, 'database'])
  })
  test('its connection was killed before the statement', async () => {
    const killed = async (pool: Pool) => {
      const connection = await pool.getConnection()
      await pool.query(`KILL ${connection.threadId}`)
      await connection.query('SELECT 1').finally(() => connection.destroy())
    }
    expect(await failing(killed)).toEqual([503, 'database'])
  })
  test('but a statement that is wrong is a failure of the server', async () => {
    expect(await failing((pool) => pool.query('SELECT nothing'))).toEqual([500, 'internal'])
  })
})

test('without a database: 503 and what to do, on every address', async () => {
  const gone = () => Promise.reject(Object.assign(new Error('connect ECONNREFUSED'), { code: 'ECONNREFUSED' }))
  const pool = { execute: gone, query: gone, getConnection: gone } as unknown as Pool
  const log = pino({ level: 'silent' })
  const app = createApp({ ...kitchenOf(pool), now: Date.now }, new Followers(pool, log), log)
  for (const path of ['/tickets', '/runs', '/kitchen']) {
    const answer = await send(app, 'GET', path, undefined, undefined, 'any token')
    expect([answer.status, (answer.json as { code: string }).code]).toEqual([503, 'database'])
  }
  const health = await send(app, 'GET', '/health')
  expect(health.status).toBe(503)
  expect(Health.parse(health.json)).toMatchObject({ status: 'fail', checks: { database: { status: 'fail' } } })
})
