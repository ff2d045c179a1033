import { Kitchen, type PutReadings, type Waves } from 'contract/kitchen'
import type { Instrument } from 'core/house/instruments'
import type { RuleSet } from 'core/safety/limits'
import { factorFor } from 'core/wok/learn/learn'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { rowsAs } from '../db/rows'

/** The currency (ISO 4217) that prices of the kitchen are in. */
export async function currencyOf(db: Db, kitchenId: string): Promise<string> {
  const [rows] = await db.execute<RowDataPacket[]>('SELECT currency FROM kitchen WHERE id = ?', [kitchenId])
  return String(rows[0]?.['currency'] ?? 'USD')
}

/** The kitchen with its stations and staff, or null. */
export async function findKitchen(db: Db, kitchenId: string): Promise<Kitchen | null> {
  const [kitchens] = await db.execute<RowDataPacket[]>(
    `SELECT id, name, time_zone AS timeZone, locale, currency, rule_set AS ruleSet, reads_in AS readsIn,
            weighs_in AS weighsIn, is_scottish AS isScottish, tools, instruments, waves
       FROM kitchen WHERE id = ?`,
    [kitchenId],
  )
  if (!kitchens[0]) return null
  const stations = await listStations(db, kitchenId)
  const [staff] = await db.execute<RowDataPacket[]>(
    'SELECT id, name, role, is_gone AS isGone FROM staff WHERE kitchen_id = ? ORDER BY position',
    [kitchenId],
  )
  const people = rowsAs<Kitchen['staff'][number] & { isGone: number }>(staff)
  return Kitchen.parse({
    ...kitchens[0],
    isScottish: kitchens[0]['isScottish'] === 1,
    stations,
    staff: people.filter(({ isGone }) => isGone === 0).map(({ id, name, role }) => ({ id, name, role })),
    formerStaff: people.filter(({ isGone }) => isGone !== 0).map(({ id, name }) => ({ id, name })),
  })
}

/** The stations in their order, each with its newest version where it has one. */
async function listStations(db: Db, kitchenId: string): Promise<unknown[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT s.id, s.name, s.kind, s.power_w AS powerW, s.cap_portions AS capPortions, v.version, v.plate
       FROM station s
       LEFT JOIN station_version v
              ON v.kitchen_id = s.kitchen_id AND v.station_id = s.id
             AND v.version = (SELECT MAX(w.version) FROM station_version w
                               WHERE w.kitchen_id = s.kitchen_id AND w.station_id = s.id)
      WHERE s.kitchen_id = ? ORDER BY s.position`,
    [kitchenId],
  )
  const learned = await listLearned(db, kitchenId)
  const factors = (kind: string) => learned.filter((one) => one.kind === kind)
  const dishes = Object.fromEntries(factors('dish').map(({ subjectId, factor }) => [subjectId, factor]))
  return rows.map(({ version, plate, ...station }) => {
    const own = factors('station').find(({ subjectId }) => subjectId === station['id'])
    return {
      ...station,
      ...(version !== null && { heat: { version: Number(version), plate: plate as unknown } }),
      ...(own && { learned: { factor: own.factor, dishes } }),
    }
  })
}

/** Factors in whole steps, so that scores stay what they are while a factor moves by less. */
async function listLearned(db: Db, kitchenId: string): Promise<{ kind: string; subjectId: string; factor: number }[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT kind, subject_id AS subjectId, factor FROM learned WHERE kitchen_id = ? ORDER BY kind, subject_id',
    [kitchenId],
  )
  return rows.flatMap((row) => {
    const factor = factorFor(Number(row['factor']), 1)
    return factor === 1 && row['kind'] === 'dish'
      ? []
      : [{ kind: String(row['kind']), subjectId: String(row['subjectId']), factor }]
  })
}

export async function saveRuleSet(connection: PoolConnection, kitchenId: string, ruleSet: RuleSet): Promise<void> {
  await connection.execute('UPDATE kitchen SET rule_set = ? WHERE id = ?', [ruleSet, kitchenId])
}

export async function saveWaves(connection: PoolConnection, kitchenId: string, waves: Waves): Promise<void> {
  await connection.execute('UPDATE kitchen SET waves = ? WHERE id = ?', [JSON.stringify(waves), kitchenId])
}

export async function saveInstruments(
  connection: PoolConnection,
  kitchenId: string,
  instruments: readonly Instrument[],
): Promise<void> {
  await connection.execute('UPDATE kitchen SET instruments = ? WHERE id = ?', [JSON.stringify(instruments), kitchenId])
}

export async function saveReadings(
  connection: PoolConnection,
  kitchenId: string,
  { readsIn, weighsIn, isScottish }: PutReadings,
): Promise<void> {
  await connection.execute('UPDATE kitchen SET reads_in = ?, weighs_in = ?, is_scottish = ? WHERE id = ?', [
    readsIn,
    weighsIn,
    isScottish,
    kitchenId,
  ])
}

/** Locks the kitchen's row until commit: tickets are numbered one after the other, and one sent twice waits here. */
export async function lockKitchen(connection: PoolConnection, kitchenId: string): Promise<void> {
  await connection.execute('SELECT id FROM kitchen WHERE id = ? FOR UPDATE', [kitchenId])
}
