import { serve, type ServerType } from '@hono/node-server'
import { createServer as createPlainServer } from 'node:http'
import { createServer as createTlsServer } from 'node:https'
import type { AddressInfo } from 'node:net'
import type { Pool } from 'mysql2/promise'
import type { Logger } from 'pino'
import type { LabelPrinter } from './device/devices'
import { runFeed } from './device/feed/runFeed'
import { runProbe } from './device/probe/runProbe'
import { createApp } from './app'
import { trimOutbox } from './db/outbox'
import { serveApp } from './http/static'
import { LOOPBACK_NAMES } from './http/ownPages'
import { mountTestClock, type TestClock } from './http/testClock'
import { Followers } from './live/follower'
import { paperThreads } from './papers/paperThreads'
import { startTicks } from './ticks'
import { listKitchenIds } from './setup/house/house.sql'
import { settleOpenRuns } from './wok/settle'

/** So often it is looked whether the hour has its backup. */
const BACKUP_LOOK_MS = 300_000
const TICK_MS = 1000
const TRIM_EVERY_MS = 3_600_000
/** No screen that is away for longer follows change by change. */
const CHANGES_KEPT_MS = 2 * 86_400_000
const LOOPBACK: Network = { host: '127.0.0.1', names: LOOPBACK_NAMES, tls: null }
/** A sender that is slower than this, or a connection that asks nothing for so long, is closed [ms]. */
const SLOW_MS = 10_000
const LOOK_MS = 2000
const PATIENCE = {
  headersTimeout: SLOW_MS,
  requestTimeout: SLOW_MS,
  keepAliveTimeout: SLOW_MS,
  connectionsCheckingInterval: LOOK_MS,
}

const listening = ({ tls }: Network) =>
  tls
    ? { createServer: createTlsServer, serverOptions: { ...PATIENCE, ...tls } }
    : { createServer: createPlainServer, serverOptions: PATIENCE }

type ServerOptions = {
  pool: Pool
  kitchenId: string
  port: number
  webFolder: string
  log: Logger
  clock: TestClock | null
  printer: LabelPrinter
  dataFolder: string | null
  migrations: readonly string[]
  /** The built worker that draws labels and sheets. */
  paperWorker: URL
  /** Copies the data where the last hour has no copy; null where nobody wants that. */
  backUp?: (() => Promise<number>) | null
  /** Where it listens, and how; this machine alone where nothing is said. */
  network?: Network
}
/** An address to listen on, the names that pages open it under, and a certificate where it speaks HTTPS itself. */
export type Network = { host: string; names: readonly string[]; tls: { cert: string; key: string } | null }
export type RunningServer = { port: number; stop: () => Promise<void> }

/** Starts app and API on one port, and the ticks that end runs, send the feed's tickets and read the probe. */
export async function startServer({
  pool,
  kitchenId,
  port,
  webFolder,
  log,
  clock,
  printer,
  dataFolder,
  migrations,
  paperWorker,
  backUp = null,
  network = LOOPBACK,
}: ServerOptions): Promise<RunningServer> {
  const now = clock?.now ?? Date.now
  const followers = new Followers(pool, log)
  const papers = paperThreads(paperWorker)
  const house = { pool, now, kitchenId, printer, draw: papers.draw, dataFolder, migrations }
  const changed = () => followers.wake(kitchenId)
  /** Does a work for each kitchen of the database; who follows one is told of its changes. */
  const each = (work: (id: string) => Promise<number>) => async () => {
    for (const id of await listKitchenIds(pool)) if ((await work(id)) > 0) followers.wake(id)
    return 0
  }
  const app = createApp(house, followers, log, network.names)
  if (clock) mountTestClock(app, clock, { pool, kitchenId, changed })
  serveApp(app, webFolder)
  await followers.of(kitchenId).started
  const endTicks = startTicks(
    [
      { name: 'ending runs', everyMs: TICK_MS, work: each((id) => settleOpenRuns(pool, id, now())) },
      { name: 'ticket feed', everyMs: TICK_MS, work: each((id) => runFeed(pool, id, now())) },
      { name: 'probe', everyMs: TICK_MS, work: each((id) => runProbe(pool, id, now())) },
      {
        name: 'trimming the outbox',
        everyMs: TRIM_EVERY_MS,
        work: each(async (id) => 0 * (await trimOutbox(pool, id, now() - CHANGES_KEPT_MS))),
      },
      ...(backUp ? [{ name: 'the backup', everyMs: BACKUP_LOOK_MS, work: async () => 0 * (await backUp()) }] : []),
    ],
    changed,
    log,
  )

  const server = await new Promise<ServerType>((resolve, reject) => {
    const started = serve({ fetch: app.fetch, port, hostname: network.host, ...listening(network) }, () =>
      resolve(started),
    )
    started.on('error', reject)
  })
  const stop = async () => {
    followers.stop()
    if ('closeAllConnections' in server) server.closeAllConnections()
    await new Promise((resolve) => server.close(resolve))
    await endTicks()
    await papers.end()
  }
  return { port: (server.address() as AddressInfo).port, stop }
}
