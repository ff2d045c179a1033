import { wavesBetween } from 'core/line/waves'
import type { Pool } from 'mysql2/promise'
import { inTransaction } from '../../db/pool'
import { listOpenLots } from '../../rice/lots.sql'
import { beginDemo, saved } from '../beginDemo'
import { cookPastBoats } from '../history'
import { DEMO_KITCHEN_ID } from '../kitchen'
import { cookDemoLoad, hearAll, sayOfLot } from '../lots'
import { setOutPlates } from '../plates'
import { MADE_UNTIL_MS, MONTH_EVENINGS } from './monthFile'

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS
const SERVICE = { fromMs: 17 * HOUR_MS, untilMs: 20 * HOUR_MS }
/** Of the boats of an evening so many: a month is to be read in a moment. */
const BOATS = 4
/** A load of rice lasts so many evenings. */
const LOAD_EVENINGS = 3
const LOAD = { dryMassG: 16_500, massG: 34_500, depthM: 0.036, trays: 9, factor: 1 }
const LOAD_AGO_MS = 11 * HOUR_MS
const FIRST_LOT = 1
const SEED = 4001

/** Cooks a month of evenings on an empty database, through the same functions as a live evening. */
export async function cookMonth(pool: Pool): Promise<void> {
  const firstMs = MADE_UNTIL_MS - MONTH_EVENINGS * DAY_MS
  const dishes = await inTransaction(pool, async (connection) => {
    const made = await beginDemo(connection, firstMs, 'UTC', FIRST_LOT)
    await setOutPlates(connection, DEMO_KITCHEN_ID, firstMs)
    return made
  })
  for (let evening = 0; evening < MONTH_EVENINGS; evening += 1) {
    const dayMs = firstMs + evening * DAY_MS
    const untilMs = dayMs + SERVICE.untilMs
    await inTransaction(pool, async (connection) => {
      const { kitchen, house } = await saved(connection)
      if (evening % LOAD_EVENINGS === 0)
        await cookDemoLoad(connection, kitchen, house, { ...LOAD, agoMs: LOAD_AGO_MS }, dayMs + SERVICE.fromMs)
      const boats = wavesBetween(kitchen.waves, dayMs + SERVICE.fromMs, untilMs, 'UTC')
        .filter((_, i) => i % 2 === evening % 2)
        .slice(0, BOATS)
      await cookPastBoats(connection, kitchen, dishes, boats, SEED + evening * 97, untilMs + HOUR_MS)
      const isLast = evening % LOAD_EVENINGS === LOAD_EVENINGS - 1 || evening === MONTH_EVENINGS - 1
      if (!isLast) return
      const word = { kind: 'discarded' as const, massG: null, reason: 'endOfDay' as const }
      for (const lot of await listOpenLots(connection, DEMO_KITCHEN_ID))
        await hearAll(connection, kitchen, house, lot.id, [sayOfLot(lot.id, untilMs + 2 * HOUR_MS, word)])
    })
  }
}
