import { NewTicket } from 'contract/ticket'
import type { Pool } from 'mysql2/promise'
import { listDishes } from '../../book/dishes.sql'
import { inTransaction } from '../../db/pool'
import { placeTickets } from '../../line/placeTickets'
import { withIds } from '../../line/ticketIds'
import { kitchenOf } from '../../setup/kitchenOf'
import { hasInstrument } from '../needInstrument'
import { simulatedFeed } from './simulatedFeed'
import { findFeed, saveFeed } from './feed.sql'

/** A server that slept longer than this [ms] sends only what is left of the wave, not everything it missed. */
const CATCH_UP_MS = 10 * 60_000

/** Sends every ticket of the feed that has come due; the row's lock keeps two servers from sending one twice. */
export async function runFeed(pool: Pool, kitchenId: string, nowMs: number): Promise<number> {
  if (!(await findFeed(pool, kitchenId)).isOn || !(await hasInstrument(pool, kitchenId, 'feed'))) return 0
  return inTransaction(pool, async (connection) => {
    const feed = await findFeed(connection, kitchenId, true)
    if (!feed.isOn || feed.startedAtMs === null) return 0
    const startedAtMs = feed.startedAtMs
    const fromMs = Math.max(feed.fedUntilMs ?? startedAtMs, nowMs - CATCH_UP_MS)
    const dishes = await listDishes(connection, kitchenId)
    const { waves, timeZone } = await kitchenOf(connection, kitchenId)
    const due = simulatedFeed(feed.seed, startedAtMs, { waves, timeZone }, dishes).take(fromMs, nowMs)
    await saveFeed(connection, kitchenId, { ...feed, fedUntilMs: nowMs })
    await placeTickets(
      connection,
      kitchenId,
      due.map((ticket) => withIds(NewTicket.parse(ticket))),
      nowMs,
    )
    return due.length
  })
}
