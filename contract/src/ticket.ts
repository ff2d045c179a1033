import { ALLERGY_MARKS } from 'core/line/allergyMarks'
import { z } from 'zod'
import { Allergen } from './dish'
import { areDistinct, EventId, InstantMs, ItemId, line, Slug, TicketId } from './ids'

/** The most portions that one line of a ticket may order. */
export const MAX_PORTIONS = 60

const portions = z
  .int('portions are a whole number')
  .min(1, 'at least 1 portion')
  .max(MAX_PORTIONS, `at most ${MAX_PORTIONS} portions on one line: write a second ticket`)

/** A line of a new ticket. */
const NewTicketItem = z.strictObject({
  id: ItemId.optional(),
  dishId: Slug,
  portions,
  modifiers: z.array(Slug).max(20).default([]),
  allergies: z.array(Allergen).max(14).default([]),
  /** The lead who took on what something in it may contain. */
  allowedBy: Slug.nullable().default(null),
})

/** A ticket as a person, a feed or another system writes it. With an id of its own, sending it twice changes nothing. */
export const NewTicket = z.strictObject({
  id: TicketId.optional(),
  items: z
    .array(NewTicketItem)
    .min(1, 'a ticket has at least one line')
    .max(30)
    .refine((items) => areDistinct(items.flatMap(({ id }) => id ?? [])), 'two lines have the same id'),
  promisedAtMs: InstantMs,
  kind: z.enum(['dine', 'take']).default('dine'),
  place: line(40).default(''),
  source: z.enum(['hand', 'feed', 'outside']).default('outside'),
})
export type NewTicket = z.infer<typeof NewTicket>
/** A new ticket as it is sent, before defaults are filled in. */
export type NewTicketBody = z.input<typeof NewTicket>
/** One new ticket, or up to a hundred of a feed. */
export const NewTickets = z.union([NewTicket, z.array(NewTicket).min(1).max(100)])

/** A line of a ticket, and how much of it is fired and done. */
const TicketItem = z.strictObject({
  id: ItemId,
  dishId: Slug,
  portions: z.int().positive(),
  modifiers: z.array(Slug),
  allergies: z.array(Allergen),
  allowedBy: Slug.nullable(),
  /** Portions that a run has taken on. */
  firedPortions: z.int().min(0),
  /** Portions whose run is over. */
  donePortions: z.int().min(0),
})

/** A ticket as the kitchen has it. */
export const Ticket = z.strictObject({
  id: TicketId,
  number: z.int().positive(),
  placedAtMs: InstantMs,
  promisedAtMs: InstantMs,
  kind: z.enum(['dine', 'take']),
  place: z.string(),
  source: z.enum(['hand', 'feed', 'outside', 'demo']),
  isCancelled: z.boolean(),
  items: z.array(TicketItem),
})
export type Ticket = z.infer<typeof Ticket>
/** Tickets that were placed. */
export const TicketList = z.strictObject({ tickets: z.array(Ticket) })
/** What stands behind a page of open tickets; `after` asks for the next page. */
export const LaterTickets = z.strictObject({
  tickets: z.int().positive(),
  /** Portions of them that nobody has fired. */
  portions: z.int().min(0),
  firstPromisedAtMs: InstantMs,
  after: z.string(),
})
export type LaterTickets = z.infer<typeof LaterTickets>
/** The open tickets that are promised first, and what stands behind them. */
export const OpenTickets = z.strictObject({ tickets: z.array(Ticket), later: LaterTickets.nullable() })
export type OpenTickets = z.infer<typeof OpenTickets>

/** What is said of a ticket after it was placed. */
export const TicketEvent = z.strictObject({
  id: EventId,
  kind: z.enum(['cancelled', 'restored', 'handedOver', 'recalled']),
  atMs: InstantMs,
  counter: z.int().min(0),
})
export type TicketEvent = z.infer<typeof TicketEvent>
/** What a device says of a ticket at once. */
export const TicketEvents = z.strictObject({ events: z.array(TicketEvent).min(1).max(20) })

/** A ticket with something up: what each run brought, and when it was handed over. */
export const PassTicket = z.strictObject({
  ticket: Ticket,
  handedOverAtMs: InstantMs.nullable(),
  ups: z.array(
    z.strictObject({
      itemId: ItemId,
      dishId: Slug,
      portions: z.int().positive(),
      upAtMs: InstantMs,
      /** What was wrong with the run that touches an allergy. */
      marks: z.array(z.enum(ALLERGY_MARKS)),
    }),
  ),
})
export type PassTicket = z.infer<typeof PassTicket>
/** What stands on the pass, and what was handed over a moment ago. */
export const Pass = z.strictObject({ tickets: z.array(PassTicket) })
