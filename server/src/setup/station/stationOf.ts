import type { Db } from '../../db/pool'
import { Problem } from '../../http/problems'
import { kitchenOf } from '../kitchenOf'

/** A station of the kitchen by its id. @throws {Problem} unknown-station */
export async function stationOf(db: Db, kitchenId: string, id: string) {
  const kitchen = await kitchenOf(db, kitchenId)
  const station = kitchen.stations.find((one) => one.id === id)
  if (!station)
    throw new Problem('unknown-station', {
      detail: `no station "${id}": use one of ${kitchen.stations.map((one) => one.id).join(', ')}`,
    })
  return { kitchen, station }
}
