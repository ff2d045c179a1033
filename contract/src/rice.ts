import { LOOSENESS } from 'core/rice/lot/looseness'
import { GRAINS, METHODS, WASHES } from 'core/rice/cookMethod'
import { COOLING_PLACES } from 'core/rice/cooling/coolingPlace'
import {
  DISCARD_REASONS,
  DOUBTS,
  LOT_ORIGINS,
  REFUSE_REASONS,
  type LotEvent as CoreLotEvent,
} from 'core/rice/lot/lotEvent'
import { LOT_STAGES } from 'core/rice/lot/lotState'
import { celsiusOf } from 'core/measure/temperature'
import { MIN_TARGET_WATER_FRACTION, MAX_TARGET_WATER_FRACTION } from 'core/rice/waterBalance'
import { RULE_SETS } from 'core/safety/limits'
import { z } from 'zod'
import { EventId, InstantMs, line, Name, RunId, Slug } from './ids'

/** A lot's id: a UUIDv7 made by the device that began it (older ones bear names such as r-17). */
export const LotId = Slug
/** Where a lot stands. */
export const LotPlace = z.enum([...COOLING_PLACES, 'bench', 'freezer'])
/** Shares of grains in a load; they sum to one. */
export const Blend = z
  .partialRecord(z.enum(GRAINS), z.number().min(0).max(1))
  .refine((blend) => Math.abs(Object.values(blend).reduce((sum, share) => sum + share, 0) - 1) < 1e-6, {
    message: 'shares of a blend sum to 1',
  })

const massG = z.number().min(0, 'a mass is not below 0').max(1_000_000, 'more than a tonne: give grams')
/** Above boiling it is no °C; the doubt is asked about on the phone before it comes here. */
const tempC = z.number().min(-40, 'colder than any freezer: give °C').max(250)
/** °F as it was read where the thermometer speaks it, beside the same in °C. */
const tempF = z.number().min(-40, 'colder than any freezer: give °F').max(482)
const temperature = { tempC, tempF: tempF.nullable().optional() }
const SAME_WITHIN_K = 0.5
const isOneTemperature = (read: { tempC: number; tempF?: number | null | undefined }) =>
  typeof read.tempF !== 'number' || Math.abs(celsiusOf(read.tempF) - read.tempC) <= SAME_WITHIN_K
const TWO_TEMPERATURES = {
  path: ['tempF'],
  message: 'is not the same temperature as tempC: give °F as it was read, and the same in °C',
}

/** What went into the vessel. */
export const Load = z.strictObject({
  vesselId: Slug,
  method: z.enum(METHODS),
  blend: Blend,
  wash: z.enum(WASHES),
  dryMassG: massG.positive(),
  waterG: massG,
  targetWaterFraction: z.number().min(MIN_TARGET_WATER_FRACTION).max(MAX_TARGET_WATER_FRACTION),
})
export type Load = z.infer<typeof Load>

/** A lot as it begins: a load on the heat, or rice from elsewhere with its age, weight and temperature asked for. */
export const NewLot = z.discriminatedUnion('origin', [
  z.strictObject({ id: LotId, origin: z.literal('cooked'), atMs: InstantMs, load: Load }),
  z.strictObject({
    id: LotId,
    origin: z.enum(LOT_ORIGINS).exclude(['cooked']),
    atMs: InstantMs,
    cookedAtMs: InstantMs,
    massG: massG.positive(),
    ...temperature,
    place: LotPlace,
    placeId: Slug.nullable(),
    grain: z.enum(GRAINS),
    /** It was cooled once and heated again: a second cooling is not taken. */
    isReheated: z.boolean(),
  }),
])
export type NewLot = z.infer<typeof NewLot>

const base = {
  id: EventId,
  lotId: LotId,
  deviceId: z.string().min(1).max(64),
  /** Who held the device, where somebody said so. */
  staffId: Slug.nullable().optional(),
  atMs: InstantMs,
  counter: z.int().min(0),
}
const placed = { placeId: Slug.nullable(), covered: z.boolean(), airTempC: z.number().min(-40).max(60).nullable() }
const depthM = z.number().min(0).max(10)
const spread = {
  ...placed,
  ...temperature,
  kind: z.literal('spread'),
  massG: massG.positive(),
  depthM,
  trays: z.int().min(1).max(200),
  place: z.enum(COOLING_PLACES),
}
const moved = { ...placed, kind: z.literal('moved'), place: LotPlace, depthM: depthM.nullable() }
const read = { ...temperature, kind: z.literal('read'), source: z.enum(['dial', 'probe']) }
const confirmed = { kind: z.literal('confirmed'), eventId: EventId }
const counted = { kind: z.literal('counted'), massG }
const discarded = { kind: z.literal('discarded'), massG: massG.nullable(), reason: z.enum(DISCARD_REASONS) }
const refused = { kind: z.literal('refused'), reason: z.enum(REFUSE_REASONS) }
const accepted = {
  kind: z.literal('accepted'),
  reason: line(200, 3, 'say why in a few words'),
  staffId: Slug,
}
const loosened = { kind: z.literal('loosened'), looseness: z.enum(LOOSENESS) }
const finished = { kind: z.literal('finished') }
const undone = { kind: z.literal('undone'), eventId: EventId }
const doubt = z.enum(DOUBTS).nullable()

/** What a device may say of a lot. Doubts are not among it: the kitchen has them. */
export const SaidOfLot = z.discriminatedUnion('kind', [
  z.strictObject({ ...base, ...spread }).refine(isOneTemperature, TWO_TEMPERATURES),
  z.strictObject({ ...base, ...moved }),
  z.strictObject({ ...base, ...read }).refine(isOneTemperature, TWO_TEMPERATURES),
  z.strictObject({ ...base, ...confirmed }),
  z.strictObject({ ...base, ...counted }),
  z.strictObject({ ...base, ...discarded }),
  z.strictObject({ ...base, ...refused }),
  z.strictObject({ ...base, ...accepted }),
  z.strictObject({ ...base, ...loosened }),
  z.strictObject({ ...base, ...finished }),
  z.strictObject({ ...base, ...undone }),
])
export type SaidOfLot = z.infer<typeof SaidOfLot>
/** What a device sends of a lot at once; sending it twice changes nothing. */
export const SaidOfLots = z.strictObject({ events: z.array(SaidOfLot).min(1).max(200) })

const ruleSet = z.enum(RULE_SETS)
/** When the kitchen heard it: null while it waits on a device. */
const heard = { ...base, heardMs: InstantMs.nullable().optional() }
const Brought = z.strictObject({
  spreadAtMs: InstantMs.nullable(),
  cooledAtMs: InstantMs.nullable(),
  ruleSets: z.array(ruleSet),
  readings: z.array(
    z.strictObject({
      eventId: z.string(),
      atMs: InstantMs,
      tempC: z.number(),
      tempF: z.number().nullable(),
      source: read.source,
      doubt,
    }),
  ),
  acceptedSteps: z.array(z.string()),
  isOut: z.boolean(),
})
/** Something that was said or found of a lot, with the doubt it was said under. */
export const LotEvent = z.discriminatedUnion('kind', [
  z.strictObject({ ...heard, ...spread }),
  z.strictObject({ ...heard, ...moved }),
  z.strictObject({ ...heard, ...read, doubt }),
  z.strictObject({ ...heard, ...confirmed }),
  z.strictObject({ ...heard, ...counted }),
  z.strictObject({ ...heard, ...discarded }),
  z.strictObject({ ...heard, ...refused }),
  z.strictObject({ ...heard, ...accepted, staffId: Slug.nullable() }),
  z.strictObject({ ...heard, ...loosened }),
  z.strictObject({ ...heard, ...finished }),
  z.strictObject({ ...heard, ...undone }),
  z.strictObject({ ...heard, kind: z.literal('gave'), toLotId: LotId, massG }),
  z.strictObject({
    ...heard,
    kind: z.literal('took'),
    fromLotId: LotId,
    massG,
    cookedAtMs: InstantMs,
    outS: z.number().min(0),
    frozenMs: z.number().min(0),
    freezes: z.int().min(0),
    brought: Brought.nullable().optional(),
  }),
  z.strictObject({ ...heard, kind: z.literal('used'), runId: RunId, massG }),
  z.strictObject({ ...heard, kind: z.literal('ruleSet'), from: ruleSet, to: ruleSet }),
]) satisfies z.ZodType<CoreLotEvent>
export type LotEvent = z.infer<typeof LotEvent>

/** A lot: what it was born with and everything said of it since; `lotState` of core folds the two. */
export const Lot = z.strictObject({
  id: LotId,
  name: Name,
  number: z.int().min(0),
  grain: z.string(),
  origin: z.enum(LOT_ORIGINS),
  bornAtMs: InstantMs,
  cookedAtMs: InstantMs.nullable(),
  massG: massG.nullable(),
  tempC: z.number().nullable(),
  tempF: z.number().nullable().optional(),
  place: LotPlace.nullable(),
  placeId: Slug.nullable(),
  ruleSet,
  load: Load.nullable(),
  events: z.array(LotEvent),
})
export type Lot = z.infer<typeof Lot>
/** Lots that are not over. */
export const LotList = z.strictObject({ lots: z.array(Lot) })
export type LotList = z.infer<typeof LotList>

/** Part of a cold lot into a new lot, or one cold lot poured to another. */
export const Portioning = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('split'), id: EventId, toLotId: LotId, massG: massG.positive(), atMs: InstantMs }),
  z.strictObject({ kind: z.literal('merge'), id: EventId, toLotId: LotId, massG: massG.positive(), atMs: InstantMs }),
])
export type Portioning = z.infer<typeof Portioning>

/** A past lot in a list. */
export const LotRow = z.strictObject({
  id: LotId,
  name: Name,
  grain: z.string(),
  origin: z.enum(LOT_ORIGINS),
  bornAtMs: InstantMs,
  cookedAtMs: InstantMs.nullable(),
  endedAtMs: InstantMs.nullable(),
  stage: z.enum(LOT_STAGES),
  reason: z.enum([...DISCARD_REASONS, ...REFUSE_REASONS]).nullable(),
})
export type LotRow = z.infer<typeof LotRow>
/** Past lots, newest first; `next` is handed back for the page after. */
export const LotPage = z.strictObject({ lots: z.array(LotRow), next: z.string().nullable() })

/** Both ways: the tickets that got rice of a lot, or the lots that a ticket's rice came from. */
export const TracedRun = z.strictObject({
  runId: RunId,
  lotId: LotId,
  dishName: z.string(),
  firedAtMs: InstantMs,
  massG: z.number(),
  tickets: z.array(z.strictObject({ number: z.int(), place: z.string(), portions: z.int() })),
})
export type TracedRun = z.infer<typeof TracedRun>
/** From lots to tickets: the lots asked for, and every run that got rice of them. */
export const Trace = z.strictObject({
  lots: z.array(z.strictObject({ id: LotId, name: Name, stage: z.enum(LOT_STAGES), cookedAtMs: InstantMs.nullable() })),
  runs: z.array(TracedRun),
})
export type Trace = z.infer<typeof Trace>

/** The simulated probe: in which lot it stands, and how it is made to fail. */
export const PROBE_FAULTS = ['none', 'silent', 'stuck', 'late', 'unit'] as const
/** Which lot the probe stands in, and how the simulated one fails. */
export const Probe = z.strictObject({ lotId: LotId.nullable(), fault: z.enum(PROBE_FAULTS) })
export type Probe = z.infer<typeof Probe>
/** The probe as it is, since when, and when it last read. */
export const ProbeNow = Probe.extend({ sinceMs: InstantMs.nullable(), readAtMs: InstantMs.nullable() })
export type ProbeNow = z.infer<typeof ProbeNow>
