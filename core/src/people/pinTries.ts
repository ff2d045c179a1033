/** Wrong PINs of one person at one device: how many in a row, and until when the next has to wait [ms]. */
export type PinTries = { failed: number; waitUntilMs: number }

/** So many slips of wet fingers cost nothing. */
const FREE_TRIES = 3
const FIRST_WAIT_MS = 5000
const LONGEST_WAIT_MS = 300_000
/** After so long without a try the count begins anew. */
const FORGOTTEN_MS = 3_600_000

/** How long a try has to wait still [ms]; 0 where it may be made. */
export const waitMs = (tries: PinTries | null, nowMs: number): number =>
  tries === null ? 0 : Math.max(0, tries.waitUntilMs - nowMs)

/**
 * The count after one more wrong PIN. From the fourth on each wait is twice the one before, at most five minutes: nobody
 * guesses four digits in an evening, and nobody is locked out of a service. Other people and devices do not wait.
 */
export function afterWrongPin(tries: PinTries | null, nowMs: number): PinTries {
  const isOld = tries !== null && nowMs - tries.waitUntilMs > FORGOTTEN_MS
  const failed = (tries === null || isOld ? 0 : tries.failed) + 1
  const over = failed - FREE_TRIES
  const wait = over <= 0 ? 0 : Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** Math.min(over - 1, 16))
  return { failed, waitUntilMs: nowMs + wait }
}
