import { TicketList } from 'contract/ticket'
import type { RowDataPacket } from 'mysql2'
import { newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { announce, changesAfter, newestChangeNo, oldestChangeNo, trimOutbox } from '../db/outbox'
import { inTransaction } from '../db/pool'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

/** Reads a stream until it has seen `count` changes. */
async function readChanges(path: string, count: number, headers: Record<string, string> = {}) {
  const abort = new AbortController()
  const response = await kitchen.app.request(path, { headers, signal: abort.signal })
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  let text = ''
  while (!text.includes('event: hello') || (text.match(/event: change/g) ?? []).length < count) {
    const { value, done } = await reader.read()
    if (done) break
    text += value
  }
  await reader.cancel()
  return text
}

test('concurrent writers get numbers without a gap, in the order of their commits', async () => {
  const before = await newestChangeNo(kitchen.pool, kitchen.kitchenId)
  const writers = Array.from({ length: 40 }, (_, n) =>
    inTransaction(kitchen.pool, async (connection) => {
      await announce(connection, kitchen.kitchenId, 0, [{ topic: 'tickets', key: String(n) }])
      await new Promise((resolve) => setTimeout(resolve, Math.random() * 5))
    }),
  )
  const seen: number[] = []
  let last = before
  const isDone = Promise.all(writers).then(() => true)
  for (let finished = false; !finished;) {
    finished = await Promise.race([isDone, new Promise<false>((resolve) => setTimeout(() => resolve(false), 2))])
    for (const change of await changesAfter(kitchen.pool, kitchen.kitchenId, last)) {
      seen.push(change.no)
      last = change.no
    }
  }
  expect(seen).toEqual(Array.from({ length: 40 }, (_, n) => before + n + 1))
})

test('a transaction that is rolled back announces nothing', async () => {
  const before = await newestChangeNo(kitchen.pool, kitchen.kitchenId)
  await inTransaction(kitchen.pool, async (connection) => {
    await announce(connection, kitchen.kitchenId, 0, [{ topic: 'book', key: '' }])
    throw new Error('no')
  }).catch(() => undefined)
  expect(await newestChangeNo(kitchen.pool, kitchen.kitchenId)).toBe(before)
})

test('an open screen hears of a ticket posted elsewhere', async () => {
  const heard = readChanges('/api/live', 1)
  await new Promise((resolve) => setTimeout(resolve, 50))
  const { json } = await send(kitchen.app, 'POST', '/tickets', newTicket('plain', 1, kitchen.clock.now() + 600_000))
  expect(await heard).toContain(TicketList.parse(json).tickets[0]!.id)
})

test('a screen that was away resumes from the last number it saw', async () => {
  const from = await newestChangeNo(kitchen.pool, kitchen.kitchenId)
  for (let n = 0; n < 3; n += 1)
    await send(kitchen.app, 'POST', '/tickets', newTicket('plain', 1, kitchen.clock.now() + 600_000))
  const text = await readChanges('/api/live', 3, { 'last-event-id': String(from) })
  expect([...text.matchAll(/^id: (\d+)$/gm)].map((match) => Number(match[1]))).toEqual([
    from,
    from + 1,
    from + 2,
    from + 3,
  ])
})

test('a number from another database is answered with a reset', async () => {
  expect(await readChanges('/api/live?after=99999999', 0)).toContain('"isReset":true')
})

test('every change stands under a number of its own', async () => {
  const [rows] = await kitchen.pool.query<RowDataPacket[]>('SELECT MAX(no) AS newest, COUNT(*) AS n FROM outbox')
  expect(Number(rows[0]!['n'])).toBe(Number(rows[0]!['newest']))
})

test('changes are trimmed by age, and a screen that was away for longer asks for everything again', async () => {
  const { pool, kitchenId, clock } = kitchen
  const say = (atMs: number) =>
    inTransaction(pool, (connection) => announce(connection, kitchenId, atMs, [{ topic: 'book', key: '' }]))
  const from = await newestChangeNo(pool, kitchenId)
  for (let n = 0; n < 3; n += 1) await say(clock.now())
  expect(await trimOutbox(pool, kitchenId, clock.now() + 60_000)).toBeGreaterThanOrEqual(3)
  expect(await oldestChangeNo(pool, kitchenId)).toBeNull()
  await say(clock.now())
  expect(await oldestChangeNo(pool, kitchenId)).toBe(from + 4)
  expect(await readChanges(`/api/live?after=${from}`, 0)).toContain('"isReset":true')
  expect(await readChanges(`/api/live?after=${from + 3}`, 1)).toContain('"isReset":false')
})
