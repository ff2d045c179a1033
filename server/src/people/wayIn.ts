import type { Pool } from 'mysql2/promise'
import { needsPin } from 'core/people/roles'
import { insertPairingCode } from './devices.sql'
import { PAIRING_GROUPS, PAIRING_MS } from './devices.route'
import { listPeople } from './people.sql'
import { digest, newCode, plainCode } from './secrets'

/**
 * What the start command says of the way in: a code for one device, and the PINs of people that are no secret.
 * @param knownPins PINs by the ids of people, as those of the sample kitchen
 */
export async function wayIn(
  pool: Pool,
  kitchenId: string,
  base: string,
  nowMs: number,
  knownPins: Readonly<Record<string, string>>,
): Promise<string[]> {
  const code = newCode(PAIRING_GROUPS)
  await insertPairingCode(pool, kitchenId, { hash: digest(plainCode(code)), madeBy: null, untilMs: nowMs + PAIRING_MS })
  const people = await listPeople(pool, kitchenId)
  const pins = people.flatMap(({ id, name, role }) => {
    const pin = needsPin(role) ? knownPins[id] : 'no PIN'
    return pin === undefined ? [] : [`${name}, ${role}: ${pin}`]
  })
  return [
    `A device comes in by ${base}/pair?code=${code} (one device, within ${PAIRING_MS / 60_000} minutes)`,
    ...(pins.length > 0 ? [`People of the sample kitchen: ${pins.join(' · ')}`] : []),
  ]
}
