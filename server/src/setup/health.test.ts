import { Health } from 'contract/health'
import { mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { measureHealth, type HealthSource } from './health'

let kitchen: TestKitchen
let dataFolder = ''
beforeEach(async () => {
  kitchen = await openTestKitchen()
  // Health compares with the database's own time.
  kitchen.clock.moveToMs(Date.now())
  dataFolder = mkdtempSync(join(tmpdir(), 'okazu-health-'))
})
afterEach(async () => {
  rmSync(dataFolder, { recursive: true })
  await kitchen.close()
})
const measure = (change: Partial<HealthSource> = {}) =>
  measureHealth({ pool: kitchen.pool, now: kitchen.clock.now, dataFolder, migrations: [], ...change })
const copyMade = (hoursAgo: number) => {
  const path = join(dataFolder, 'backups', 'kitchen.sql.gz')
  mkdirSync(join(dataFolder, 'backups'), { recursive: true })
  writeFileSync(path, '')
  const at = new Date(kitchen.clock.now() - hoursAgo * 3_600_000)
  utimesSync(path, at, at)
}

test('a kitchen in order: 200, its newest migration, and no copy of the data yet', async () => {
  const { status, json } = await send(kitchen.app, 'GET', '/health')
  expect(status).toBe(200)
  const { checks } = Health.parse(json)
  expect(checks.database).toMatchObject({ status: 'pass', answeredInMs: expect.any(Number) })
  expect(checks.migrations).toEqual({ status: 'pass', newest: expect.stringMatching(/^\d{4}_.*\.sql$/), missing: [] })
  expect(checks.clock).toEqual({ status: 'pass', behindRecordS: 0, fromDatabaseS: 0 })
})

test('a migration that this program wants and the data lacks, or the other way round', async () => {
  const { checks } = await measure({ migrations: ['9999_tomorrow.sql'] })
  expect(checks.migrations).toMatchObject({ status: 'fail', missing: ['9999_tomorrow.sql'] })
})

test.each([
  [1, 'pass'],
  [49, 'warn'],
] as const)('a copy of the data of %d hours ago: %s', async (hoursAgo, status) => {
  copyMade(hoursAgo)
  const { checks } = await measure()
  expect(checks.backup).toEqual({
    status,
    newestAtMs: expect.closeTo(kitchen.clock.now() - hoursAgo * 3_600_000, -4) as number,
  })
})

test('a clock set back behind what was recorded is a failure, by how much', async () => {
  const nowMs = kitchen.clock.now()
  await inTransaction(kitchen.pool, (connection) =>
    announce(connection, kitchen.kitchenId, nowMs, [{ topic: 'book', key: '' }]),
  )
  kitchen.clock.moveToMs(nowMs - 600_000)
  const { status, json } = await send(kitchen.app, 'GET', '/health')
  expect(status).toBe(503)
  const { clock } = Health.parse(json).checks
  expect(clock.status).toBe('fail')
  expect(clock.behindRecordS).toBeGreaterThanOrEqual(598)
  expect(clock.fromDatabaseS).toBeLessThanOrEqual(-598)
})

test('a data folder that is gone, and none known', async () => {
  expect((await measure({ dataFolder: join(dataFolder, 'gone') })).checks.disk).toEqual({
    status: 'fail',
    freeMiB: null,
  })
  expect((await measure({ dataFolder: null })).checks.disk).toEqual({ status: 'warn', freeMiB: null })
  expect((await measure()).checks.disk.freeMiB).toBeGreaterThan(0)
})
