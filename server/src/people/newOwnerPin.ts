import { randomInt } from 'node:crypto'
import type { Pool } from 'mysql2/promise'
import { inTransaction } from '../db/pool'
import { noteChange } from './audit.sql'
import { listPeople, savePinHash } from './people.sql'
import { hashSecret } from './secrets'

const FIGURES = 6

export async function firstOwnerOf(pool: Pool, kitchenId: string): Promise<{ id: string; name: string } | null> {
  return (await listPeople(pool, kitchenId)).find(({ role }) => role === 'owner') ?? null
}

/** A PIN of chance. */
export const freshPin = (): string => Array.from({ length: FIGURES }, () => randomInt(10)).join('')

/** Gives an owner a PIN of chance; whoever can do this has the machine in their hands. */
export async function newOwnerPin(
  pool: Pool,
  kitchenId: string,
  owner: { id: string; name: string },
  nowMs: number,
): Promise<string> {
  const pin = freshPin()
  const hash = await hashSecret(pin)
  await inTransaction(pool, async (connection) => {
    await savePinHash(connection, kitchenId, owner.id, hash)
    const by = { staffId: null, deviceId: null }
    await noteChange(connection, kitchenId, by, { what: 'recovered', subject: owner.name }, nowMs)
  })
  return pin
}
