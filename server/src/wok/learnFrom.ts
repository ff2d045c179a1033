import type { Run } from 'contract/run'
import { factorFor, learn, type Factor, type Held } from 'core/wok/learn/learn'
import { lessonOf } from 'core/wok/learn/lesson'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { insertLesson, listLearned, listLessons, saveLearned } from './learned.sql'

/** So many of the newest runs are learnt from: a kitchen changes. */
const MOST_LESSONS = 600

/** Keeps what a finished run teaches, and works the factors out again. Nothing is learnt from a run of two devices at once. */
export async function learnFrom(connection: PoolConnection, kitchenId: string, run: Run, nowMs: number): Promise<void> {
  const lesson = run.twicePortions > 0 ? null : lessonOf(run, run.events, nowMs)
  if (!lesson) return
  await insertLesson(connection, kitchenId, {
    ...lesson,
    runId: run.id,
    stationVersion: run.score.basis?.stationVersion ?? 0,
  })
  await learnAgain(connection, kitchenId, nowMs)
}

/** Works every factor out again from the lessons that count; what is frozen stays. Screens hear of a factor that moved a step. */
export async function learnAgain(connection: PoolConnection, kitchenId: string, nowMs: number): Promise<void> {
  const rows = await listLearned(connection, kitchenId)
  const heldOf = (kind: 'station' | 'dish') =>
    new Map(
      rows
        .filter((row) => row.kind === kind)
        .map(({ subjectId, factor, isFrozen, sinceMs }): [string, Held] => [
          subjectId,
          { ...(isFrozen && { frozen: factor }), sinceMs },
        ]),
    )
  const lessons = await listLessons(connection, kitchenId, MOST_LESSONS)
  const learned = learn(lessons, { stations: heldOf('station'), dishes: heldOf('dish') })
  let isMoved = false
  const save = async (kind: 'station' | 'dish', factors: ReadonlyMap<string, Factor>) => {
    const known = rows.filter((row) => row.kind === kind)
    for (const subjectId of new Set([...factors.keys(), ...known.map((row) => row.subjectId)])) {
      const { factor, runs } = factors.get(subjectId) ?? { factor: 1, runs: 0 }
      const before = known.find((row) => row.subjectId === subjectId)
      if (before?.factor === factor && before.runs === runs) continue
      isMoved ||= factorFor(before?.factor, 1) !== factorFor(factor, 1)
      const { isFrozen, sinceMs } = before ?? { isFrozen: false, sinceMs: 0 }
      await saveLearned(connection, kitchenId, { kind, subjectId, factor, runs, isFrozen, sinceMs })
    }
  }
  await save('station', learned.stations)
  await save('dish', learned.dishes)
  if (isMoved) await announce(connection, kitchenId, nowMs, [{ topic: 'kitchen', key: '' }])
}
