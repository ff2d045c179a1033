import type { KitchenHead, NewKitchen, StationDraft } from 'contract/house'
import type { Kitchen } from 'contract/kitchen'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../../db/pool'

/** Scales to the gram, metric spoons, no ladles: what any kitchen has until it says more. */
const FIRST_TOOLS: Kitchen['tools'] = { system: 'metric', ladles: [], scaleResolutionG: 1, fineScale: null }
const FIRST_WAVES: Kitchen['waves'] = { spans: [], stayMin: 10 }

/** Every kitchen of the database, the one that was begun first in front. */
export async function listKitchenIds(db: Db): Promise<string[]> {
  const [rows] = await db.query<RowDataPacket[]>('SELECT id FROM kitchen ORDER BY begun_at_ms, id')
  return rows.map((row) => String(row['id']))
}

export async function isKitchen(db: Db, id: string): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>('SELECT 1 FROM kitchen WHERE id = ?', [id])
  return rows.length > 0
}

/** A kitchen with nothing in it. */
export async function insertEmptyKitchen(
  connection: PoolConnection,
  id: string,
  { name, timeZone, locale, currency, ruleSet }: NewKitchen,
  nowMs: number,
): Promise<void> {
  await connection.execute(
    `INSERT INTO kitchen (id, name, time_zone, locale, currency, rule_set, tools, waves, begun_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      id,
      name,
      timeZone,
      locale,
      currency,
      ruleSet,
      JSON.stringify(FIRST_TOOLS),
      JSON.stringify(FIRST_WAVES),
      Math.round(nowMs),
    ],
  )
}

export async function saveHead(connection: PoolConnection, kitchenId: string, head: KitchenHead): Promise<void> {
  await connection.execute('UPDATE kitchen SET name = ?, time_zone = ?, locale = ?, currency = ? WHERE id = ?', [
    head.name,
    head.timeZone,
    head.locale,
    head.currency,
    kitchenId,
  ])
}

export async function saveTools(connection: PoolConnection, kitchenId: string, tools: Kitchen['tools']): Promise<void> {
  await connection.execute('UPDATE kitchen SET tools = ? WHERE id = ?', [JSON.stringify(tools), kitchenId])
}

/** Whether there is a station of this id. */
export async function isStation(db: Db, kitchenId: string, id: string): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>('SELECT 1 FROM station WHERE kitchen_id = ? AND id = ?', [
    kitchenId,
    id,
  ])
  return rows.length > 0
}

/** Writes a station; a new one stands behind the others. */
export async function saveStation(
  connection: PoolConnection,
  kitchenId: string,
  id: string,
  { name, kind, powerW, capPortions }: StationDraft,
): Promise<void> {
  await connection.execute(
    `INSERT INTO station (kitchen_id, id, name, kind, power_w, cap_portions, position)
     SELECT ?, ?, ?, ?, ?, ?, last.next FROM (SELECT COALESCE(MAX(position) + 1, 0) AS next FROM station WHERE kitchen_id = ?) AS last
     ON DUPLICATE KEY UPDATE name = VALUES(name), kind = VALUES(kind), power_w = VALUES(power_w),
       cap_portions = VALUES(cap_portions)`,
    [kitchenId, id, name, kind, powerW, capPortions, kitchenId],
  )
}

/** How many runs a station has had: with any, it stays. */
export async function countRunsAt(db: Db, kitchenId: string, stationId: string): Promise<number> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT COUNT(*) AS n FROM run WHERE kitchen_id = ? AND station_id = ?',
    [kitchenId, stationId],
  )
  return Number(rows[0]?.['n'])
}

export async function removeStation(connection: PoolConnection, kitchenId: string, id: string): Promise<boolean> {
  await connection.execute('DELETE FROM station_version WHERE kitchen_id = ? AND station_id = ?', [kitchenId, id])
  const [result] = await connection.execute<ResultSetHeader>('DELETE FROM station WHERE kitchen_id = ? AND id = ?', [
    kitchenId,
    id,
  ])
  return result.affectedRows === 1
}
