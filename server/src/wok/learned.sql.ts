import type { LearnedKind, LearnedRun, LearnedState } from 'contract/learned'
import { RunId } from 'contract/ids'
import type { Lesson } from 'core/wok/learn/lesson'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'

type LessonOfRun = Lesson & { runId: string; stationVersion: number }

export async function insertLesson(connection: PoolConnection, kitchenId: string, lesson: LessonOfRun): Promise<void> {
  const { runId, stationId, stationVersion, dishId, atMs, plannedS, actualS, factor } = lesson
  await connection.execute(
    `INSERT INTO run_lesson (kitchen_id, run_id, station_id, station_version, dish_id, at_ms, planned_s, actual_s, factor)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE at_ms = VALUES(at_ms), actual_s = VALUES(actual_s)`,
    [kitchenId, runId, stationId, stationVersion, dishId, atMs, plannedS, actualS, factor],
  )
}

const COLUMNS = `l.run_id AS runId, l.station_id AS stationId, l.dish_id AS dishId, l.at_ms AS atMs, l.planned_s AS plannedS,
  l.actual_s AS actualS, l.factor`

const lessonIn = (row: RowDataPacket): LearnedRun => ({
  runId: RunId.parse(row['runId']),
  stationId: String(row['stationId']),
  dishId: String(row['dishId']),
  atMs: Number(row['atMs']),
  plannedS: Number(row['plannedS']),
  actualS: Number(row['actualS']),
  factor: Number(row['factor']),
})

/** The newest lessons of stations as they are now, the oldest of them first: what an older plate taught is of that plate. */
export async function listLessons(db: Db, kitchenId: string, most: number): Promise<LearnedRun[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM run_lesson l
       LEFT JOIN (SELECT station_id, MAX(version) AS version FROM station_version WHERE kitchen_id = ? GROUP BY station_id) v
              ON v.station_id = l.station_id
      WHERE l.kitchen_id = ? AND l.station_version = COALESCE(v.version, 0)
      ORDER BY l.at_ms DESC LIMIT ?`,
    [kitchenId, kitchenId, most],
  )
  return rows.map(lessonIn).reverse()
}

/** The newest lessons of one station or dish, the oldest of them first. */
export async function listLessonsOf(
  db: Db,
  kitchenId: string,
  kind: LearnedKind,
  subjectId: string,
  most: number,
): Promise<LearnedRun[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM run_lesson l
      WHERE l.kitchen_id = ? AND ${kind === 'station' ? 'l.station_id' : 'l.dish_id'} = ? ORDER BY l.at_ms DESC LIMIT ?`,
    [kitchenId, subjectId, most],
  )
  return rows.map(lessonIn).reverse()
}

type Row = Omit<LearnedState, 'recent'>

export async function listLearned(db: Db, kitchenId: string): Promise<Row[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT kind, subject_id AS subjectId, factor, runs, is_frozen AS isFrozen, since_ms AS sinceMs
       FROM learned WHERE kitchen_id = ?`,
    [kitchenId],
  )
  return rows.map((row) => ({
    kind: row['kind'] === 'dish' ? 'dish' : 'station',
    subjectId: String(row['subjectId']),
    factor: Number(row['factor']),
    runs: Number(row['runs']),
    isFrozen: row['isFrozen'] === 1,
    sinceMs: Number(row['sinceMs']),
  }))
}

export async function saveLearned(connection: PoolConnection, kitchenId: string, row: Row): Promise<void> {
  const { kind, subjectId, factor, runs, isFrozen, sinceMs } = row
  await connection.execute(
    `INSERT INTO learned (kitchen_id, kind, subject_id, factor, runs, is_frozen, since_ms) VALUES (?, ?, ?, ?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE factor = VALUES(factor), runs = VALUES(runs), is_frozen = VALUES(is_frozen),
       since_ms = VALUES(since_ms)`,
    [kitchenId, kind, subjectId, factor, runs, isFrozen ? 1 : 0, sinceMs],
  )
}
