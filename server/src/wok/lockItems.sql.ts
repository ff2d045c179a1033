import type { FireRun } from 'contract/run'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import { rowsAs } from '../db/rows'

export type LockedItem = {
  id: string
  ticketId: string
  dishId: string
  ticketNumber: number
  portions: number
  firedPortions: number
  modifiers: string[]
  allergies: FireRun['allergies']
  allowedBy: string | null
  isCancelled: boolean
  firedBy: string | null
}

/** The ticket lines of a batch with what is left of them, locked until commit. */
export async function lockItems(
  connection: PoolConnection,
  kitchenId: string,
  ids: readonly string[],
): Promise<LockedItem[]> {
  const [rows] = await connection.query<RowDataPacket[]>(
    `SELECT item.id, item.ticket_id AS ticketId, item.dish_id AS dishId, item.portions, item.modifiers, item.allergies, item.allowed_by AS allowedBy, ticket.number AS ticketNumber,
            ticket.is_cancelled AS isCancelled
       FROM ticket_item AS item
       JOIN ticket ON ticket.kitchen_id = item.kitchen_id AND ticket.id = item.ticket_id
      WHERE item.kitchen_id = ? AND item.id IN (?) ORDER BY item.id FOR UPDATE`,
    [kitchenId, ids],
  )
  const [fired] = await connection.query<RowDataPacket[]>(
    `SELECT part.item_id AS itemId, SUM(part.portions) AS portions, MAX(run.id) AS runId
       FROM run_part AS part
       JOIN run ON run.kitchen_id = part.kitchen_id AND run.id = part.run_id
      WHERE part.kitchen_id = ? AND part.item_id IN (?) AND run.state <> 'stopped' GROUP BY part.item_id`,
    [kitchenId, ids],
  )
  return rowsAs<LockedItem>(rows).map((row) => {
    const by = fired.find((one) => one['itemId'] === row.id)
    return {
      ...row,
      isCancelled: Boolean(row.isCancelled),
      firedPortions: Number(by?.['portions'] ?? 0),
      firedBy: by ? String(by['runId']) : null,
    }
  })
}
