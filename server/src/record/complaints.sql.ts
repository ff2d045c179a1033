import { NotedComplaint, type ComplaintSubject, type ComplaintWord } from 'contract/faults'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { rowsAs } from '../db/rows'
import { checkSameEvent } from '../db/sameEvent'
import { Problem } from '../http/problems'
import { daySpan } from './daySpan'

const MOST = 500

type Kept = Record<'runId' | 'ticketId' | 'day' | 'dishId', string | null>

type Complained = Extract<ComplaintWord, { kind: 'complained' }>
type TakenBack = Extract<ComplaintWord, { kind: 'takenBack' }>

/** The newest complaints, newest first, those that were taken back among them. */
export async function listComplaints(db: Db, kitchenId: string): Promise<NotedComplaint[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT id, what, run_id AS runId, ticket_id AS ticketId, DATE_FORMAT(day, '%Y-%m-%d') AS day, dish_id AS dishId,
            staff_id AS staffId, at_ms AS atMs, taken_back_at_ms AS takenBackAtMs
       FROM complaint WHERE kitchen_id = ? ORDER BY at_ms DESC, id DESC LIMIT ${MOST}`,
    [kitchenId],
  )
  return rowsAs<Kept>(rows).map(({ runId, ticketId, day, dishId, ...row }) =>
    NotedComplaint.parse({
      ...row,
      of: runId ? { kind: 'run', runId } : ticketId ? { kind: 'ticket', ticketId } : { kind: 'evening', day, dishId },
    }),
  )
}

/** Keeps a complaint; the same id again changes nothing. @throws {Problem} unknown-run, not-found, id-taken */
export async function addComplaint(
  connection: PoolConnection,
  kitchenId: string,
  { id, of, what, atMs }: Complained,
  staffId: string,
  nowMs: number,
): Promise<void> {
  await checkSubject(connection, kitchenId, of)
  const span = of.kind === 'evening' ? await daySpan(connection, kitchenId, of.day) : null
  const [result] = await connection.execute<ResultSetHeader>(
    `INSERT IGNORE INTO complaint (kitchen_id, id, what, run_id, ticket_id, day, day_from_ms, day_to_ms, dish_id, staff_id,
                                   at_ms, received_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      kitchenId,
      id,
      what,
      of.kind === 'run' ? of.runId : null,
      of.kind === 'ticket' ? of.ticketId : null,
      of.kind === 'evening' ? of.day : null,
      span?.fromMs ?? null,
      span?.toMs ?? null,
      of.kind === 'evening' ? of.dishId : null,
      staffId,
      atMs,
      nowMs,
    ],
  )
  if (result.affectedRows > 0) return
  await checkSameEvent(connection, 'complaint', kitchenId, { id, subjectId: subjectIdOf(of), kind: what })
}

const subjectIdOf = (of: ComplaintSubject): string =>
  of.kind === 'run' ? of.runId : of.kind === 'ticket' ? of.ticketId : of.day

/** Takes a complaint back, once: it stays in the list. @throws {Problem} unknown-complaint */
export async function takeBackComplaint(
  connection: PoolConnection,
  kitchenId: string,
  { complaintId, atMs }: TakenBack,
  staffId: string,
): Promise<void> {
  const [result] = await connection.execute<ResultSetHeader>(
    `UPDATE complaint SET taken_back_at_ms = COALESCE(taken_back_at_ms, ?), taken_back_by = COALESCE(taken_back_by, ?)
      WHERE kitchen_id = ? AND id = ?`,
    [atMs, staffId, kitchenId, complaintId],
  )
  if (result.affectedRows > 0) return
  throw new Problem('unknown-complaint', { detail: `no complaint ${complaintId}: send the complaint first` })
}

async function checkSubject(connection: PoolConnection, kitchenId: string, of: ComplaintSubject): Promise<void> {
  switch (of.kind) {
    case 'run':
      if (await isThere(connection, 'run', kitchenId, of.runId)) return
      throw new Problem('unknown-run', { detail: `no run ${of.runId}: look for it in the record` })
    case 'ticket':
      if (await isThere(connection, 'ticket', kitchenId, of.ticketId)) return
      throw new Problem('not-found', { detail: `no ticket ${of.ticketId}: look at its runs in the record` })
    case 'evening':
      return
  }
}

async function isThere(
  connection: PoolConnection,
  table: 'run' | 'ticket',
  kitchenId: string,
  id: string,
): Promise<boolean> {
  const [rows] = await connection.execute<RowDataPacket[]>(`SELECT id FROM ${table} WHERE kitchen_id = ? AND id = ?`, [
    kitchenId,
    id,
  ])
  return rows.length > 0
}
