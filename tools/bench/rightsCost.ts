import type { Pool } from 'mysql2/promise'
import { may } from 'core/people/roles'
import { digest } from '../../server/src/people/secrets'
import { RecentSessions } from '../../server/src/people/recentSessions'
import { asDevice } from '../toolDevice'
import { report } from './report'
import { percentile } from './percentile'

const TIMES = 1000
const EVERY_MS = 10

/** What each request pays before it is answered: who asks, at which device, and whether they may. */
export async function rightsCost(pool: Pool): Promise<void> {
  const token = asDevice().authorization.replace('Bearer ', '')
  const sessions = new RecentSessions(pool)
  const times: number[] = []
  for (let n = 0; n < TIMES; n += 1) {
    const startMs = performance.now()
    const session = await sessions.find(digest(token), Date.now())
    if (!may(session?.person?.role ?? null, 'cook')) throw new Error('the owner may cook')
    times.push(performance.now() - startMs)
    await new Promise((resolve) => setTimeout(resolve, EVERY_MS))
  }
  const [median, p95] = [0.5, 0.95].map((share) => percentile(times, share).toFixed(2))
  report('who asks, and whether they may, of a request', `median ${median} ms, p95 ${p95} ms`, '<= 1 ms')
}
