import { rowsAs } from '../../db/rows'
import type { Probe } from 'contract/rice'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../../db/pool'

export type ProbeState = Probe & { seed: number; sinceMs: number | null; readAtMs: number | null }

const OFF: ProbeState = { lotId: null, fault: 'none', seed: 1, sinceMs: null, readAtMs: null }

export async function findProbe(db: Db, kitchenId: string, lock = false): Promise<ProbeState> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT lot_id AS lotId, fault, seed, since_ms AS sinceMs, read_at_ms AS readAtMs FROM probe WHERE kitchen_id = ?
      ${lock ? 'FOR UPDATE' : ''}`,
    [kitchenId],
  )
  return rowsAs<ProbeState>(rows)[0] ?? OFF
}

export async function saveProbe(connection: PoolConnection, kitchenId: string, probe: ProbeState): Promise<void> {
  await connection.execute(
    `INSERT INTO probe (kitchen_id, lot_id, fault, seed, since_ms, read_at_ms) VALUES (?, ?, ?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE lot_id = VALUES(lot_id), fault = VALUES(fault), seed = VALUES(seed),
                             since_ms = VALUES(since_ms), read_at_ms = VALUES(read_at_ms)`,
    [kitchenId, probe.lotId, probe.fault, probe.seed, probe.sinceMs, probe.readAtMs],
  )
}
