import type { Browser, Page } from '@playwright/test'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pino from 'pino'
import { simulatedPrinter } from '../server/src/device/printer/simulatedPrinter'
import { prepareDemo } from '../server/src/demo/prepareDemo'
import { migrate, migrationsIn } from '../server/src/db/migrate'
import { openPool } from '../server/src/db/pool'
import { testClock, type TestClock } from '../server/src/http/testClock'
import { startServer } from '../server/src/server'
import { letToolIn, openAsDevice } from './toolDevice'
import { PAPER_WORKER } from '../server/src/serverFolder'

type ShotKitchen = { url: string; clock: TestClock; stop: () => Promise<void> }

const MIGRATIONS = new URL('../server/src/db/migrations/', import.meta.url)

/** The sample kitchen on a fresh database, at an hour of today (UTC). */
export async function kitchenAt(database: string, hour: number, minute: number): Promise<ShotKitchen> {
  const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
  const address = { socketPath, user: 'root', database }
  const at = new Date()
  at.setUTCHours(hour, minute, 10, 0)
  await migrate(address, MIGRATIONS)
  const pool = openPool(address)
  const clock = testClock()
  clock.moveToMs(at.getTime())
  const kitchenId = await prepareDemo(pool, clock.now(), { evenings: 2, month: true })
  await letToolIn(pool, kitchenId, clock.now())
  const server = await startServer({
    pool,
    kitchenId,
    port: 0,
    webFolder: 'app/dist',
    log: pino({ level: 'silent' }),
    clock,
    printer: simulatedPrinter(join(tmpdir(), 'okazu-printed'), clock.now),
    dataFolder: tmpdir(),
    migrations: migrationsIn(MIGRATIONS),
    paperWorker: PAPER_WORKER,
  })
  const stop = async () => {
    await server.stop()
    await pool.end()
  }
  return { url: `http://127.0.0.1:${server.port}`, clock, stop }
}

/** A page of a phone or a wide screen at the kitchen's time. */
export async function openPage(
  by: Browser,
  clock: TestClock,
  size: 'phone' | 'wide',
  colorScheme: 'dark' | 'light',
): Promise<Page> {
  const isPhone = size === 'phone'
  const viewport = isPhone ? { width: 390, height: 844 } : { width: 1280, height: 800 }
  const context = await by.newContext({
    viewport,
    colorScheme,
    isMobile: isPhone,
    hasTouch: isPhone,
    timezoneId: 'UTC',
  })
  await openAsDevice(context)
  await context.clock.install({ time: clock.now() })
  return context.newPage()
}
