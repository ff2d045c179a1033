import type { RestoredKitchen } from 'contract/archive'
import type { RowDataPacket } from 'mysql2'
import type { Pool, PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { Problem } from '../http/problems'
import { noteChange, type By } from '../people/audit.sql'
import { freshPin } from '../people/newOwnerPin'
import { listPeople, savePinHash, saveRecovery } from '../people/people.sql'
import { hashSecret, newRecoveryCode, plainCode } from '../people/secrets'
import { lockKitchen } from '../setup/kitchen.sql'
import type { OpenArchive } from './openArchive'
import { rowSchema, type Row } from './rows'
import { kitchenTables, THERE_FROM_THE_START, type Table } from './tables'
import { writeRows } from './writeRows'

/**
 * Reads an archive into a kitchen that nobody has entered anything into: all of it or nothing. PINs are not in an archive,
 * so the first owner gets one of chance and a code for paper; devices that were let in elsewhere stay outside.
 * @throws {Problem} kitchen-not-empty, archive-altered where a row is none of its table's
 */
export async function readInto(
  pool: Pool,
  kitchenId: string,
  archive: OpenArchive,
  by: By,
  nowMs: number,
): Promise<RestoredKitchen> {
  const { exportedAtMs, kitchen } = archive.manifest
  const [pin, code] = [freshPin(), newRecoveryCode()]
  const [pinHash, codeHash] = [await hashSecret(pin), await hashSecret(plainCode(code))]
  return inTransaction(pool, async (connection) => {
    await lockKitchen(connection, kitchenId)
    const tables = await kitchenTables(connection)
    await checkEmpty(connection, tables, kitchenId)
    for (const table of tables) await readTable(connection, kitchenId, table, archive, nowMs)
    const owner = (await listPeople(connection, kitchenId)).find(({ role }) => role === 'owner') ?? null
    if (owner) {
      await savePinHash(connection, kitchenId, owner.id, pinHash)
      await saveRecovery(connection, kitchenId, codeHash)
    }
    const subject = `${kitchen.name}, ${new Date(exportedAtMs).toISOString()}`
    await noteChange(connection, kitchenId, by, { what: 'restored', subject }, nowMs)
    await announce(connection, kitchenId, nowMs, [
      { topic: 'people', key: '' },
      { topic: 'kitchen', key: '' },
    ])
    return { name: kitchen.name, exportedAtMs, owner: owner && { staffId: owner.id, name: owner.name, pin, code } }
  })
}

async function checkEmpty(connection: PoolConnection, tables: readonly Table[], kitchenId: string): Promise<void> {
  for (const { name } of tables) {
    if (THERE_FROM_THE_START.includes(name)) continue
    const [rows] = await connection.execute<RowDataPacket[]>(`SELECT 1 FROM \`${name}\` WHERE kitchen_id = ? LIMIT 1`, [
      kitchenId,
    ])
    if (rows.length > 0)
      throw new Problem('kitchen-not-empty', {
        detail: `this kitchen has rows of ${name} already: begin another one in Setup and read the file there`,
      })
  }
}

async function readTable(
  connection: PoolConnection,
  kitchenId: string,
  table: Table,
  archive: OpenArchive,
  nowMs: number,
): Promise<void> {
  const schema = rowSchema(table)
  const checked = async function* () {
    for await (const raw of archive.rowsOf(table.name)) {
      const row = schema.safeParse(raw)
      if (!row.success)
        throw new Problem('archive-altered', {
          detail: `a row of ${table.name} is not as this Okazu writes it: ${row.error.issues[0]?.message ?? ''}`,
          values: { what: table.name },
        })
      yield table.name === 'paired_device' ? shutOut(row.data, nowMs) : row.data
    }
  }
  await writeRows(connection, kitchenId, table, checked())
}

/** Nothing that a device holds opens the door of the restored kitchen, and the list of devices says so. */
const shutOut = (row: Row, nowMs: number): Row => ({
  ...row,
  shut_out_at_ms: row['shut_out_at_ms'] ?? Math.round(nowMs),
})
