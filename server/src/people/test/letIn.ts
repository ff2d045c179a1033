import type { Pool } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { inTransaction } from '../../db/pool'
import { insertDevice } from '../devices.sql'
import { findPerson } from '../people.sql'
import { digest, newToken } from '../secrets'
import { openSession } from '../sessions.sql'

/** From so long ago the device counts as let in, so that what a test says of the past has its person. */
const LONG_AGO_MS = 400 * 86_400_000

/**
 * Lets a device of a test in, with somebody signed in at it; no code and no PIN.
 * @param startedAtMs when the shift counts as begun: later than now, it does not end while a test moves its clock by days
 * @returns the token of its session
 */
export async function letIn(
  pool: Pool,
  kitchenId: string,
  staffId: string | null,
  nowMs: number,
  name = 'Test',
  startedAtMs = nowMs,
): Promise<string> {
  const token = newToken()
  await inTransaction(pool, async (connection) => {
    const person = staffId === null ? null : await findPerson(connection, kitchenId, staffId)
    const id = newId()
    const sinceMs = Math.round(nowMs)
    await insertDevice(connection, kitchenId, { id, name, place: '', pairedBy: null }, sinceMs - LONG_AGO_MS)
    await openSession(connection, kitchenId, id, { tokenHash: digest(token), person }, Math.round(startedAtMs))
  })
  return token
}
