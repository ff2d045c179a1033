import { createHash, randomBytes, randomInt, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto'
import { promisify } from 'node:util'

const derive = promisify<string, Buffer, number, ScryptOptions, Buffer>(scrypt)

/** OWASP's password storage cheat sheet, from memory: N = 2^14, r = 8, p = 5 is one of its equal choices. */
const COST = { N: 16_384, r: 8, p: 5 }
const KEY_BYTES = 32
const SALT_BYTES = 16
const TOKEN_BYTES = 32

/** A PIN or a code, salted and hashed by scrypt: "scrypt$salt$key". */
export async function hashSecret(secret: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES)
  const key = await derive(secret, salt, KEY_BYTES, COST)
  return `scrypt$${salt.toString('base64url')}$${key.toString('base64url')}`
}

/** Whether a secret is the one that was hashed; it takes the same time either way. */
export async function isSecret(secret: string, hash: string): Promise<boolean> {
  const [kind, salt = '', key = ''] = hash.split('$')
  if (kind !== 'scrypt') return false
  const kept = Buffer.from(key, 'base64url')
  const tried = await derive(secret, Buffer.from(salt, 'base64url'), KEY_BYTES, COST)
  return kept.length === tried.length && timingSafeEqual(kept, tried)
}

/** What a device's cookie holds: 256 bits of chance, of which the database knows only the digest. */
export const newToken = (): string => randomBytes(TOKEN_BYTES).toString('base64url')

/** SHA-256 of something that is long and of chance, in hexadecimal: enough where nothing can be guessed. */
export const digest = (text: string): string => createHash('sha256').update(text).digest('hex')

/** Letters and figures that are not taken for one another on paper. */
const CLEAR_SIGNS = '23456789ABCDEFGHJKMNPQRSTVWXYZ'
const GROUP = 4
const RECOVERY_GROUPS = 5

/** A code to be read off a screen or paper: groups of four, nearly five bits a sign. */
export function newCode(groups: number): string {
  const group = () => Array.from({ length: GROUP }, () => CLEAR_SIGNS[randomInt(CLEAR_SIGNS.length)]).join('')
  return Array.from({ length: groups }, group).join('-')
}

/** The owner's code on paper: five groups of four signs, nearly a hundred bits. */
export const newRecoveryCode = (): string => newCode(RECOVERY_GROUPS)

/** A code as it was meant, however it was typed. */
export const plainCode = (typed: string): string => typed.toUpperCase().replace(/[^0-9A-Z]/g, '')
