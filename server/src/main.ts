import { mkdirSync } from 'node:fs'
import { join, parse } from 'node:path'
import pino from 'pino'
import { z } from 'zod'
import { firstKitchen } from './demo/firstKitchen'
import { simulatedPrinter } from './device/printer/simulatedPrinter'
import { backUpHourly } from './backup/backup'
import { copyData } from './db/copyData'
import { migrate, migrationsIn } from './db/migrate'
import { openPool, type DatabaseAddress } from './db/pool'
import { testClock } from './http/testClock'
import { startServer } from './server'
import { baseOf, networkOf, whereToOpen } from './network'
import { wayIn } from './demo/wayIn'
import { PAPER_WORKER, SERVER_FOLDER } from './serverFolder'

const Environment = z.object({
  OKAZU_PORT: z.coerce.number().int().min(0).max(65_535).default(8425),
  OKAZU_HOST: z.union([z.ipv4(), z.ipv6()]).default('127.0.0.1'),
  OKAZU_NAMES: z.string().default(''),
  OKAZU_TLS_CERT: z.string().optional(),
  OKAZU_TLS_KEY: z.string().optional(),
  OKAZU_DB_SOCKET: z.string().min(1).optional(),
  OKAZU_DB_HOST: z.string().default('127.0.0.1'),
  OKAZU_DB_PORT: z.coerce.number().int().min(1).max(65_535).default(3306),
  OKAZU_DB_USER: z.string().default('okazu'),
  OKAZU_DB_PASSWORD: z.string().optional(),
  OKAZU_DB_NAME: z.string().regex(/^\w+$/).default('okazu'),
  OKAZU_WEB: z.string().default('app/dist'),
  OKAZU_DATA: z.string().default('.okazu'),
  OKAZU_DEMO_EVENINGS: z.coerce.number().int().min(0).max(400).default(2),
  OKAZU_NEW: z.literal('1').optional(),
  OKAZU_BACKUPS: z.enum(['on', 'off']).default('on'),
  OKAZU_TEST_CLOCK: z.literal('1').optional(),
  OKAZU_LOG: z.enum(['info', 'warn', 'error', 'silent']).default('info'),
})

const env = Environment.parse(process.env)
const log = pino({ level: env.OKAZU_LOG })
const address: DatabaseAddress = {
  ...(env.OKAZU_DB_SOCKET === undefined
    ? { host: env.OKAZU_DB_HOST, port: env.OKAZU_DB_PORT }
    : { socketPath: env.OKAZU_DB_SOCKET }),
  ...(env.OKAZU_DB_PASSWORD !== undefined && { password: env.OKAZU_DB_PASSWORD }),
  user: env.OKAZU_DB_USER,
  database: env.OKAZU_DB_NAME,
}
const clock = env.OKAZU_TEST_CLOCK ? testClock() : null
mkdirSync(env.OKAZU_DATA, { recursive: true, mode: 0o700 })

const folder = new URL('src/db/migrations/', SERVER_FOLDER)
const migrated = await migrate(address, folder, async (from) => {
  const name = `${stamp(Date.now())}-before-migration-after-${parse(from).name}`
  const path = await copyData(address, join(env.OKAZU_DATA, 'backups'), name)
  console.log(`A copy of the data is in ${path}`)
}).catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error))
  process.exit(3)
})
if (migrated.length > 0) log.info({ migrated }, 'migrated')
const pool = openPool(address)
const kitchenId = await firstKitchen(pool, env.OKAZU_NEW === '1', env.OKAZU_DEMO_EVENINGS)
const printer = simulatedPrinter(join(env.OKAZU_DATA, 'printed'), clock?.now ?? Date.now)
const network = readNetwork()
const server = await startServer({
  pool,
  kitchenId,
  port: env.OKAZU_PORT,
  webFolder: env.OKAZU_WEB,
  log,
  clock,
  printer,
  network,
  dataFolder: env.OKAZU_DATA,
  migrations: migrationsIn(folder),
  paperWorker: PAPER_WORKER,
  backUp: env.OKAZU_BACKUPS === 'on' ? () => backUpHourly(address, join(env.OKAZU_DATA, 'backups'), Date.now()) : null,
}).catch(async (error: unknown) => {
  await pool.end()
  if (error instanceof Error && 'code' in error && error.code === 'EADDRINUSE') {
    console.error(
      `Port ${env.OKAZU_PORT} is taken by another program: set OKAZU_PORT to a free one, as in OKAZU_PORT=8426 npm start`,
    )
    process.exit(3)
  }
  throw error
})
for (const line of whereToOpen(network, server.port)) console.log(line)
for (const line of await wayIn(pool, kitchenId, baseOf(network, server.port), Date.now())) console.log(line)

/** 2026-11-29T0102Z, as a name of a file. */
function stamp(ms: number): string {
  return new Date(ms).toISOString().slice(0, 16).replace(':', '') + 'Z'
}

function readNetwork() {
  try {
    return networkOf(env)
  } catch (error) {
    console.error(error instanceof Error ? error.message : String(error))
    process.exit(3)
  }
}

let isStopping = false
const stop = () => {
  if (isStopping) return
  isStopping = true
  void server
    .stop()
    .then(() => pool.end())
    .then(() => process.exit(0))
}
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
