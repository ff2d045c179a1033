import { hashOf } from 'core/math/hashOf'
import type { StationTimes } from 'core/line/stationTimes'
import { z } from 'zod'
import { workerPath } from '../device/newWorker'
import { keepIfRoom, readKept } from '../device/storage'

/**
 * Times that this device worked out before: a page that is opened again plans with them at once, without working for seconds.
 * They are estimates for the plan; a batch that is fired has a score that is always derived anew.
 */
const KEY = 'okazu.times'
const MOST = 400
/** So long after the last answer they are written down together [ms]. */
const AFTER_MS = 1000

const Share = z.number().min(0).max(1)
const Times = z.object({
  seconds: z.array(z.number().nonnegative()),
  handsOff: z.object({ fromShare: Share, toShare: Share }).optional(),
})
const Kept = z.object({ program: z.string(), times: z.array(z.tuple([z.string(), Times])) })

let known: Map<string, StationTimes> | null = null
let writing: ReturnType<typeof setTimeout> | null = null

/** What another program worked out is nobody's: its figures may be others. */
const program = (): string => workerPath('wok') ?? ''

function read(): Map<string, StationTimes> {
  if (known) return known
  known = new Map()
  try {
    const kept = Kept.parse(JSON.parse(readKept(KEY) ?? ''))
    if (kept.program === program()) known = new Map(kept.times)
  } catch {
    // Nothing is there, or nothing that can be read: it is worked out again.
  }
  return known
}

/** The times that were worked out for all that they depend on; null where they were not, or by another program. */
export const timesBefore = (matter: string): StationTimes | null => read().get(hashOf(matter)) ?? null

/** Keeps times for the next time that the page is opened; a device without room goes on without. */
export function keepTimes(matter: string, times: StationTimes): void {
  const all = read()
  all.set(hashOf(matter), times)
  if (all.size > MOST) all.delete(all.keys().next().value!)
  writing ??= setTimeout(() => {
    writing = null
    keepIfRoom(KEY, JSON.stringify({ program: program(), times: [...all] }))
  }, AFTER_MS)
}
