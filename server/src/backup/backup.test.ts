import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openTestKitchen, type TestKitchen } from '../db/test/testKitchen'
import { backUp, backUpHourly, madeAtMs } from './backup'

let kitchen: TestKitchen
let folder = ''
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())
beforeEach(() => void (folder = mkdtempSync(join(tmpdir(), 'okazu-backups-'))))
afterEach(() => rmSync(folder, { recursive: true }))

const HOUR_MS = 3_600_000
const NOW_MS = Date.UTC(2026, 10, 30, 18, 30)
const address = async () => {
  const [[row]] = (await kitchen.pool.query('SELECT DATABASE() AS name')) as unknown as [[{ name: string }]]
  const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
  return { socketPath, user: 'root', database: row.name }
}

test('one an hour, named by its second; copies that somebody named stay', async () => {
  writeFileSync(join(folder, 'before-the-wedding.sql.gz'), '')
  writeFileSync(join(folder, 'okazu-2020-01-01T000000Z.sql.gz'), '')
  const at = await address()
  expect(await backUpHourly(at, folder, NOW_MS)).toBe(1)
  expect(await backUpHourly(at, folder, NOW_MS + HOUR_MS / 2)).toBe(0)
  expect(await backUpHourly(at, folder, NOW_MS + HOUR_MS)).toBe(1)
  expect(readdirSync(folder).sort()).toEqual([
    'before-the-wedding.sql.gz',
    'okazu-2020-01-01T000000Z.sql.gz',
    'okazu-2026-11-30T183000Z.sql.gz',
    'okazu-2026-11-30T193000Z.sql.gz',
  ])
})

test('what is not kept any more is let go', async () => {
  const old = Array.from({ length: 60 }, (_, i) => new Date(NOW_MS - (i + 1) * HOUR_MS).toISOString().slice(0, 19))
  for (const text of old) writeFileSync(join(folder, `okazu-${text.replaceAll(':', '')}Z.sql.gz`), '')
  await backUp(await address(), folder, NOW_MS)
  const kept = readdirSync(folder)
  expect(kept.length).toBeLessThan(30)
  expect(kept).toContain('okazu-2026-11-30T183000Z.sql.gz')
})

test('a clock that ran ahead for a day does not stop backups', async () => {
  const at = await address()
  await backUp(at, folder, NOW_MS + 24 * HOUR_MS)
  expect(await backUpHourly(at, folder, NOW_MS)).toBe(1)
})

test.each([
  ['okazu-2026-11-30T183000Z.sql.gz', NOW_MS],
  ['okazu-2026-11-30T183000Z.sql.gz.part', null],
  ['2026-11-30T1830Z-before-migration-after-0012_pass.sql.gz', null],
  ['okazu-2026-13-40T183000Z.sql.gz', null],
])('%s', (name, ms) => {
  expect(madeAtMs(name)).toBe(ms)
})
