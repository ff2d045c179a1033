import { serve } from '@hono/node-server'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Pool } from 'mysql2/promise'
import type { Logger } from 'pino'
import type { LabelPrinter } from './device/devices'
import { runFeed } from './device/feed/runFeed'
import { runProbe } from './device/probe/runProbe'
import { createApp } from './app'
import { serveApp } from './http/static'
import { mountTestClock, type TestClock } from './http/testClock'
import { LiveFollower } from './live/follower'
import { findKitchen } from './setup/kitchen.sql'
import { settleOpenRuns } from './wok/settle'

const TICK_MS = 1000

type ServerOptions = {
  pool: Pool
  kitchenId: string
  port: number
  webFolder: string
  log: Logger
  clock: TestClock | null
  printer: LabelPrinter
}
export type RunningServer = { port: number; stop: () => Promise<void> }

/** Starts app and API on one loopback port, and the ticks that end runs, send the feed's tickets and read the probe. */
export async function startServer({
  pool,
  kitchenId,
  port,
  webFolder,
  log,
  clock,
  printer,
}: ServerOptions): Promise<RunningServer> {
  const now = clock?.now ?? Date.now
  const follower = new LiveFollower(pool, kitchenId, log)
  const app = createApp({ pool, now, kitchenId, changed: follower.wake, printer }, follower, log)
  if (clock) mountTestClock(app, clock, { pool, kitchenId, changed: follower.wake })
  serveApp(app, webFolder)
  await follower.start()
  const kitchen = await findKitchen(pool, kitchenId)
  const tick = async () => {
    const ended = await settleOpenRuns(pool, kitchenId, now())
    const fed = await runFeed(pool, kitchenId, kitchen?.boatEveryMin ?? 20, now())
    const probed = await runProbe(pool, kitchenId, now())
    if (ended + fed + probed > 0) follower.wake()
  }
  let ticking: Promise<void> = Promise.resolve()
  const ticker = setInterval(() => {
    ticking = ticking.then(tick).catch((error: unknown) => log.warn({ err: error }, 'tick failed, trying again'))
  }, TICK_MS)

  const server = await new Promise<Server>((resolve, reject) => {
    const started = serve({ fetch: app.fetch, port, hostname: '127.0.0.1' }, () => resolve(started as Server))
    started.on('error', reject)
  })
  const stop = async () => {
    clearInterval(ticker)
    follower.stop()
    server.closeAllConnections()
    await new Promise((resolve) => server.close(resolve))
    await ticking
  }
  return { port: (server.address() as AddressInfo).port, stop }
}
