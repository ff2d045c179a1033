import { INSTRUMENTS } from 'core/house/instruments'
import { SCALE_UNITS } from 'core/measure/scaleUnit'
import { TEMP_UNITS } from 'core/measure/temperature'
import { isLead, ROLES } from 'core/people/roles'
import { RULE_SETS } from 'core/safety/limits'
import { z } from 'zod'
import { StationKind } from './dish'
import { Name, Slug } from './ids'
import { MeasureTools } from './measure'
import { StationPlate } from './stationPlate'

/** A station of the kitchen and the most portions it takes at once. */
export const Station = z.strictObject({
  id: Slug,
  name: Name,
  kind: StationKind,
  powerW: z.number().positive().nullable(),
  capPortions: z.int().positive(),
  /** What is known of its metal and flame; absent where nobody said more than its kind and power. */
  heat: z.strictObject({ version: z.int().positive(), plate: StationPlate }).optional(),
  /** What its runs say of the model's seconds, and what those of each dish say besides; absent until there are some. */
  learned: z.strictObject({ factor: z.number().positive(), dishes: z.record(Slug, z.number().positive()) }).optional(),
})
export type Station = z.infer<typeof Station>

/** Somebody who works here; a lead may accept rice and allergens. */
export const Staff = z.strictObject({ id: Slug, name: Name, role: z.enum(ROLES) })

const minuteOfDay = z.int().min(0).max(1439)
/** Waves of orders on some weekdays: from the first to the last at the latest, so many minutes apart. */
export const WaveSpan = z
  .strictObject({
    /** Monday is 1, Sunday 7. */
    weekdays: z.array(z.int().min(1).max(7)).min(1, 'choose a day').max(7),
    fromMin: minuteOfDay,
    toMin: minuteOfDay,
    everyMin: z.int('whole minutes').min(5, 'at least 5 minutes apart').max(720, 'at most 12 hours apart'),
  })
  .refine((span) => span.toMin >= span.fromMin, { message: 'the last is not before the first', path: ['toMin'] })
/** The timetable of the kitchen's waves of orders, and how long each stays. */
export const Waves = z.strictObject({
  spans: z.array(WaveSpan).max(20, 'at most 20 lines'),
  stayMin: z.int('whole minutes').min(0, 'may not be negative').max(120, 'at most two hours'),
})
export type Waves = z.infer<typeof Waves>

/** The kitchen: its people, stations, measures, zone and rule set. */
export const Kitchen = z.strictObject({
  id: Slug,
  name: Name,
  timeZone: z.string(),
  locale: z.string(),
  /** ISO 4217; prices are integers in its smallest unit. */
  currency: z.string().regex(/^[A-Z]{3}$/),
  ruleSet: z.enum(RULE_SETS),
  /** What its thermometers speak; limits are compared in it. */
  readsIn: z.enum(TEMP_UNITS),
  /** What its scales show: what a mass is shown and typed in. */
  weighsIn: z.enum(SCALE_UNITS),
  /** Where rice is reheated to what Scotland asks for, above the UK's own limit. */
  isScottish: z.boolean(),
  tools: MeasureTools,
  /** What it has to weigh, read, print and take orders with; without one its figures are typed. */
  instruments: z.array(z.enum(INSTRUMENTS)),
  waves: Waves,
  stations: z.array(Station),
  staff: z.array(Staff),
  /** Who left: what they said keeps their names. */
  formerStaff: z.array(z.strictObject({ id: Slug, name: Name })).exactOptional(),
})
export type Kitchen = z.infer<typeof Kitchen>

/** Who may accept what a log does not prove. */
export const leadIdsOf = ({ staff }: Pick<Kitchen, 'staff'>): string[] =>
  staff.filter(({ role }) => isLead(role)).map(({ id }) => id)

/** Another rule set for food safety. */
export const PutRuleSet = z.strictObject({ ruleSet: z.enum(RULE_SETS) })
/** Whether the kitchen has an instrument. */
export const PutInstrument = z.strictObject({ has: z.boolean() })
/** The units that thermometers and scales show, and whether Scottish reheating holds. */
export const PutReadings = z.strictObject({
  readsIn: z.enum(TEMP_UNITS),
  weighsIn: z.enum(SCALE_UNITS),
  isScottish: z.boolean(),
})
export type PutReadings = z.infer<typeof PutReadings>

/** The simulated ticket feed: the same seed sends the same tickets, boat by boat, from the moment it is switched on. */
export const Feed = z.strictObject({ isOn: z.boolean(), seed: z.int().min(0).max(2_147_483_647) })
export type Feed = z.infer<typeof Feed>
