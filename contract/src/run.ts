import { ROLES } from 'core/book/dish'
import { ALLERGY_MARKS } from 'core/line/allergyMarks'
import { COMPONENT_TROUBLES, RETIME_WHYS, TROUBLES, type RunEvent as CoreRunEvent } from 'core/wok/runEvent'
import { CHECKED_FOODS } from 'core/safety/limits'
import { HANDLINGS } from 'core/wok/heat/parameters'
import {
  ACTIONS,
  CAUTIONS,
  CUES,
  ENGINES,
  FIGURES,
  HEAT_LEVELS,
  REASONS,
  SURFACES,
  TOO_MUCH_CODES,
  type Score as CoreScore,
} from 'core/wok/score'
import { READING_WHYS } from 'core/rice/reading/riceReading'
import { z } from 'zod'
import { Allergen } from './dish'
import { areDistinct, Day, EventId, InstantMs, ItemId, Name, RunId, Slug, TicketId } from './ids'
import { PracticalMeasure } from './measure'

const CheckedFood = z.enum(CHECKED_FOODS)
const HoldPair = { coreC: z.number(), coreF: z.number().optional(), holdS: z.number() }

const Entry = z.strictObject({
  componentId: Slug,
  name: z.string(),
  role: z.enum(ROLES),
  massG: z.number().positive(),
  measure: PracticalMeasure,
  motion: z.enum(['in', 'out', 'back', 'plate']),
})

const Step = z.strictObject({
  id: z.string(),
  action: z.enum(ACTIONS),
  startS: z.number().min(0),
  durationS: z.number().min(0),
  heat: z.enum(HEAT_LEVELS),
  entries: z.array(Entry),
  cue: z.enum(CUES),
  reason: z.enum(REASONS),
  cautions: z.array(z.enum(CAUTIONS)),
  check: z
    .strictObject({
      food: CheckedFood,
      limit: z.strictObject({
        ...HoldPair,
        source: z.string(),
        equals: z.array(z.strictObject(HoldPair)).optional(),
      }),
    })
    .nullable(),
  figure: z.enum(FIGURES),
  figures: z.record(z.string().max(40), z.number()).optional(),
  handsOnS: z.number().min(0).optional(),
  latestS: z.number().optional(),
  surface: z.enum(SURFACES).optional(),
  apart: z.strictObject({ portions: z.int().min(1), without: z.array(z.string()) }).optional(),
  onPortions: z.int().min(1).optional(),
})

/** The score of a batch: its steps in seconds, heat and amounts. */
export const Score = z.strictObject({
  engine: z.enum(ENGINES),
  steps: z.array(Step).max(200),
  totalS: z.number(),
  riceMassG: z.number(),
  batchMassG: z.number(),
  basis: z
    .strictObject({
      stationVersion: z.int().min(0),
      handling: z.enum(HANDLINGS),
      riceTempC: z.number().min(-40).max(100),
      riceWaterFraction: z.number().min(0).max(1),
      riceLumpMm: z.number().min(0).max(80).optional(),
      choice: z.record(z.string().max(40), z.string().max(40)),
      learned: z.number().min(0.5).max(2).optional(),
      warns: z.array(z.enum(TOO_MUCH_CODES)),
    })
    .optional(),
}) satisfies z.ZodType<CoreScore>
export type Score = z.infer<typeof Score>

const eventBase = {
  id: EventId,
  runId: RunId,
  deviceId: z.string().min(1).max(64),
  atMs: InstantMs,
  counter: z.int().min(0),
}
const stepId = z.string().min(1).max(64)

/** Something that was said of a run. */
export const RunEvent = z.union([
  z.strictObject({ ...eventBase, kind: z.literal('done'), stepId }),
  z.strictObject({
    ...eventBase,
    kind: z.literal('checked'),
    stepId,
    ok: z.boolean(),
    tempC: z.number().min(-40).max(250).nullable(),
    tempF: z.number().min(-40).max(482).nullable(),
  }),
  z.strictObject({ ...eventBase, kind: z.literal('later'), stepId, delayS: z.int().min(1).max(600) }),
  z.strictObject({ ...eventBase, kind: z.literal('handsFree'), on: z.boolean() }),
  z.strictObject({
    ...eventBase,
    kind: z.literal('trouble'),
    trouble: z.enum(TROUBLES).exclude(COMPONENT_TROUBLES),
    stepId,
  }),
  z.strictObject({
    ...eventBase,
    kind: z.literal('trouble'),
    trouble: z.literal('forgot'),
    stepId,
    componentId: Slug,
  }),
  z.strictObject({
    ...eventBase,
    kind: z.literal('trouble'),
    trouble: z.literal('ranOut'),
    stepId,
    componentId: Slug,
    standIn: z.strictObject({ ingredientId: Slug, name: Name }).optional(),
  }),
  z.strictObject({ ...eventBase, kind: z.literal('flame'), stepId, heat: z.enum(HEAT_LEVELS) }),
  z.strictObject({
    ...eventBase,
    kind: z.literal('retimed'),
    stepId,
    steps: z.array(z.strictObject({ stepId, durationS: z.int().min(0).max(900) })).max(200),
    why: z.enum(RETIME_WHYS),
    componentId: Slug.nullable(),
    causeId: EventId.nullable(),
  }),
  z.strictObject({ ...eventBase, kind: z.literal('stopped') }),
  z.strictObject({ ...eventBase, kind: z.literal('undone'), eventId: EventId }),
]) satisfies z.ZodType<CoreRunEvent>
export type RunEvent = z.infer<typeof RunEvent>
/** What a device sends of a run at once; sending it twice changes nothing. */
export const RunEvents = z.strictObject({ events: z.array(RunEvent).min(1).max(200) })

/** Portions of one ticket line within a batch. */
export const RunPart = z.strictObject({
  itemId: ItemId,
  ticketId: TicketId,
  /** 0 for a ticket that the kitchen has not numbered yet. */
  ticketNumber: z.int().min(0),
  portions: z.int().min(1).max(200),
  modifiers: z.array(Slug),
})

/**
 * A batch fired at a station, with the score that the device derived. The server checks it against the dish, the tickets and
 * the rules; without one, or where it does not hold, it derives its own.
 */
export const FireRun = z.strictObject({
  id: RunId,
  dishId: Slug,
  dishVersion: z.int().positive(),
  stationId: Slug,
  cookId: Slug.nullable(),
  modifiers: z.array(Slug),
  allergies: z.array(Allergen),
  parts: z
    .array(RunPart)
    .min(1)
    .max(40)
    .refine((parts) => areDistinct(parts.map(({ itemId }) => itemId)), 'the same ticket line stands in it twice'),
  firedAtMs: InstantMs,
  promisedAtMs: InstantMs,
  handsFree: z.boolean(),
  deviceId: z.string().min(1).max(64),
  /** Fired while the kitchen had no network: the food is in the wok, so the run is kept whatever others fired. */
  isUnconfirmed: z.boolean(),
  score: Score.optional(),
})
export type FireRun = z.infer<typeof FireRun>

/** Over the station's cap, parts cooked differently than they were ordered, an allergy with others, not washed, or by a score that does not hold. */
const RUN_MARKS = ['overCap', 'mixedParts', ...ALLERGY_MARKS, 'scoreUnsound'] as const

/** Rice of one lot that a run took [g]. */
const RunLot = z.strictObject({ id: Slug, name: z.string(), massG: z.number().min(0) })

/** A run as the kitchen has it, with everything said of it. */
export const Run = FireRun.omit({ deviceId: true }).extend({
  dishName: z.string(),
  /** The lots its rice came from, first drawn first. */
  lots: z.array(RunLot),
  score: Score,
  state: z.enum(['open', 'finished', 'stopped']),
  endedAtMs: InstantMs.nullable(),
  /** Whether its rice is read; absent where every batch was. */
  riceReading: z
    .strictObject({ isAsked: z.boolean(), why: z.enum(READING_WHYS) })
    .nullable()
    .optional(),
  /** Portions that another run had already taken on: two devices fired the same ticket without a network between them. */
  twicePortions: z.int().min(0),
  /** What was not as it should be when it was fired without a network: the food was in the wok, so it is kept. */
  marks: z.array(z.enum(RUN_MARKS)).optional(),
  /** When the station was washed before an allergy; null where nobody said so. */
  washedAtMs: InstantMs.nullable().optional(),
  events: z.array(RunEvent),
})
export type Run = z.infer<typeof Run>
/** Runs that are not over. */
export const RunList = z.strictObject({ runs: z.array(Run) })

/** A past run in a list. */
export const RunRow = z.strictObject({
  id: RunId,
  dishId: Slug,
  dishName: z.string(),
  stationId: Slug,
  cookId: Slug.nullable(),
  /** Names of the lots its rice came from. */
  lots: z.array(z.string()),
  portions: z.int(),
  tickets: z.array(z.int()),
  riceMassG: z.number(),
  firedAtMs: InstantMs,
  endedAtMs: InstantMs.nullable(),
  state: z.enum(['open', 'finished', 'stopped']),
  plannedS: z.number(),
  actualS: z.number().nullable(),
  /** After the promise [s]; negative is time in hand. */
  afterPromiseS: z.number().nullable(),
  hasAllergy: z.boolean(),
  /** Troubles that were said and not taken back. */
  troubles: z.int().min(0),
})
export type RunRow = z.infer<typeof RunRow>
/** Which past runs to list; what is not given does not narrow. */
export const RunFilter = z.object({
  day: Day.optional(),
  dish: Slug.optional(),
  station: Slug.optional(),
  cook: Slug.optional(),
  /** Only runs with a trouble, stopped, or more than half a minute after the promise. */
  trouble: z.literal('1').optional(),
})
export type RunFilter = z.infer<typeof RunFilter>

/** `next` is handed back as `before` for the page after this one. */
export const RunPage = z.strictObject({ runs: z.array(RunRow), next: z.string().nullable() })
export type RunPage = z.infer<typeof RunPage>

/** One change somewhere in the kitchen; an open screen asks again for what it shows of the topic. */
export const LiveChange = z.strictObject({
  no: z.int().min(0),
  topic: z.enum(['tickets', 'runs', 'line', 'book', 'kitchen', 'feed', 'rice', 'mise', 'people']),
  key: z.string(),
})
export type LiveChange = z.infer<typeof LiveChange>
