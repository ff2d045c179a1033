import type { Pool } from 'mysql2/promise'
import { findSession, type Session } from './sessions.sql'

/** Another process, such as `npm run owner`, is noticed after this long; what is changed here at once. */
const KEPT_MS = 2000
const MOST_KEPT = 1000

/**
 * Sessions that were read a moment ago, so that a device that asks ten things at once costs one look into the database.
 * Whatever is committed in a kitchen ends what is kept of it: whoever is shut out is out with the next request.
 */
export class RecentSessions {
  private readonly byTokenHash = new Map<string, { session: Session; readAtMs: number }>()
  private commits = 0

  constructor(private readonly pool: Pool) {}

  /** The session of a token; null where there is none (see `findSession`). */
  async find(tokenHash: string, nowMs: number): Promise<Session | null> {
    const kept = this.byTokenHash.get(tokenHash)
    if (kept && Math.abs(nowMs - kept.readAtMs) < KEPT_MS) return kept.session
    const commitsBefore = this.commits
    const session = await findSession(this.pool, tokenHash, nowMs)
    // Something that was committed while it was read may have ended it; a replaced token ends with the next one's first use.
    if (session && !session.isReplaced && this.commits === commitsBefore) {
      if (this.byTokenHash.size >= MOST_KEPT) this.byTokenHash.clear()
      this.byTokenHash.set(tokenHash, { session, readAtMs: nowMs })
    }
    return session
  }

  /** Something was committed in a kitchen: its sessions are read again. */
  forget(kitchenId: string): void {
    this.commits += 1
    for (const [tokenHash, { session }] of this.byTokenHash)
      if (session.kitchen.id === kitchenId) this.byTokenHash.delete(tokenHash)
  }
}
