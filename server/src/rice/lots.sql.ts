import { Lot, LotEvent, LotRow, type SaidOfLot } from 'contract/rice'
import type { LotState } from 'core/rice/lot/lotState'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { checkSameEvent } from '../db/sameEvent'

const LOT = `
  SELECT id, name, number, grain, origin, born_at_ms AS bornAtMs, cooked_at_ms AS cookedAtMs, mass_g AS massG,
         temp_c AS tempC, temp_f AS tempF, place, place_id AS placeId, rule_set AS ruleSet, \`load\` FROM rice_lot`

const LotHead = Lot.omit({ events: true })

/** Lots that are not over, oldest first, with everything said of them. */
export async function listOpenLots(db: Db, kitchenId: string): Promise<Lot[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `${LOT} WHERE kitchen_id = ? AND is_open ORDER BY COALESCE(cooked_at_ms, born_at_ms), id`,
    [kitchenId],
  )
  return withEvents(db, kitchenId, rows)
}

export async function findLot(db: Db, kitchenId: string, id: string): Promise<Lot | null> {
  const [rows] = await db.execute<RowDataPacket[]>(`${LOT} WHERE kitchen_id = ? AND id = ?`, [kitchenId, id])
  const [lot] = await withEvents(db, kitchenId, rows)
  return lot ?? null
}

/** Locks lots until commit, always in one order; those that exist. */
export async function lockLots(connection: PoolConnection, kitchenId: string, ids: readonly string[]): Promise<Lot[]> {
  if (ids.length === 0) return []
  const [rows] = await connection.query<RowDataPacket[]>(
    `${LOT} WHERE kitchen_id = ? AND id IN (?) ORDER BY id FOR UPDATE`,
    [kitchenId, ids],
  )
  return withEvents(connection, kitchenId, rows)
}

/** Lots that rice may be drawn from, locked until commit: few, since lists keep what their events come to. */
export async function lockReadyLots(connection: PoolConnection, kitchenId: string): Promise<Lot[]> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    `${LOT} WHERE kitchen_id = ? AND is_open AND stage IN ('ready', 'tempering') ORDER BY id FOR UPDATE`,
    [kitchenId],
  )
  return withEvents(connection, kitchenId, rows)
}

/** Lots spread, begun or over between two instants, oldest first: for the cooling log. */
export async function listLotsBetween(db: Db, kitchenId: string, fromMs: number, toMs: number): Promise<Lot[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `${LOT} WHERE kitchen_id = ? AND born_at_ms >= ? AND born_at_ms < ? ORDER BY born_at_ms, id LIMIT 2000`,
    [kitchenId, fromMs, toMs],
  )
  return withEvents(db, kitchenId, rows)
}

async function withEvents(db: Db, kitchenId: string, rows: RowDataPacket[]): Promise<Lot[]> {
  if (rows.length === 0) return []
  const [events] = await db.query<RowDataPacket[]>(
    'SELECT lot_id AS lotId, body, received_at_ms AS heardMs FROM rice_event WHERE kitchen_id = ? AND lot_id IN (?) ORDER BY at_ms, counter, id',
    [kitchenId, rows.map((row) => String(row['id']))],
  )
  const byLot = new Map<string, LotEvent[]>()
  for (const { lotId, body, heardMs } of events) {
    const list = byLot.get(String(lotId)) ?? []
    list.push(LotEvent.parse({ ...(body as object), heardMs: Number(heardMs) }))
    byLot.set(String(lotId), list)
  }
  return rows.map((row) => ({ ...LotHead.parse(row), events: byLot.get(String(row['id'])) ?? [] }))
}

/** Locks the kitchen's row until commit: a lot sent twice at once waits here and is then found. */
export async function lockNumbers(connection: PoolConnection, kitchenId: string): Promise<void> {
  await connection.execute('SELECT id FROM kitchen WHERE id = ? FOR UPDATE', [kitchenId])
}

/** The next lot number of the kitchen; its row stays locked until commit. */
export async function takeLotNumber(connection: PoolConnection, kitchenId: string): Promise<number> {
  const [result] = await connection.execute<ResultSetHeader>(
    'UPDATE kitchen SET next_lot_number = LAST_INSERT_ID(next_lot_number) + 1 WHERE id = ?',
    [kitchenId],
  )
  return result.insertId
}

export async function insertLot(
  connection: PoolConnection,
  kitchenId: string,
  lot: Omit<Lot, 'events'>,
): Promise<void> {
  await connection.execute(
    `INSERT INTO rice_lot (kitchen_id, id, name, number, grain, origin, born_at_ms, cooked_at_ms, mass_g, temp_c, temp_f,
                           place, place_id, rule_set, \`load\`, stage)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, 'cooking')`,
    [
      kitchenId,
      lot.id,
      lot.name,
      lot.number,
      lot.grain,
      lot.origin,
      lot.bornAtMs,
      lot.cookedAtMs,
      lot.massG,
      lot.tempC,
      lot.tempF ?? null,
      lot.place,
      lot.placeId,
      lot.ruleSet,
      lot.load && JSON.stringify(lot.load),
    ],
  )
}

/** Adds an event; false where it was there before. @throws {Problem} id-taken */
export async function insertLotEvent(
  connection: PoolConnection,
  kitchenId: string,
  event: LotEvent,
  nowMs: number,
): Promise<boolean> {
  const [result] = await connection.execute<ResultSetHeader>(
    `INSERT IGNORE INTO rice_event (kitchen_id, id, lot_id, device_id, kind, at_ms, counter, body, received_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      kitchenId,
      event.id,
      event.lotId,
      event.deviceId,
      event.kind,
      event.atMs,
      event.counter,
      JSON.stringify(event),
      nowMs,
    ],
  )
  if (result.affectedRows > 0) return true
  await checkSameEvent(connection, 'rice_event', kitchenId, { id: event.id, subjectId: event.lotId, kind: event.kind })
  return false
}

/** Keeps what could not be taken, each id once. */
export async function keepRefusedLotEvent(
  connection: PoolConnection,
  kitchenId: string,
  event: LotEvent | SaidOfLot,
  reason: string,
  nowMs: number,
): Promise<void> {
  await connection.execute(
    `INSERT IGNORE INTO rice_refused_event (kitchen_id, id, lot_id, reason, body, received_at_ms)
     VALUES (?, ?, ?, ?, ?, ?)`,
    [kitchenId, event.id, event.lotId, reason, JSON.stringify(event), nowMs],
  )
}

/** Writes what a lot's events come to. */
export async function saveLotState(
  connection: PoolConnection,
  kitchenId: string,
  lotId: string,
  state: LotState,
): Promise<void> {
  await connection.execute(
    `UPDATE rice_lot SET stage = ?, left_g = ?, use_by_ms = ?, ended_at_ms = ?, end_reason = ?, is_open = ?
      WHERE kitchen_id = ? AND id = ?`,
    [
      state.stage,
      state.massG,
      state.useByMs,
      state.end?.atMs ?? null,
      state.end?.reason ?? null,
      state.end === null,
      kitchenId,
      lotId,
    ],
  )
}

export type LotPageKey = { bornAtMs: number; id: string }

/** Lots, newest first, from just before a key: a page of the past. */
export async function listPastLots(
  db: Db,
  kitchenId: string,
  before: LotPageKey | null,
  limit: number,
): Promise<LotRow[]> {
  const key = before ?? { bornAtMs: Number.MAX_SAFE_INTEGER, id: '~' }
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT id, name, grain, origin, born_at_ms AS bornAtMs, cooked_at_ms AS cookedAtMs, ended_at_ms AS endedAtMs, stage,
            end_reason AS reason
       FROM rice_lot
      WHERE kitchen_id = ? AND (born_at_ms < ? OR (born_at_ms = ? AND id < ?)) AND NOT is_open
      ORDER BY born_at_ms DESC, id DESC LIMIT ${Math.trunc(limit)}`,
    [kitchenId, key.bornAtMs, key.bornAtMs, key.id],
  )
  return rows.map((row) => LotRow.parse(row))
}
