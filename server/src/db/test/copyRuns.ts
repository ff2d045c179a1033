import type { Pool } from 'mysql2/promise'

const DAY_MS = 86_400_000

/**
 * Copies the sample history and its rice back in time, whole days at once with new ids, until there are this many past runs.
 * @param daysApart how far one copy lies before the next
 */
export async function copyRuns(pool: Pool, kitchenId: string, wanted: number, daysApart = 1): Promise<void> {
  const id = (table: string, column: string) =>
    `CAST(INSERT(CAST(${table}.${column} AS CHAR), 25, 6, LPAD(HEX(@copy), 6, '0')) AS UUID)`
  const connection = await pool.getConnection()
  const sql = async (text: string) => void (await connection.query(text, [kitchenId]))
  const [[first]] = (await connection.query("SELECT COUNT(*) AS n FROM run WHERE state <> 'open'")) as unknown as [
    [{ n: number }],
  ]
  for (const table of ['ticket', 'ticket_item', 'run', 'run_part', 'run_event', 'rice_lot', 'rice_event', 'run_lot']) {
    await connection.query(`CREATE TEMPORARY TABLE old_${table} AS SELECT * FROM ${table} WHERE kitchen_id = ?`, [
      kitchenId,
    ])
  }
  for (let copy = 1; copy * first.n < wanted; copy += 1) {
    await connection.query(`SET @copy = ${copy}, @ago = ${copy * daysApart * DAY_MS}`)
    await connection.beginTransaction()
    await sql(`INSERT INTO ticket SELECT kitchen_id, ${id('old_ticket', 'id')}, number, source, kind, place, placed_at_ms - @ago,
                 promised_at_ms - @ago, is_cancelled, FALSE, handed_over_at_ms - @ago FROM old_ticket WHERE kitchen_id = ? AND NOT is_open`)
    await sql(`INSERT INTO ticket_item SELECT kitchen_id, ${id('old_ticket_item', 'id')}, ${id('old_ticket_item', 'ticket_id')}, position,
                 dish_id, portions, modifiers, allergies, allowed_by FROM old_ticket_item
                WHERE kitchen_id = ? AND ticket_id IN (SELECT id FROM old_ticket WHERE NOT is_open)`)
    await sql(`INSERT INTO run SELECT kitchen_id, ${id('old_run', 'id')}, dish_id, dish_version, dish_name, station_id, cook_id,
                 portions, rice_mass_g, planned_s, fired_at_ms - @ago, promised_at_ms - @ago, hands_free, is_unconfirmed,
                 twice_portions, modifiers, allergies, ticket_numbers, score, engine, state, ended_at_ms - @ago,
                 marks, washed_at_ms - @ago, rice_reading, rice_read, told_station_id FROM old_run WHERE kitchen_id = ? AND state <> 'open'`)
    await sql(`INSERT INTO run_part SELECT kitchen_id, ${id('old_run_part', 'run_id')}, ${id('old_run_part', 'item_id')},
                 ${id('old_run_part', 'ticket_id')}, portions FROM old_run_part WHERE kitchen_id = ?`)
    await sql(`INSERT INTO run_event SELECT kitchen_id, ${id('old_run_event', 'id')}, ${id('old_run_event', 'run_id')}, device_id, kind,
                 at_ms - @ago, counter, body, received_at_ms FROM old_run_event WHERE kitchen_id = ?`)
    await copyLots(sql, id)
    await connection.commit()
  }
  connection.release()
  await pool.query('ANALYZE TABLE ticket, ticket_item, run, run_part, run_event, rice_lot, rice_event, run_lot')
}

/** The rice of those days: every lot is over, with its log and with what the copied runs drew on it. */
async function copyLots(
  sql: (text: string) => Promise<void>,
  id: (table: string, column: string) => string,
): Promise<void> {
  const lot = (table: string, column: string) =>
    `CONCAT(LEFT(${table}.${column}, 24), LPAD(LOWER(HEX(@copy)), 12, '0'))`
  const columns = `name, number, grain, origin, born_at_ms - @ago, cooked_at_ms - @ago, mass_g, temp_c, place, place_id, rule_set,
                   \`load\`, IF(is_open, 'used', stage), 0, use_by_ms - @ago, COALESCE(ended_at_ms, born_at_ms + 86400000) - @ago,
                   end_reason, FALSE`
  await sql(`INSERT INTO rice_lot (kitchen_id, id, name, number, grain, origin, born_at_ms, cooked_at_ms, mass_g, temp_c, place,
                place_id, rule_set, \`load\`, stage, left_g, use_by_ms, ended_at_ms, end_reason, is_open)
             SELECT kitchen_id, ${lot('old_rice_lot', 'id')}, ${columns} FROM old_rice_lot WHERE kitchen_id = ?`)
  await sql(`INSERT INTO rice_event SELECT kitchen_id, ${id('old_rice_event', 'id')}, ${lot('old_rice_event', 'lot_id')}, device_id, kind,
               at_ms - @ago, counter, body, received_at_ms FROM old_rice_event WHERE kitchen_id = ?`)
  await sql(`INSERT INTO run_lot SELECT kitchen_id, ${id('old_run_lot', 'run_id')}, ${lot('old_run_lot', 'lot_id')}, mass_g
               FROM old_run_lot WHERE kitchen_id = ?`)
}
