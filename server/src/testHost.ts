import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createInterface } from 'node:readline'
import pino from 'pino'
import type { Pool } from 'mysql2/promise'
import { z } from 'zod'
import { prepareDemo } from './demo/prepareDemo'
import { letIn } from './people/test/letIn'
import { simulatedPrinter } from './device/printer/simulatedPrinter'
import { migrate, migrationsIn } from './db/migrate'
import { copyDatabase } from './db/test/copyDatabase'
import { openPool } from './db/pool'
import { testClock } from './http/testClock'
import { startServer, type RunningServer } from './server'
import { PAPER_WORKER, SERVER_FOLDER } from './serverFolder'

/**
 * A process that opens one kitchen after the other for the browser tests: a line of JSON in, a line of JSON out. `make`
 * prepares a sample kitchen in a database, `copy` copies one, `open` serves a database at a time of the test's choice, `close` ends that.
 */
const Command = z.discriminatedUnion('do', [
  z.object({ do: z.literal('make'), database: z.string().regex(/^\w+$/), nowMs: z.number(), evenings: z.number() }),
  z.object({ do: z.literal('copy'), database: z.string().regex(/^\w+$/), to: z.string().regex(/^\w+$/) }),
  z.object({ do: z.literal('open'), database: z.string().regex(/^\w+$/), nowMs: z.number(), port: z.number() }),
  z.object({ do: z.literal('close') }),
])
const { OKAZU_DB_SOCKET: socketPath } = z.object({ OKAZU_DB_SOCKET: z.string().min(1) }).parse(process.env)
/** Tests let days pass: their owner's shift does not end meanwhile. */
const LONG_SHIFT_MS = 30 * 86_400_000
const MIGRATIONS = new URL('src/db/migrations/', SERVER_FOLDER)
const log = pino({ level: 'error' }, pino.destination(2))
/** The port, and tokens of two devices at which the owner is signed in: one for pages, one for a program. */
type Answer = { port: number; token: string; programToken: string }
const CLOSED: Answer = { port: 0, token: '', programToken: '' }
const opened: { server: RunningServer; pool: Pool }[] = []

async function prepare(database: string, nowMs: number, evenings: number) {
  const address = { socketPath, user: 'root', database }
  await migrate(address, MIGRATIONS)
  const pool = openPool(address)
  return { pool, kitchenId: await prepareDemo(pool, nowMs, { evenings, month: false }) }
}

async function answer(command: z.infer<typeof Command>): Promise<Answer> {
  switch (command.do) {
    case 'make':
      await (await prepare(command.database, command.nowMs, command.evenings)).pool.end()
      return CLOSED
    case 'copy':
      await copyDatabase({ socketPath, user: 'root', database: command.database }, command.to)
      return CLOSED
    case 'open': {
      const clock = testClock()
      clock.moveToMs(command.nowMs)
      const { pool, kitchenId } = await prepare(command.database, command.nowMs, 0)
      const printer = simulatedPrinter(join(tmpdir(), 'okazu-printed'), clock.now)
      const server = await startServer({
        pool,
        kitchenId,
        port: command.port,
        webFolder: 'app/dist',
        log,
        clock,
        printer,
        dataFolder: tmpdir(),
        migrations: migrationsIn(MIGRATIONS),
        paperWorker: PAPER_WORKER,
      })
      opened.push({ server, pool })
      log.level = 'error'
      return {
        port: server.port,
        token: await letIn(pool, kitchenId, 'odalys', clock.now(), 'Owner', clock.now() + LONG_SHIFT_MS),
        programToken: await letIn(pool, kitchenId, 'odalys', clock.now(), 'Program', clock.now() + LONG_SHIFT_MS),
      }
    }
    case 'close':
      // A page that is still open may ask after the database is closed: nobody reads that answer.
      log.level = 'silent'
      for (const { server, pool } of opened.splice(0)) {
        await server.stop()
        await pool.end()
      }
      return CLOSED
  }
}

for await (const line of createInterface({ input: process.stdin }))
  console.log(JSON.stringify(await answer(Command.parse(JSON.parse(line)))))
process.exit(0)
