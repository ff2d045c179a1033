import { v7 as newId } from 'uuid'
import { migrate } from '../db/migrate'
import { openPool } from '../db/pool'
import { foldLot, policyOf } from '../rice/foldLot'
import { findRiceHouse } from '../rice/house.sql'
import { listOpenLots } from '../rice/lots.sql'
import { findKitchen } from '../setup/kitchen.sql'
import { prepareDemo } from './prepareDemo'

/** The sample kitchen is opened at any hour; its shelf must not depend on which. */
test.each(['00:10', '05:50', '11:00', '23:55'])('at %s the two lots of the evening can be fried', async (time) => {
  const nowMs = new Date(`2027-03-10T${time}:00`).getTime()
  const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
  const at = { socketPath, user: 'root', database: `night_${newId().replaceAll('-', '')}` }
  await migrate(at, new URL(`file://${__dirname}/../db/migrations/`))
  const pool = openPool(at)
  try {
    const kitchenId = await prepareDemo(pool, nowMs, 0)
    const connection = await pool.getConnection()
    const kitchen = (await findKitchen(connection, kitchenId))!
    const house = await findRiceHouse(connection, kitchenId)
    const usable = (await listOpenLots(connection, kitchenId))
      .filter((lot) => foldLot(lot, policyOf(kitchen, house), nowMs).isUsable)
      .map((lot) => lot.name)
    connection.release()
    expect(usable).toEqual(['R-17', 'R-18'])
  } finally {
    await pool.query(`DROP DATABASE ${at.database}`)
    await pool.end()
  }
})
