import { STEP_KINDS } from 'core/mise/need/cards'
import { z } from 'zod'
import { Name, Slug } from '../ids'

/** A thing of the mise: `recipe:duck-sauce`, `cut:garlic:mince-2`, `ingredient:soy-sauce-light`. */
export const ItemId = z
  .string()
  .max(140)
  .regex(/^(recipe|cut|ingredient):[a-z0-9-]+(:[a-z]+(-[0-9.]+)?)?$/, 'an item such as recipe:duck-sauce')
export type ItemId = z.infer<typeof ItemId>

/** Equipment of the kitchen, or a rice vessel by its id: `oven`, `vessel:steamer`. */
export const EquipmentId = z
  .string()
  .max(80)
  .regex(/^[a-z0-9:-]+$/, 'lower-case letters, digits, hyphens')

const minute = z.int().min(0).max(1440)
/** Hours of prep on some weekdays, in minutes since midnight. */
export const Shift = z
  .strictObject({
    /** Monday is 1, Sunday 7. */
    weekdays: z.array(z.int().min(1).max(7)).min(1, 'choose a day').max(7),
    fromMin: minute,
    toMin: minute,
  })
  .refine((shift) => shift.toMin > shift.fromMin, { message: 'a shift ends after it begins', path: ['toMin'] })

/** Who preps: skills and shifts. */
const MisePerson = z.strictObject({
  staffId: Slug,
  skills: z.array(z.string().min(1).max(40)).max(20),
  /** When this person has hands for the mise; service time is the station's. */
  shifts: z.array(Shift).max(20),
})

/** A tool or place of work, and how many there are. */
const MiseTool = z.strictObject({ id: EquipmentId, name: Name, count: z.int().min(0).max(50) })
/** A place along the walk of the count. */
const MisePlace = z.strictObject({ id: Slug, name: Name })
/** One step of a prep card. */
export const Step = z.strictObject({
  kind: z.enum(STEP_KINDS),
  handsOnS: z.number().min(0).max(86_400),
  handsOnSPerKg: z.number().min(0).max(86_400),
  waitS: z
    .number()
    .min(0)
    .max(10 * 86_400),
  hands: z.int().min(1).max(10),
  equipment: z.array(EquipmentId).max(6),
  skill: z.string().min(1).max(40).exactOptional(),
  mostWaitS: z
    .number()
    .min(0)
    .max(10 * 86_400)
    .exactOptional(),
})
/** How an item is made, step by step, and how long it keeps. */
export const PrepCard = z.strictObject({
  itemId: ItemId,
  steps: z.array(Step).min(1, 'a card has at least one step').max(12),
  keepH: z.number().positive().max(2400).exactOptional(),
})
/** How much of an item should always be there. */
export const Par = z.strictObject({
  itemId: ItemId,
  massG: z.number().positive('a par is above 0').max(500_000, 'more than half a tonne: check the unit'),
  /** As somebody wrote it: "2 L". */
  written: z.string().max(60),
})

/** How the house does its mise. */
export const MisePolicy = z.strictObject({
  railsMin: z.int().min(0, 'may not be negative').max(120),
  /** A task may be begun so long before its latest start. */
  aheadMin: z.int().min(0, 'may not be negative').max(1440),
  batchPortions: z.int().min(1).max(40),
  people: z.array(MisePerson).max(60),
  equipment: z.array(MiseTool).max(60),
  /** In walking order. */
  places: z.array(MisePlace).max(60),
  homes: z.record(z.string(), Slug),
  pars: z.array(Par).max(500),
  cards: z.array(PrepCard).max(500),
  checks: z.array(z.strictObject({ id: Slug, name: Name })).max(30),
  heatMin: z.strictObject({ wok: z.int().min(0).max(120), griddle: z.int().min(0).max(120) }),
})
export type MisePolicy = z.infer<typeof MisePolicy>
/** How the house does its mise; `version` is the one that an edit begins from. */
export const MiseHouse = z.strictObject({ version: z.int().min(0), policy: MisePolicy })
export type MiseHouse = z.infer<typeof MiseHouse>
/** A changed policy, with the version that the edit began from. */
export const PutMisePolicy = z.strictObject({ version: z.int().min(0), policy: MisePolicy })
