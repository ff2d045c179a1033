import { ToldOrder } from 'contract/line'
import { toldStation } from 'core/line/plan/order'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'

/** Where the order that the cooks were told last has the first of these portions; null where they were told nothing of them. */
export async function findToldStation(
  connection: PoolConnection,
  kitchenId: string,
  parts: readonly { itemId: string }[],
): Promise<string | null> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT told FROM line_order WHERE kitchen_id = ? ORDER BY no DESC LIMIT 1',
    [kitchenId],
  )
  if (!rows[0]) return null
  return toldStation(ToldOrder.pick({ batches: true }).loose().parse(rows[0]['told']), parts)
}
