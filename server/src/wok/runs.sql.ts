import { Dish } from 'contract/dish'
import { Run, RunEvent } from 'contract/run'
import { readingFor, type ReadingWhy, type RiceRead } from 'core/rice/reading/riceReading'
import type { Score } from 'core/wok/score'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { checkSameEvent } from '../db/sameEvent'
import { mapInTurns } from '../http/turns'

/** Begins a query for runs; `withPartsAndEvents` makes runs of its rows. */
export const RUNS = `
  SELECT id, dish_id AS dishId, dish_version AS dishVersion, dish_name AS dishName, station_id AS stationId,
         cook_id AS cookId, fired_at_ms AS firedAtMs, promised_at_ms AS promisedAtMs,
         hands_free AS handsFree, is_unconfirmed AS isUnconfirmed, twice_portions AS twicePortions, marks, washed_at_ms AS washedAtMs, modifiers, allergies, rice_reading AS riceReading,
         score, state, ended_at_ms AS endedAtMs FROM run`

export async function findRun(db: Db, kitchenId: string, id: string): Promise<Run | null> {
  const [rows] = await db.execute<RowDataPacket[]>(`${RUNS} WHERE kitchen_id = ? AND id = ?`, [kitchenId, id])
  const [run] = await withPartsAndEvents(db, kitchenId, rows)
  return run ?? null
}

export async function listOpenRuns(db: Db, kitchenId: string): Promise<Run[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `${RUNS} WHERE kitchen_id = ? AND state = 'open' ORDER BY fired_at_ms, id`,
    [kitchenId],
  )
  return withPartsAndEvents(db, kitchenId, rows)
}

/** Rows of `RUNS` with what they fried, what was said of them, and what rice they drew on. */
export async function withPartsAndEvents(db: Db, kitchenId: string, rows: RowDataPacket[]): Promise<Run[]> {
  if (rows.length === 0) return []
  const ids = rows.map((row) => String(row['id']))
  const [parts] = await db.query<RowDataPacket[]>(
    `SELECT part.run_id AS runId, part.item_id AS itemId, part.ticket_id AS ticketId, part.portions, item.modifiers,
            ticket.number AS ticketNumber
       FROM run_part AS part
       JOIN ticket_item AS item ON item.kitchen_id = part.kitchen_id AND item.id = part.item_id
       JOIN ticket ON ticket.kitchen_id = part.kitchen_id AND ticket.id = part.ticket_id
      WHERE part.kitchen_id = ? AND part.run_id IN (?) ORDER BY ticket.promised_at_ms, ticket.number, item.position`,
    [kitchenId, ids],
  )
  const [events] = await db.query<RowDataPacket[]>(
    'SELECT run_id AS runId, body FROM run_event WHERE kitchen_id = ? AND run_id IN (?) ORDER BY at_ms, counter, id',
    [kitchenId, ids],
  )
  const [lots] = await db.query<RowDataPacket[]>(
    `SELECT run_lot.run_id AS runId, lot.id, lot.name, run_lot.mass_g AS massG FROM run_lot
       JOIN rice_lot AS lot ON lot.kitchen_id = run_lot.kitchen_id AND lot.id = run_lot.lot_id
      WHERE run_lot.kitchen_id = ? AND run_lot.run_id IN (?) ORDER BY lot.number`,
    [kitchenId, ids],
  )
  const [lotsOf, partsOf, eventsOf] = [byRun(lots), byRun(parts), byRun(events)]
  return mapInTurns(rows, (row) =>
    Run.parse({
      ...row,
      marks: (row['marks'] as Run['marks'] | null) ?? [],
      riceReading: row['riceReading'] === null ? null : readingFor(row['riceReading'] as ReadingWhy),
      lots: lotsOf(row['id']).map(({ runId: _runId, ...lot }) => lot),
      handsFree: Boolean(row['handsFree']),
      isUnconfirmed: Boolean(row['isUnconfirmed']),
      parts: partsOf(row['id']).map(({ runId: _runId, ...part }) => part),
      events: eventsOf(row['id']).map((event) => RunEvent.parse(event['body'])),
    }),
  )
}

/** Rows by the run that they are of. */
function byRun(rows: readonly RowDataPacket[]): (runId: unknown) => RowDataPacket[] {
  const found = new Map<unknown, RowDataPacket[]>()
  for (const row of rows) {
    const own = found.get(row['runId'])
    if (own) own.push(row)
    else found.set(row['runId'], [row])
  }
  return (runId) => found.get(runId) ?? []
}

/** Locks a run's row until commit; false where there is none. */
export async function lockRun(connection: PoolConnection, kitchenId: string, id: string): Promise<boolean> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT id FROM run WHERE kitchen_id = ? AND id = ? FOR UPDATE',
    [kitchenId, id],
  )
  return rows.length > 0
}

export async function findDishVersion(
  db: Db,
  kitchenId: string,
  dishId: string,
  version: number,
): Promise<Dish | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT body FROM dish_version WHERE kitchen_id = ? AND dish_id = ? AND version = ?',
    [kitchenId, dishId, version],
  )
  return rows[0] ? Dish.parse(rows[0]['body']) : null
}

export async function lockStation(connection: PoolConnection, kitchenId: string, id: string) {
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT name, kind, cap_portions AS capPortions FROM station WHERE kitchen_id = ? AND id = ? FOR UPDATE',
    [kitchenId, id],
  )
  const row = rows[0]
  return row ? { name: String(row['name']), kind: String(row['kind']), capPortions: Number(row['capPortions']) } : null
}

export async function openRunIdAt(db: Db, kitchenId: string, stationId: string): Promise<string | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT id FROM run WHERE kitchen_id = ? AND state = 'open' AND station_id = ? ORDER BY fired_at_ms LIMIT 1",
    [kitchenId, stationId],
  )
  return rows[0] ? String(rows[0]['id']) : null
}

type RunToInsert = Omit<Run, 'state' | 'endedAtMs' | 'events' | 'score' | 'lots'> & { score: Score }

export async function insertRun(
  connection: PoolConnection,
  kitchenId: string,
  run: RunToInsert,
  toldStationId: string | null,
): Promise<void> {
  await connection.execute(
    `INSERT INTO run (kitchen_id, id, dish_id, dish_version, dish_name, station_id, cook_id, portions, rice_mass_g,
                      planned_s, fired_at_ms, promised_at_ms, hands_free, is_unconfirmed, twice_portions, modifiers,
                      allergies, ticket_numbers, score, engine, marks, washed_at_ms, told_station_id)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      kitchenId,
      run.id,
      run.dishId,
      run.dishVersion,
      run.dishName,
      run.stationId,
      run.cookId,
      run.parts.reduce((sum, part) => sum + part.portions, 0),
      run.score.riceMassG,
      run.score.totalS,
      run.firedAtMs,
      run.promisedAtMs,
      run.handsFree,
      run.isUnconfirmed,
      run.twicePortions,
      JSON.stringify(run.modifiers),
      JSON.stringify(run.allergies),
      JSON.stringify([...new Set(run.parts.map((part) => part.ticketNumber))]),
      JSON.stringify(run.score),
      run.score.engine,
      JSON.stringify(run.marks ?? []),
      run.washedAtMs ?? null,
      toldStationId,
    ],
  )
  for (const part of run.parts) {
    await connection.execute(
      'INSERT INTO run_part (kitchen_id, run_id, item_id, ticket_id, portions) VALUES (?, ?, ?, ?, ?)',
      [kitchenId, run.id, part.itemId, part.ticketId, part.portions],
    )
  }
}

/** What a run drew from which lot. */
export async function insertRunLots(
  connection: PoolConnection,
  kitchenId: string,
  runId: string,
  lots: Run['lots'],
): Promise<void> {
  for (const { id, massG } of lots) {
    await connection.execute('INSERT INTO run_lot (kitchen_id, run_id, lot_id, mass_g) VALUES (?, ?, ?, ?)', [
      kitchenId,
      runId,
      id,
      massG,
    ])
  }
}

/** Adds an event; false where it was there before. @throws {Problem} id-taken */
export async function insertEvent(
  connection: PoolConnection,
  kitchenId: string,
  event: RunEvent,
  nowMs: number,
): Promise<boolean> {
  const [result] = await connection.execute<ResultSetHeader>(
    `INSERT IGNORE INTO run_event (kitchen_id, id, run_id, device_id, kind, at_ms, counter, body, received_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      kitchenId,
      event.id,
      event.runId,
      event.deviceId,
      event.kind,
      event.atMs,
      event.counter,
      JSON.stringify(event),
      nowMs,
    ],
  )
  if (result.affectedRows > 0) return true
  await checkSameEvent(connection, 'run_event', kitchenId, { id: event.id, subjectId: event.runId, kind: event.kind })
  return false
}

/** Keeps what could not be taken, each id once. */
export async function keepRefused(
  db: Db,
  kitchenId: string,
  event: RunEvent,
  reason: string,
  nowMs: number,
): Promise<void> {
  await db.execute(
    'INSERT IGNORE INTO refused_event (kitchen_id, id, run_id, reason, body, received_at_ms) VALUES (?, ?, ?, ?, ?, ?)',
    [kitchenId, event.id, event.runId, reason, JSON.stringify(event), nowMs],
  )
}

/** Writes what a run's events come to, and closes or opens its tickets accordingly. */
export async function saveRunState(
  connection: PoolConnection,
  kitchenId: string,
  runId: string,
  state: Run['state'],
  endedAtMs: number | null,
  riceRead: RiceRead | null,
): Promise<void> {
  await connection.execute('UPDATE run SET state = ?, ended_at_ms = ?, rice_read = ? WHERE kitchen_id = ? AND id = ?', [
    state,
    endedAtMs,
    riceRead,
    kitchenId,
    runId,
  ])
  await connection.execute(
    `UPDATE ticket SET is_open = NOT is_cancelled AND EXISTS (
        SELECT 1 FROM ticket_item AS item
         WHERE item.kitchen_id = ticket.kitchen_id AND item.ticket_id = ticket.id
           AND item.portions > COALESCE((
             SELECT SUM(part.portions) FROM run_part AS part
               JOIN run ON run.kitchen_id = part.kitchen_id AND run.id = part.run_id
              WHERE part.kitchen_id = item.kitchen_id AND part.item_id = item.id AND run.state = 'finished'), 0))
      WHERE kitchen_id = ? AND id IN (SELECT ticket_id FROM run_part WHERE kitchen_id = ? AND run_id = ?)`,
    [kitchenId, kitchenId, runId],
  )
}
