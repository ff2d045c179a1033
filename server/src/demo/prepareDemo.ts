import { EventId } from 'contract/ids'
import { NewTicket } from 'contract/ticket'
import type { Pool, PoolConnection } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { refreshDishes } from '../book/shelf'
import { listRecipes } from '../book/recipe/recipes.sql'
import { placeTickets } from '../line/placeTickets'
import { withIds } from '../line/ticketIds'
import { addTicketEvents } from '../line/tickets.sql'
import { findRiceHouse } from '../rice/house.sql'
import { wavesBetween } from 'core/line/waves'
import { inTransaction } from '../db/pool'
import { countOpenTickets, hasKitchen, insertRiceHouse, staleDemoTickets } from './demo.sql'
import { cookPastBoats } from './history'
import { findMiseHouse, saveMisePolicy } from '../mise/house.sql'
import { setDemoPins } from './demoPins'
import { DEMO_KITCHEN_ID } from './kitchen'
import { prepDemoMise } from './mise'
import { DEMO_MISE_POLICY } from './misePolicy'
import { setOutPlates } from './plates'
import { bringRiceUpToDate, cookPastRice, DEMO_POLICY, FIRST_DEMO_LOT, setOutRice } from './rice'
import { DEMO_PLACES, DEMO_VESSELS } from './riceHouse'
import { beginDemo, fillBook, saved } from './beginDemo'
import { readMonth } from './month/readMonth'
import { demoWave } from './tickets'

const HOUR_MS = 3_600_000
const STALE_MS = HOUR_MS / 2
const BOATS_AN_EVENING = 9

/** How much the sample kitchen has behind it: evenings that are cooked now, and the month that ships with it before them. */
export type DemoPast = { evenings: number; month: boolean }

/**
 * Makes the sample kitchen on an empty database; on a later start brings it up to date: tickets that went stale while
 * the server was off are cancelled, a fresh wave waits, and fresh rice stands on the shelf.
 */
export async function prepareDemo(pool: Pool, nowMs: number, past: DemoPast): Promise<string> {
  if (await hasKitchen(pool, DEMO_KITCHEN_ID))
    await inTransaction(pool, (connection) => refreshDishes(connection, DEMO_KITCHEN_ID, nowMs))
  else await inTransaction(pool, (connection) => create(connection, nowMs, past))
  await inTransaction(pool, (connection) => refresh(connection, nowMs))
  await setDemoPins(pool)
  if (past.evenings > 0) await prepDemoMise(pool, DEMO_KITCHEN_ID, nowMs)
  return DEMO_KITCHEN_ID
}

async function create(connection: PoolConnection, nowMs: number, { evenings, month }: DemoPast): Promise<void> {
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions()
  const dishes = await beginDemo(connection, nowMs, timeZone, FIRST_DEMO_LOT)
  await setOutPlates(connection, DEMO_KITCHEN_ID, nowMs)
  const { kitchen, house } = await saved(connection)
  if (month) await readMonth(connection, kitchen, nowMs)
  await cookPastRice(connection, kitchen, house, nowMs)
  for (let ago = evenings - 1; ago >= 0; ago -= 1) {
    const thenMs = nowMs - ago * 24 * HOUR_MS
    // Each evening is cooked by what the evenings before taught.
    const { kitchen: then } = await saved(connection)
    const boats = wavesBetween(then.waves, thenMs - 3.7 * HOUR_MS, thenMs, timeZone).slice(0, BOATS_AN_EVENING)
    await cookPastBoats(connection, then, dishes, boats, 11 + ago * 100, nowMs)
  }
  if (evenings > 0) await setOutRice(connection, kitchen, house, nowMs)
}

async function refresh(connection: PoolConnection, nowMs: number): Promise<void> {
  for (const id of await staleDemoTickets(connection, DEMO_KITCHEN_ID, nowMs - STALE_MS)) {
    const event = { id: EventId.parse(newId()), kind: 'cancelled' as const, atMs: nowMs, counter: 0 }
    await addTicketEvents(connection, DEMO_KITCHEN_ID, id, [event], nowMs)
  }
  if ((await listRecipes(connection, DEMO_KITCHEN_ID)).length === 0) await fillBook(connection, nowMs)
  await setOutPlates(connection, DEMO_KITCHEN_ID, nowMs)
  const { kitchen, house } = await saved(connection)
  if (house.vessels.length === 0)
    await insertRiceHouse(connection, DEMO_KITCHEN_ID, null, DEMO_POLICY, DEMO_VESSELS, DEMO_PLACES)
  if ((await findMiseHouse(connection, DEMO_KITCHEN_ID)).version === 0)
    await saveMisePolicy(connection, DEMO_KITCHEN_ID, 0, DEMO_MISE_POLICY)
  await bringRiceUpToDate(connection, kitchen, await findRiceHouse(connection, DEMO_KITCHEN_ID), nowMs)
  if ((await countOpenTickets(connection, DEMO_KITCHEN_ID)) > 0) return
  const wave = demoWave(nowMs).map((ticket) => ({ ...withIds(NewTicket.parse(ticket)), source: 'demo' as const }))
  await placeTickets(connection, DEMO_KITCHEN_ID, wave, nowMs)
}
