import { METHODS, WASHES } from 'core/rice/cookMethod'
import { TRAY_MATERIALS } from 'core/rice/cooling/coolingPlace'
import { FORECAST_NOTES } from 'core/rice/plan/forecastNote'
import { USUAL_READING_PLAN } from 'core/rice/reading/riceReading'
import { z } from 'zod'
import { CoolStage } from './coolStage'
import { Day, InstantMs, line, Name, Slug } from './ids'
import { Blend, LotPlace } from './rice'

/** What rice is cooked in: its volume, and the steam it loses. */
export const RiceVessel = z.strictObject({
  id: Slug,
  name: Name,
  method: z.enum(METHODS),
  volumeL: z.number().positive().max(500),
  count: z.int().min(1).max(20),
  steamGPerMin: z.number().min(0).max(1000),
  /** Weighed loads that its steam was learnt from. */
  loadsWeighed: z.int().min(0),
})
export type RiceVessel = z.infer<typeof RiceVessel>

/** Where trays stand, and the air there; null where nobody measured it. */
export const RicePlace = z.strictObject({
  id: Slug,
  name: Name,
  kind: LotPlace,
  airTempC: z.number().min(-40).max(60).nullable(),
  trays: z.int().min(0).max(500),
})
export type RicePlace = z.infer<typeof RicePlace>

const minute = z.int().min(0).max(1440)
/** A service of the day, in minutes since midnight. */
const RiceService = z
  .strictObject({ id: Slug, name: Name, fromMin: minute, toMin: minute })
  .refine((service) => service.toMin > service.fromMin, { message: 'a service ends after it begins', path: ['toMin'] })
type RiceService = z.infer<typeof RiceService>

/** How the house does its rice. It may hold rice shorter than the rule set, never longer. */
export const RicePolicy = z.strictObject({
  services: z.array(RiceService).min(1).max(8),
  /** What a missed portion and one thrown away cost, in the kitchen's money. */
  shortageCost: z.number().positive('give what a missed portion costs').max(1000),
  wasteCost: z.number().positive('give what a portion thrown away costs').max(1000),
  vesselId: Slug,
  blend: Blend,
  wash: z.enum(WASHES),
  tray: z.strictObject({
    name: Name,
    lengthM: z.number().min(0.05).max(2),
    widthM: z.number().min(0.05).max(2),
    material: z.enum(TRAY_MATERIALS).optional(),
  }),
  cooling: z.array(CoolStage).min(1).max(6),
  /** The last tray is cold by then: someone must still be there to log it. */
  closeMin: minute,
  keepDays: z.int().min(1).max(7).nullable(),
  outMin: z.int().min(15).max(360).nullable(),
  serveFrom: z.enum(['fridge', 'tempered']),
  /** Chilled rice that is served at once is read in one batch of so many, once so many readings were good; 1 is every batch. */
  readEvery: z.int().min(1).max(20).default(USUAL_READING_PLAN.readEvery),
  provenAfter: z.int().min(5).max(200).default(USUAL_READING_PLAN.provenAfter),
})
export type RicePolicy = z.infer<typeof RicePolicy>

/** How the house does its rice, with its vessels and places. */
export const RiceHouse = z.strictObject({
  version: z.int().min(0),
  policy: RicePolicy,
  vessels: z.array(RiceVessel),
  places: z.array(RicePlace),
})
export type RiceHouse = z.infer<typeof RiceHouse>
/** A changed policy, with the version that the edit began from. */
export const PutRicePolicy = z.strictObject({ version: z.int().min(0), policy: RicePolicy })

/** What a person knows better than the record: portions of a service, an event that adds or takes some. */
export const RicePlanEdits = z.strictObject({
  portions: z.record(Slug, z.number().min(0).max(5000)),
  /** Sold out at this minute of the day: what was sold is a lower bound. */
  soldOut: z.record(Slug, minute).optional(),
  event: z.strictObject({ name: line(80, 1), percent: z.number().min(-100).max(400) }).nullable(),
})
export type RicePlanEdits = z.infer<typeof RicePlanEdits>
/** Edits of a day's plan, with the version that they began from. */
export const PutRicePlan = z.strictObject({ version: z.int().min(0), edits: RicePlanEdits })

/** What the record expects of a service: portions, dishes and boats as shares. */
export const ServiceForecast = z.strictObject({
  serviceId: Slug,
  /** Null before the first day on record. */
  forecast: z
    .strictObject({
      expected: z.number(),
      low: z.number(),
      high: z.number(),
      spread: z.number(),
      days: z.int(),
      notes: z.array(z.enum(FORECAST_NOTES)),
    })
    .nullable(),
  /** Shares of the expectation, by dish and by boat (minute of the day); each sums to 1. */
  dishes: z.array(z.strictObject({ dishId: Slug, share: z.number() })),
  boats: z.array(z.strictObject({ minute: z.int(), share: z.number() })),
  /** Cooked rice a portion by the dishes' shares [g]. */
  portionG: z.number(),
})
export type ServiceForecast = z.infer<typeof ServiceForecast>

/** A day's plan: what is expected, and what people know better. */
export const RicePlanDay = z.strictObject({
  day: Day,
  version: z.int().min(0),
  edits: RicePlanEdits,
  services: z.array(ServiceForecast),
})
export type RicePlanDay = z.infer<typeof RicePlanDay>

/** What is still to be asked for tonight [g of cooked rice]: open tickets, and boats that the record expects. */
export const Tonight = z.strictObject({
  demands: z.array(
    z.strictObject({
      atMs: InstantMs,
      massG: z.number().min(0),
      portions: z.number().min(0),
      source: z.enum(['tickets', 'forecast']),
    }),
  ),
  /** From lighting the heat to a cold load [s]; null where the kitchen's cooling never gets there. */
  leadS: z.number().nullable(),
})
export type Tonight = z.infer<typeof Tonight>

/** Portions sold before Okazu, from a file. */
export const DemandRow = z.strictObject({
  day: Day,
  minute: z.int().min(0).max(1439),
  dishId: Slug,
  portions: z.number().min(0).max(5000),
})
export type DemandRow = z.infer<typeof DemandRow>
