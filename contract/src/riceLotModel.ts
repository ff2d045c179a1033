import { LOOSENESS } from 'core/rice/lot/looseness'
import { COOLING_PLACES } from 'core/rice/cooling/coolingPlace'
import { DISCARD_REASONS, DOUBTS, LOT_ORIGINS, REFUSE_REASONS } from 'core/rice/lot/lotEvent'
import { LOT_STAGES } from 'core/rice/lot/lotState'
import { RULE_SETS } from 'core/safety/limits'
import { z } from 'zod'
import { Staff } from './kitchen'
import { LotPlace } from './rice'

const seconds = z.number().min(-31_536_000).max(31_536_000)
const massG = z.number().min(0).max(1_000_000)
const base = {
  id: z.string().min(1).max(64).optional(),
  lotId: z.string().nullish(),
  deviceId: z.string().nullish(),
  counter: z.int().min(0).nullish(),
  staffId: z.string().nullish(),
  atS: seconds,
  /** When the server heard it; as it was said where it is left out. */
  saidAtS: seconds.nullish(),
}
const placed = {
  placeId: z.string().nullish(),
  covered: z.boolean().nullish(),
  airTempC: z.number().min(-40).max(60).nullish(),
  depthM: z.number().min(0).max(10).nullish(),
}
const temperature = { tempC: z.number().min(-40).max(250).nullish(), tempF: z.number().min(-40).max(482).nullish() }
const isRead = (one: { tempC?: number | null | undefined; tempF?: number | null | undefined }) =>
  typeof one.tempC === 'number' || typeof one.tempF === 'number'
const NOT_READ = { path: ['tempC'], message: 'no temperature: give tempC, or tempF as it was read' }

const LotModelEvent = z.discriminatedUnion('kind', [
  z
    .strictObject({
      ...base,
      ...placed,
      ...temperature,
      kind: z.literal('spread'),
      massG: massG.nullish(),
      trays: z.int().min(1).nullish(),
      place: z.enum(COOLING_PLACES).nullish(),
    })
    .refine(isRead, NOT_READ),
  z.strictObject({ ...base, ...placed, kind: z.literal('moved'), place: LotPlace }),
  z
    .strictObject({
      ...base,
      ...temperature,
      kind: z.literal('read'),
      source: z.enum(['dial', 'probe']).nullish(),
      doubt: z.enum(DOUBTS).nullish(),
    })
    .refine(isRead, NOT_READ),
  z.strictObject({ ...base, kind: z.literal('confirmed'), eventId: z.string() }),
  z.strictObject({ ...base, kind: z.literal('counted'), massG }),
  z.strictObject({ ...base, kind: z.literal('gave'), toLotId: z.string().nullish(), massG: massG.nullish() }),
  z.strictObject({
    ...base,
    kind: z.literal('took'),
    fromLotId: z.string().nullish(),
    massG: massG.nullish(),
    cookedAtS: seconds.nullish(),
    outS: z.number().min(0).nullish(),
    frozenS: z.number().min(0).nullish(),
    freezes: z.int().min(0).nullish(),
  }),
  z.strictObject({ ...base, kind: z.literal('used'), runId: z.string().nullish(), massG: massG.nullish() }),
  z.strictObject({
    ...base,
    kind: z.literal('discarded'),
    massG: massG.nullish(),
    reason: z.enum(DISCARD_REASONS),
  }),
  z.strictObject({ ...base, kind: z.literal('refused'), reason: z.enum(REFUSE_REASONS) }),
  z.strictObject({ ...base, kind: z.literal('accepted'), reason: z.string().max(200).nullish() }),
  z.strictObject({ ...base, kind: z.literal('loosened'), looseness: z.enum(LOOSENESS) }),
  z.strictObject({ ...base, kind: z.literal('finished') }),
  z.strictObject({
    ...base,
    kind: z.literal('ruleSet'),
    from: z.enum(RULE_SETS).nullish(),
    to: z.enum(RULE_SETS),
  }),
  z.strictObject({ ...base, kind: z.literal('undone'), eventId: z.string() }),
])
/** An event of the model `rice.lot`. */
export type LotModelEvent = z.infer<typeof LotModelEvent>

/** Input and output of `rice.lot`: times are seconds from the lot's birth, at midnight of its kitchen. */
export const RiceLotInput = z.strictObject({
  ruleSet: z.enum(RULE_SETS),
  origin: z.enum(LOT_ORIGINS),
  nowS: seconds,
  staff: z
    .array(
      z.strictObject({
        id: z.string(),
        name: z.string().optional(),
        role: z.union([Staff.shape.role, z.literal('owner')]),
      }),
    )
    .default([]),
  events: z.array(LotModelEvent).max(2000),
  /** Of rice from elsewhere: what was asked for when it came. */
  massG: massG.positive().nullish(),
  ...temperature,
  place: LotPlace.nullish(),
  cookedAtS: seconds.nullish(),
})
export type RiceLotInput = z.infer<typeof RiceLotInput>

/** Output of the model `rice.lot`: the state of the lot, its verdicts and what is wrong with it. */
export const RiceLotOutput = z.strictObject({
  stage: z.enum(LOT_STAGES),
  verdict: z.enum(['open', 'met', 'broken', 'overdue', 'unproven']),
  usable: z.boolean(),
  because: z.string(),
  outS: z.number(),
  useByS: z.number().nullable(),
  log: z.array(
    z.strictObject({
      id: z.string(),
      atS: z.number(),
      kind: z.string(),
      tempC: z.number().nullable(),
      tempF: z.number().nullable(),
      counts: z.boolean(),
      why: z.string().nullable(),
    }),
  ),
})
