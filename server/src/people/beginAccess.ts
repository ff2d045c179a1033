import type { Db } from '../db/pool'
import { insertPairingCode } from './devices.sql'
import { digest, newCode, plainCode } from './secrets'

export const PAIRING_MS = 30 * 60_000
/** Two groups of four: forty bits, for half an hour, at twenty tries a minute. */
const PAIRING_GROUPS = 2

/** A code that lets one device into a kitchen within half an hour. */
export async function beginAccess(
  db: Db,
  kitchenId: string,
  nowMs: number,
  madeBy: string | null = null,
): Promise<{ code: string; untilMs: number }> {
  const code = newCode(PAIRING_GROUPS)
  const untilMs = Math.round(nowMs) + PAIRING_MS
  await insertPairingCode(db, kitchenId, { hash: digest(plainCode(code)), madeBy, untilMs })
  return { code, untilMs }
}
