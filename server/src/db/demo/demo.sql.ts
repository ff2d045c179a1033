import type { Kitchen } from 'contract/kitchen'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../pool'

export type KitchenHead = Omit<Kitchen, 'stations' | 'staff' | 'lots'>

export async function hasKitchen(db: Db, kitchenId: string): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>('SELECT id FROM kitchen WHERE id = ?', [kitchenId])
  return rows.length > 0
}

export async function insertKitchen(
  connection: PoolConnection,
  head: KitchenHead,
  stations: readonly Kitchen['stations'][number][],
  staff: readonly Kitchen['staff'][number][],
): Promise<void> {
  await connection.execute(
    `INSERT INTO kitchen (id, name, time_zone, locale, rule_set, tools, boat_every_min) VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [head.id, head.name, head.timeZone, head.locale, head.ruleSet, JSON.stringify(head.tools), head.boatEveryMin],
  )
  for (const [position, one] of stations.entries()) {
    await connection.execute(
      'INSERT INTO station (kitchen_id, id, name, kind, power_w, cap_portions, position) VALUES (?, ?, ?, ?, ?, ?, ?)',
      [head.id, one.id, one.name, one.kind, one.powerW, one.capPortions, position],
    )
  }
  for (const [position, one] of staff.entries()) {
    await connection.execute('INSERT INTO staff (kitchen_id, id, name, role, position) VALUES (?, ?, ?, ?, ?)', [
      head.id,
      one.id,
      one.name,
      one.role,
      position,
    ])
  }
}

export type NewLot = { id: string; name: string; grain: string; cookedAtMs: number; massG: number }

export async function insertLots(
  connection: PoolConnection,
  kitchenId: string,
  lots: readonly NewLot[],
): Promise<void> {
  for (const lot of lots) {
    await connection.execute(
      'INSERT INTO rice_lot (kitchen_id, id, name, grain, cooked_at_ms, mass_g) VALUES (?, ?, ?, ?, ?, ?)',
      [kitchenId, lot.id, lot.name, lot.grain, lot.cookedAtMs, lot.massG],
    )
  }
}

/** When the newest lot was cooked, and the highest number among names such as R-19. */
export async function newestLot(db: Db, kitchenId: string): Promise<{ cookedAtMs: number; number: number }> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT COALESCE(MAX(cooked_at_ms), 0) AS cookedAtMs, COALESCE(MAX(CAST(SUBSTRING(id, 3) AS INT)), 0) AS number
       FROM rice_lot WHERE kitchen_id = ?`,
    [kitchenId],
  )
  return { cookedAtMs: Number(rows[0]?.['cookedAtMs']), number: Number(rows[0]?.['number']) }
}

/** Open tickets of the demo whose promise passed before an instant and that nobody has fired. */
export async function staleDemoTickets(db: Db, kitchenId: string, beforeMs: number): Promise<string[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT id FROM ticket WHERE kitchen_id = ? AND is_open AND source IN ('demo', 'feed') AND promised_at_ms < ?
        AND NOT EXISTS (SELECT 1 FROM run_part WHERE run_part.kitchen_id = ticket.kitchen_id AND run_part.ticket_id = ticket.id)`,
    [kitchenId, beforeMs],
  )
  return rows.map((row) => String(row['id']))
}

export async function countOpenTickets(db: Db, kitchenId: string): Promise<number> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT COUNT(*) AS n FROM ticket WHERE kitchen_id = ? AND is_open',
    [kitchenId],
  )
  return Number(rows[0]?.['n'])
}
