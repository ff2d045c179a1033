import type { Run } from 'contract/run'
import { riceReading } from 'core/rice/reading/riceReading'
import type { PoolConnection } from 'mysql2/promise'
import type { DrawnRice } from '../rice/drawRice'
import { listPastReadings, saveReading } from './readings.sql'

const DAY_MS = 86_400_000
/** Readings are looked back on for so long, and so many batches. */
const BACK_DAYS = 60
const MOST_BATCHES = 250

/**
 * Decides whether a fired batch stops for a reading of its rice, and keeps that. One that was fired without a network was led
 * by a device that asks for every reading, so it is asked.
 */
export async function askReading(
  connection: PoolConnection,
  kitchenId: string,
  run: Pick<Run, 'id' | 'firedAtMs' | 'isUnconfirmed'>,
  { lots, isAccepted, plan }: DrawnRice,
): Promise<void> {
  if (run.isUnconfirmed) return
  const sinceMs = run.firedAtMs - BACK_DAYS * DAY_MS
  const past = await listPastReadings(connection, kitchenId, run.id, sinceMs, MOST_BATCHES)
  const { why } = riceReading(past, { lotIds: lots.map(({ id }) => id), isAccepted }, plan)
  await saveReading(connection, kitchenId, run.id, why)
}
