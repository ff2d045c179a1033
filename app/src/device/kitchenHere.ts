import { z } from 'zod'
import { readKept } from './storage'

/** Under this key stands what the kitchen last said of this device (`people/me`). */
export const ME_KEY = 'okazu.me'
const Kept = z.object({ kitchen: z.object({ id: z.string() }) })

/** The kitchen that this device was let into; null before it was. */
export function kitchenHere(): string | null {
  try {
    return Kept.safeParse(JSON.parse(readKept(ME_KEY) ?? 'null')).data?.kitchen.id ?? null
  } catch {
    return null
  }
}

const listeners = new Set<() => void>()
/** Tells when this device was let into another kitchen. @returns stops telling */
export function onMoved(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
export const noteMoved = (): void => listeners.forEach((listener) => listener())
