import { z } from 'zod'

/** Things that a person named once: dishes, components, stations, staff, lots. */
export const Slug = z
  .string()
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'lower-case letters, digits and single hyphens')
  .max(64)

/** Ids made by devices: UUIDv7 (RFC 9562), so that they sort by time; any UUID is taken. */
export const TicketId = z.uuid().brand<'TicketId'>()
/** A line of a ticket. */
export const ItemId = z.uuid().brand<'ItemId'>()
/** A run: one batch from Fire to its end. */
export const RunId = z.uuid().brand<'RunId'>()
/** Something that was said of a run, a lot, a plan or a station. */
export const EventId = z.uuid().brand<'EventId'>()
export type TicketId = z.infer<typeof TicketId>
export type ItemId = z.infer<typeof ItemId>
export type RunId = z.infer<typeof RunId>
export type EventId = z.infer<typeof EventId>

/** A day of a kitchen's calendar: 2026-11-26. */
export const Day = z.iso.date()

/** An instant [ms since 1970, UTC]. */
export const InstantMs = z.int().min(0).max(8_640_000_000_000_000)

/** A name that people read: any script, no control characters. It is data wherever it goes, never markup or SQL. */
export const Name = z
  .string()
  .trim()
  .min(1, 'give it a name')
  .max(120, 'at most 120 characters')
  // eslint-disable-next-line no-control-regex
  .regex(/^[^\u0000-\u001f\u007f]*$/, 'no line breaks or control characters')
