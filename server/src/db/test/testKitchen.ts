import type { OpenAPIHono } from '@hono/zod-openapi'
import type { LabelPrinter, PrintedLabel } from '../../device/devices'
import type { RequestEnv } from '../../http/context'
import { EventId, ItemId, RunId, TicketId } from 'contract/ids'
import type { FireRun, Run, RunEvent } from 'contract/run'
import type { NewTicketBody, Ticket } from 'contract/ticket'
import type { RowDataPacket } from 'mysql2'
import type { Pool } from 'mysql2/promise'
import { tmpdir } from 'node:os'
import { pathToFileURL } from 'node:url'
import pino from 'pino'
import { v7 as newId } from 'uuid'
import { createApp } from '../../app'
import { testClock, type TestClock } from '../../http/testClock'
import { describeApi } from '../../http/describe'
import { AsDescribed } from './asDescribed'
import { copyDatabase } from './copyDatabase'
import { drawPaper, type DrawPaper } from '../../papers/papers'
import { Followers } from '../../live/follower'
import { letIn } from '../../people/test/letIn'
import { DEMO_KITCHEN_ID } from '../../demo/kitchen'
import { prepareDemo } from '../../demo/prepareDemo'
import { migrate, migrationsIn } from '../migrate'
import { openPool, type DatabaseAddress } from '../pool'

export type TestKitchen = {
  app: OpenAPIHono<RequestEnv>
  printed: PrintedLabel[]
  /** What the server wrote into its log where it failed. */
  failures: string[]
  pool: Pool
  kitchenId: string
  clock: TestClock
  /** The token of a device at which the owner is signed in: `app.request` shows it where a test shows none. */
  token: string
  /** A device at which somebody else is signed in. @returns its token */
  letIn: (staffId: string | null) => Promise<string>
  close: () => Promise<void>
}

const MIGRATIONS = pathToFileURL(`${__dirname}/../migrations/`)

/** When a test begins, whatever the time of day: the boats of the sample kitchen, and so its record, follow from it. */
export const BEGINS_MS = Date.UTC(2026, 10, 27, 18, 42)

/** A database with a copy of the sample kitchen, and the real application on it, without history unless asked for. */
export async function openTestKitchen(evenings = 0, draw: DrawPaper = drawPaper): Promise<TestKitchen> {
  const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
  const address = { socketPath, user: 'root', database: `test_${newId().replaceAll('-', '')}` }
  const sample = { ...address, database: `sample_${evenings}` }
  await makeOnce(sample, evenings)
  await copyDatabase(sample, address.database)
  const pool = openPool(address)
  const clock = testClock(BEGINS_MS)
  const kitchenId = DEMO_KITCHEN_ID
  const failures: string[] = []
  const log = pino({ level: 'error' }, { write: (line) => void failures.push(line) })
  const followers = new Followers(pool, log)
  const printed: PrintedLabel[] = []
  const printer: LabelPrinter = {
    print: (label) => Promise.resolve({ kind: 'printed', where: `label ${printed.push(label)}` }),
  }
  const health = { pool, now: clock.now, dataFolder: tmpdir(), migrations: migrationsIn(MIGRATIONS) }
  const app = createApp({ ...health, kitchenId, printer, draw }, followers, log)
  const token = await letIn(pool, kitchenId, 'odalys', clock.now())
  showToken(app, token)
  const close = async () => {
    followers.stop()
    await pool.query(`DROP DATABASE ${address.database}`)
    await pool.end()
  }
  const others = (staffId: string | null) => letIn(pool, kitchenId, staffId, clock.now(), `Device of ${staffId}`)
  return { printed, failures, app, pool, kitchenId, clock, token, letIn: others, close }
}

/** Requests of a test come from a device that was let in, unless they say who asks themselves. */
function showToken(app: OpenAPIHono<RequestEnv>, token: string): void {
  const bare = app.request
  app.request = (input, init, ...rest) => {
    const headers = new Headers(init?.headers)
    if (!headers.has('authorization') && !headers.has('cookie')) headers.set('authorization', `Bearer ${token}`)
    return bare(input, { ...init, headers }, ...rest)
  }
}

/** The sample kitchen, made by whichever test asks first; the others wait for it. */
async function makeOnce(sample: DatabaseAddress, evenings: number): Promise<void> {
  const root = openPool({ ...sample, database: 'mysql' })
  const connection = await root.getConnection()
  try {
    await connection.query('SELECT GET_LOCK(?, 120)', [sample.database])
    const [made] = await connection.query<RowDataPacket[]>('SHOW DATABASES LIKE ?', [`${sample.database}_made`])
    if (made.length > 0) return
    await migrate(sample, MIGRATIONS)
    const pool = openPool(sample)
    await prepareDemo(pool, BEGINS_MS, { evenings, month: false })
    await pool.end()
    await connection.query(`CREATE DATABASE ${sample.database}_made`)
  } finally {
    connection.destroy()
    await root.end()
  }
}

/** The document is drawn up and compiled once for a process: test files share their globals (jest.config.js). */
const shared = globalThis as { okazuAsDescribed?: AsDescribed }

/** Asks the API as a program does; an answer that the OpenAPI document does not describe is an error. */
export async function send(
  app: OpenAPIHono<RequestEnv>,
  method: string,
  path: string,
  body?: unknown,
  type = 'application/json',
  token?: string,
) {
  const isJson = type === 'application/json' && typeof body !== 'string'
  const response = await app.request(`/api${path}`, {
    method,
    headers: {
      ...(body !== undefined && { 'content-type': type }),
      ...(token !== undefined && { authorization: `Bearer ${token}` }),
    },
    ...(body !== undefined && { body: isJson ? JSON.stringify(body) : (body as BodyInit) }),
  })
  const text = await response.text()
  const answerType = response.headers.get('content-type') ?? ''
  const json = (answerType.includes('json') ? JSON.parse(text) : null) as never
  const { status, headers } = response
  shared.okazuAsDescribed ??= new AsDescribed(describeApi(app))
  const difference = shared.okazuAsDescribed.differs({ method, path: `/api${path}`, status, type: answerType, json })
  if (difference !== null) throw new Error(`not as the OpenAPI document has it: ${difference}`)
  return { status, headers, text, json }
}

export const newTicket = (
  dishId: string,
  portions: number,
  promisedAtMs: number,
  change: Partial<NewTicketBody['items'][number]> = {},
): NewTicketBody => ({
  id: TicketId.parse(newId()),
  promisedAtMs,
  items: [{ id: ItemId.parse(newId()), dishId, portions, ...change }],
})

/** What a device sends to fire whole lines of tickets as one batch. */
export const fireOf = (
  tickets: readonly Ticket[],
  stationId: string,
  firedAtMs: number,
  change: Partial<FireRun> = {},
): FireRun => {
  const items = tickets.flatMap((ticket) => ticket.items.map((item) => ({ ticket, item })))
  const first = items[0]
  if (!first) throw new RangeError('nothing to fire')
  return {
    id: RunId.parse(newId()),
    dishId: first.item.dishId,
    dishVersion: 1,
    stationId,
    cookId: 'bram',
    modifiers: first.item.modifiers,
    allergies: first.item.allergies,
    parts: items.map(({ ticket, item }) => ({
      itemId: item.id,
      ticketId: ticket.id,
      ticketNumber: ticket.number,
      portions: item.portions,
      modifiers: item.modifiers,
    })),
    firedAtMs: Math.round(firedAtMs),
    promisedAtMs: first.ticket.promisedAtMs,
    handsFree: true,
    deviceId: 'phone',
    isUnconfirmed: false,
    ...change,
  }
}

type Word = RunEvent extends infer T
  ? T extends RunEvent
    ? Omit<T, 'id' | 'runId' | 'deviceId' | 'atMs' | 'counter'>
    : never
  : never
export const eventOf = (run: Pick<Run, 'id'>, atMs: number, word: Word): RunEvent => ({
  id: EventId.parse(newId()),
  runId: run.id,
  deviceId: 'phone',
  atMs: Math.round(atMs),
  counter: 0,
  ...word,
})

/** Answers every check of a run a second after it is due, from the firing on; returns when the run is up [ms]. */
export async function cookThrough({ app, clock }: TestKitchen, run: Run): Promise<number> {
  let ms = run.firedAtMs
  const events = []
  for (const { id: stepId, durationS, check } of run.score.steps) {
    ms += durationS * 1000
    if (check) events.push(eventOf(run, (ms += 1000), { kind: 'checked', stepId, ok: true, tempC: 76, tempF: null }))
  }
  clock.moveToMs(ms + 1)
  const { status } = await send(app, 'POST', `/runs/${run.id}/events`, { events })
  if (status !== 200) throw new Error(`the run was not cooked through: ${status}`)
  return ms
}
