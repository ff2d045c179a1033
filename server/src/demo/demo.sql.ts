import type { Kitchen } from 'contract/kitchen'
import type { RicePlace, RicePolicy, RiceVessel } from 'contract/riceHouse'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'

type KitchenHead = Omit<Kitchen, 'stations' | 'staff'>

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
    `INSERT INTO kitchen (id, name, time_zone, locale, currency, rule_set, tools, instruments, waves)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      head.id,
      head.name,
      head.timeZone,
      head.locale,
      head.currency,
      head.ruleSet,
      JSON.stringify(head.tools),
      JSON.stringify(head.instruments),
      JSON.stringify(head.waves),
    ],
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

/** Vessels, places and policy; `firstLotNumber` null keeps the kitchen's numbering. */
export async function insertRiceHouse(
  connection: PoolConnection,
  kitchenId: string,
  firstLotNumber: number | null,
  policy: RicePolicy,
  vessels: readonly RiceVessel[],
  places: readonly RicePlace[],
): Promise<void> {
  await connection.execute(
    'UPDATE kitchen SET rice_policy = ?, next_lot_number = COALESCE(?, next_lot_number) WHERE id = ?',
    [JSON.stringify(policy), firstLotNumber, kitchenId],
  )
  for (const [position, one] of vessels.entries()) {
    await connection.execute(
      `INSERT INTO rice_vessel (kitchen_id, id, name, method, volume_l, count, steam_g_per_min, loads_weighed, position)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
      [kitchenId, one.id, one.name, one.method, one.volumeL, one.count, one.steamGPerMin, one.loadsWeighed, position],
    )
  }
  for (const [position, one] of places.entries()) {
    await connection.execute(
      'INSERT INTO rice_place (kitchen_id, id, name, kind, air_temp_c, trays, position) VALUES (?, ?, ?, ?, ?, ?, ?)',
      [kitchenId, one.id, one.name, one.kind, one.airTempC, one.trays, position],
    )
  }
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
