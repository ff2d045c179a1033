import { Style, type StyleList } from 'contract/book'
import { STYLES } from 'core/book/balance/style'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import { z } from 'zod'
import type { Db } from '../db/pool'

/** The styles of a kitchen with their bands; those to begin with until it changed them. */
export async function findStyles(db: Db, kitchenId: string): Promise<StyleList> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT styles, styles_version AS version FROM kitchen WHERE id = ?',
    [kitchenId],
  )
  const styles = z.array(Style).parse(rows[0]?.['styles'] ?? structuredClone(STYLES))
  return { version: Number(rows[0]?.['version'] ?? 0), styles }
}

/** Saves styles; false where somebody else did meanwhile. */
export async function saveStyles(
  connection: PoolConnection,
  kitchenId: string,
  { version, styles }: StyleList,
): Promise<boolean> {
  const [result] = await connection.execute<ResultSetHeader>(
    'UPDATE kitchen SET styles = ?, styles_version = styles_version + 1 WHERE id = ? AND styles_version = ?',
    [JSON.stringify(styles), kitchenId, version],
  )
  return result.affectedRows === 1
}
