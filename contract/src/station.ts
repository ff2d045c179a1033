import { STATION_WORDS } from 'core/line/stationPast'
import { z } from 'zod'
import { EventId, InstantMs, Slug } from './ids'

const eventBase = {
  id: EventId,
  stationId: Slug,
  deviceId: z.string().min(1).max(64),
  staffId: Slug.nullable(),
  atMs: InstantMs,
}
/** What is said of a station: it was washed in full, brushed or wiped, by hand; or that one of these was not so. */
export const StationEvent = z.union([
  z.strictObject({ ...eventBase, kind: z.enum(STATION_WORDS) }),
  z.strictObject({
    ...eventBase,
    kind: z.literal('undone'),
    eventId: EventId,
    /** What was said by it, and when: for a device that must show it as not so before the kitchen has answered. */
    was: z.strictObject({ kind: z.enum(STATION_WORDS), atMs: InstantMs }),
  }),
])
export type StationEvent = z.infer<typeof StationEvent>
/** What a device says of a station at once. */
export const StationEvents = z.strictObject({ events: z.array(StationEvent).min(1).max(50) })

/** What is known of a station's metal. */
export const StationPastRow = z.strictObject({
  stationId: Slug,
  lastDishId: Slug.nullable(),
  usedUntilMs: InstantMs.nullable(),
  washedAtMs: InstantMs.nullable(),
  wipedAtMs: InstantMs.nullable(),
  brushedAtMs: InstantMs.nullable(),
})
export type StationPastRow = z.infer<typeof StationPastRow>
/** What is known of every station's metal. */
export const StationPasts = z.strictObject({ stations: z.array(StationPastRow) })
export type StationPasts = z.infer<typeof StationPasts>
