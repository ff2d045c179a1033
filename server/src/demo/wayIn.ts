import { needsPin } from 'core/people/roles'
import type { Pool } from 'mysql2/promise'
import { beginAccess, PAIRING_MS } from '../people/beginAccess'
import { listPeople } from '../people/people.sql'
import { DEMO_PINS } from './demoPins'
import { DEMO_KITCHEN_ID } from './kitchen'

const MIN_MS = 60_000

/**
 * What the start command says of the way in: a code for one device of the sample kitchen, with the PINs of its people, or
 * of a kitchen that has nobody yet. Into a kitchen with people an owner lets devices.
 */
export async function wayIn(pool: Pool, kitchenId: string, base: string, nowMs: number): Promise<string[]> {
  const people = await listPeople(pool, kitchenId)
  const isDemo = kitchenId === DEMO_KITCHEN_ID
  if (!isDemo && people.length > 0)
    return [
      'Devices come in by a code that an owner shows in Setup, Devices; npm run owner helps an owner who is locked out',
    ]
  const { code } = await beginAccess(pool, kitchenId, nowMs)
  const open = `${base}/pair?code=${code} (one device, within ${PAIRING_MS / MIN_MS} minutes)`
  if (!isDemo) return [`Begin your own kitchen at ${open}`]
  const pins = people.map(({ id, name, role }) => `${name}, ${role}: ${needsPin(role) ? DEMO_PINS[id] : 'no PIN'}`)
  return [`A device comes in by ${open}`, `People of the sample kitchen: ${pins.join(' · ')}`]
}
