import type { Pool } from 'mysql2/promise'
import { listPeople, savePinHash } from '../people/people.sql'
import { hashSecret } from '../people/secrets'
import { DEMO_KITCHEN_ID } from './kitchen'

/** PINs of the sample kitchen's people: no secret, the start command prints them. A trainee needs none. */
export const DEMO_PINS: Readonly<Record<string, string>> = {
  odalys: '4826',
  bram: '1379',
  wen: '5124',
  ifeoma: '6935',
}

/** Gives the people of the sample kitchen their PINs where they have none. */
export async function setDemoPins(pool: Pool): Promise<void> {
  for (const { id, hasPin } of await listPeople(pool, DEMO_KITCHEN_ID)) {
    const pin = DEMO_PINS[id]
    if (!hasPin && pin !== undefined) await savePinHash(pool, DEMO_KITCHEN_ID, id, await hashSecret(pin))
  }
}
