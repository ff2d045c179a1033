import { nextStamp, type Stamp } from 'core/event/eventOrder'
import { v7 } from 'uuid'
import { kitchenNowMs } from './clock'
import { keep, readKept } from './storage'

const DEVICE_KEY = 'okazu.device'

/** A UUIDv7 made here, as an id of the kind that is asked for. */
export const newId = <Id extends string = string>(): Id => v7() as Id

/** This device's own name in events, made once. */
export function deviceId(): string {
  const kept = readKept(DEVICE_KEY)
  if (kept) return kept
  const made = newId()
  keep(DEVICE_KEY, made)
  return made
}

let last: Stamp | null = null

/** The stamp of something said now: the kitchen's time, never earlier than what this page said before. */
export function stampNow(): Stamp {
  last = nextStamp(last, Math.round(kitchenNowMs()))
  return last
}
