import type { RowDataPacket } from 'mysql2'
import type { Pool } from 'mysql2/promise'
import { localDay } from 'core/time/localTime'
import { copyRuns } from './test/copyRuns'
import { openTestKitchen, send, type TestKitchen } from './test/testKitchen'

/** Every read of the API against tables as they are after months: none may walk through a table that grows. */
const RUNS = 4000
const DAYS_APART = 12
const WORDS = 20_000
/** A read may look at this share of a table that grows; what is of tonight or of one page is far less. */
const MAX_SHARE = 0.2

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openTestKitchen(2)
  const { pool, kitchenId } = kitchen
  await copyRuns(pool, kitchenId, RUNS, DAYS_APART)
  await pool.query(
    `INSERT INTO station_event (kitchen_id, id, station_id, kind, device_id, at_ms, received_at_ms)
     SELECT ?, UUID(), ELT(1 + seq MOD 2, 'ring-a', 'ring-b'), 'washed', 'tablet', 1700000000000 + seq, 1700000000000 + seq
       FROM seq_1_to_${WORDS}`,
    [kitchenId],
  )
  await pool.query(
    `INSERT INTO tasting (kitchen_id, id, dish_id, dish_version, verdict, strength, at_ms, added, received_at_ms)
     SELECT ?, UUID(), ELT(1 + seq MOD 8, 'plain', 'duck', 'a', 'b', 'c', 'd', 'e', 'f'), 1, 'bland', 'weak', 1700000000000 + seq, '[]', 0
       FROM seq_1_to_${WORDS}`,
    [kitchenId],
  )
  await pool.query(
    `INSERT IGNORE INTO rice_demand (kitchen_id, day, minute, dish_id, portions, source)
     SELECT ?, DATE_SUB(CURRENT_DATE, INTERVAL 1000 + seq DIV 10 DAY), 15 * (seq MOD 10), 'duck', 3, 'file' FROM seq_1_to_${WORDS}`,
    [kitchenId],
  )
  await pool.query(
    `INSERT INTO line_order (kitchen_id, no, told, device_id, made_at_ms)
     SELECT ?, seq, '{"key":"0123456789abcdef","batches":[],"why":[]}', 'tablet', 1700000000000 + seq FROM seq_1_to_${WORDS}`,
    [kitchenId],
  )
  await pool.query(
    `INSERT INTO line_wish (kitchen_id, id, subject, wish, at_ms, received_at_ms)
     SELECT ?, UUID(), CONCAT('pin ', seq), '{}', 1700000000000 + seq, 0 FROM seq_1_to_${WORDS}`,
    [kitchenId],
  )
  // What the database knows of a table decides the index that it takes: of all of them, or a read is one way today and another tomorrow.
  await pool.query(`ANALYZE TABLE ${[...(await sizes(pool)).keys()].map((name) => `\`${name}\``).join(', ')}`)
}, 180_000)
afterAll(() => kitchen.close())

type Watched = Record<'execute' | 'query', (...values: unknown[]) => unknown>
type Asked = { sql: string; values: unknown[] }

/** Everything that is asked of the database while `work` runs. */
async function listen(pool: Pool, work: () => Promise<unknown>): Promise<Asked[]> {
  const spies: jest.SpyInstance<unknown, unknown[]>[] = []
  const watch = (on: { execute: unknown; query: unknown }) =>
    spies.push(jest.spyOn(on as Watched, 'execute'), jest.spyOn(on as Watched, 'query'))
  const connect = pool.getConnection.bind(pool)
  watch(pool)
  jest.spyOn(pool, 'getConnection').mockImplementation(async () => {
    const connection = await connect()
    watch(connection)
    return connection
  })
  await work()
  const asked = spies.flatMap(({ mock }) =>
    mock.calls.map(([sql, values]) => ({ sql: String(sql), values: (values ?? []) as unknown[] })),
  )
  jest.restoreAllMocks()
  return asked
}

/** How many rows each table has. */
async function sizes(pool: Pool): Promise<Map<string, number>> {
  const [tables] = await pool.query<RowDataPacket[]>('SHOW TABLES')
  const counted = tables.map(async (row): Promise<[string, number]> => {
    const name = String(Object.values(row)[0])
    const [[count]] = await pool.query<RowDataPacket[]>(`SELECT COUNT(*) AS n FROM \`${name}\``)
    return [name, Number(count?.['n'])]
  })
  return new Map(await Promise.all(counted))
}

/** Tables of a statement that are walked through: `table: rows looked at of rows there are`. */
async function walked(pool: Pool, { sql, values }: Asked, rowsOf: ReadonlyMap<string, number>): Promise<string[]> {
  const [steps] = await pool.query<RowDataPacket[]>(`ANALYZE ${sql}`, values)
  return steps.flatMap((step) => {
    const alias = String(step['table'])
    const name = rowsOf.has(alias) ? alias : (new RegExp(`(\\w+) AS ${alias}\\b`).exec(sql)?.[1] ?? alias)
    const size = rowsOf.get(name) ?? 0
    const rows = Number(step['r_rows'])
    return size > 1000 && rows > size * MAX_SHARE ? [`${name}: ${rows} of ${size} by ${step['key'] ?? 'no index'}`] : []
  })
}

test('no read of a screen walks through a table that grows', async () => {
  const { pool, app, clock } = kitchen
  const today = localDay(clock.now(), 'Europe/London')
  const { runs } = (await send(app, 'GET', '/record/runs')).json as { runs: { id: string }[] }
  const { lots } = (await send(app, 'GET', '/rice/lots')).json as { lots: { id: string }[] }
  const { parts } = (await send(app, 'GET', `/runs/${runs[0]!.id}`)).json as { parts: { ticketId: string }[] }
  const { ticketId } = parts[0]!
  const paths = [
    '/kitchen',
    '/health',
    '/line',
    '/pass',
    '/tickets',
    '/runs',
    `/runs/${runs[0]!.id}`,
    `/runs/${runs[0]!.id}/comparison`,
    `/tickets/${ticketId}/comparison`,
    `/record/evenings/${today}/comparison`,
    '/complaints',
    '/stations',
    '/stations/ring-a/plate',
    '/stations/ring-a/plate/versions',
    '/learned/station/ring-a',
    '/learned/dish/duck',
    '/record/runs',
    `/record/runs?day=${today}`,
    `/record/evenings/${today}`,
    '/record/runs?dish=duck',
    '/rice/lots',
    '/rice/lots/past',
    '/rice/house',
    '/rice/tonight',
    `/rice/plan/${today}`,
    `/rice/lots/${lots[0]!.id}/trace`,
    '/rice/log.csv',
    '/rice/trace?ticket=1',
    '/dishes/duck/versions',
    '/mise/house',
    '/mise/cards',
    '/sample-kitchen',
    '/incoming-archive',
    '/mise/plans',
    '/mise/stock',
    '/dishes',
    '/tastings',
    '/ingredients',
    '/recipes',
    '/styles',
    '/feed',
    '/probe',
  ]
  const rowsOf = await sizes(pool)
  expect(rowsOf.get('run')).toBeGreaterThan(RUNS * 0.9)
  const found: string[] = []
  let reads = 0
  for (const path of paths) {
    const asked = await listen(pool, async () => {
      const { status } = await send(app, 'GET', path)
      // The time of a test is not the database's, which health says.
      if (status !== (path === '/health' ? 503 : 200)) found.push(`${path} answers ${status}`)
    })
    const selects = asked.filter(({ sql }) => /^\s*SELECT/i.test(sql))
    reads += selects.length
    for (const one of selects)
      for (const walk of await walked(pool, one, rowsOf))
        found.push(`${path} ${walk}: ${one.sql.replace(/\s+/g, ' ').slice(0, 200)}`)
  }
  expect(reads).toBeGreaterThan(2 * paths.length)
  expect([...new Set(found)]).toEqual([])
})
