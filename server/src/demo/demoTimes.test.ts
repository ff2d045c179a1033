import type { RowDataPacket } from 'mysql2'
import { openTestKitchen } from '../db/test/testKitchen'

test('the evenings of the sample kitchen lie in the past, every dish was cooked, and every run of them is over', async () => {
  const kitchen = await openTestKitchen(2)
  try {
    const [rows] = await kitchen.pool.query<RowDataPacket[]>(
      `SELECT (SELECT MAX(at_ms) FROM outbox) AS newestMs, (SELECT COUNT(*) FROM run WHERE state = 'open') AS open,
              (SELECT COUNT(*) FROM run) AS runs, (SELECT COUNT(DISTINCT dish_id) FROM run) AS dishes`,
    )
    expect(Number(rows[0]!['newestMs'])).toBeLessThanOrEqual(Date.now())
    expect(Number(rows[0]!['open'])).toBe(0)
    expect(Number(rows[0]!['runs'])).toBeGreaterThan(30)
    expect(Number(rows[0]!['dishes'])).toBe(7)
  } finally {
    await kitchen.close()
  }
})
