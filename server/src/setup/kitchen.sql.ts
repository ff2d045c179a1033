import { Kitchen } from 'contract/kitchen'
import type { RowDataPacket } from 'mysql2'
import type { Db } from '../db/pool'

export async function isDatabaseUp(db: Db): Promise<boolean> {
  try {
    await db.query('SELECT 1')
    return true
  } catch {
    return false
  }
}

/** The kitchen with its stations, staff and rice lots, or null. What is left of a lot is its mass less what runs took. */
export async function findKitchen(db: Db, kitchenId: string): Promise<Kitchen | null> {
  const [kitchens] = await db.execute<RowDataPacket[]>(
    `SELECT id, name, time_zone AS timeZone, locale, rule_set AS ruleSet, tools, boat_every_min AS boatEveryMin
       FROM kitchen WHERE id = ?`,
    [kitchenId],
  )
  if (!kitchens[0]) return null
  const [stations] = await db.execute<RowDataPacket[]>(
    'SELECT id, name, kind, power_w AS powerW, cap_portions AS capPortions FROM station WHERE kitchen_id = ? ORDER BY position',
    [kitchenId],
  )
  const [staff] = await db.execute<RowDataPacket[]>(
    'SELECT id, name, role FROM staff WHERE kitchen_id = ? ORDER BY position',
    [kitchenId],
  )
  const [lots] = await db.execute<RowDataPacket[]>(
    `SELECT id, name, grain, cooked_at_ms AS cookedAtMs, mass_g AS massG,
            mass_g - COALESCE((SELECT SUM(run.rice_mass_g) FROM run FORCE INDEX (by_lot)
                                WHERE run.kitchen_id = rice_lot.kitchen_id AND run.lot_id = rice_lot.id), 0) AS leftG
       FROM rice_lot WHERE kitchen_id = ? ORDER BY cooked_at_ms, id`,
    [kitchenId],
  )
  return Kitchen.parse({ ...kitchens[0], stations, staff, lots })
}
