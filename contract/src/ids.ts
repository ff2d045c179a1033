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

/** Whether no id stands in a list twice. */
export const areDistinct = (ids: readonly string[]): boolean => new Set(ids).size === ids.length

/** A day of a kitchen's calendar: 2026-11-26. */
export const Day = z.iso.date()

/** An instant [ms since 1970, UTC], of the years in which a kitchen may use this: others are a slip of unit or clock. */
export const InstantMs = z
  .int()
  .min(Date.UTC(2020, 0), 'before 2020: give milliseconds since 1970')
  .max(Date.UTC(2100, 0), 'after 2099: give milliseconds since 1970')

/** No line breaks or control characters, none that turn the direction of what follows, no half of a character. */
const ONE_LINE = /^[^\p{Cc}\p{Cs}\p{Zl}\p{Zp}\p{Bidi_Control}]*$/u

/** One line of text that people read, in any script. It is data wherever it goes, never markup or SQL. */
export const line = (maxLength: number, minLength = 0, tooShort = 'write something') =>
  z
    .string()
    .trim()
    .min(minLength, tooShort)
    .max(maxLength, `at most ${maxLength} characters`)
    .refine(
      (text) => ONE_LINE.test(text),
      'one line, without control characters or marks that turn the direction of writing',
    )

/** A name: one line, and not empty. */
export const Name = line(120, 1, 'give it a name')
