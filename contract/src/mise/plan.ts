import { CUT_SHAPES, STATES } from 'core/book/dish'
import { FOODS } from 'core/book/food'
import { CAUTIONS } from 'core/mise/need/cautions'
import { STEP_KINDS } from 'core/mise/need/cards'
import type { DrawnItem } from 'core/mise/doing/foldDay'
import type { PrepTask as CorePrepTask } from 'core/mise/need/prepTask'
import { GASTRONORM_DEPTHS_MM, GASTRONORM_MM, type GastronormSize } from 'core/measure/gastronorm'
import { z } from 'zod'
import { Day, InstantMs } from '../ids'
import { MiseEvent, PlanId, TaskId } from './event'
import { ItemId } from './house'

const Cut = z.strictObject({ shape: z.enum(CUT_SHAPES), sizeMm: z.number().nullable() })
const sizes = Object.keys(GASTRONORM_MM) as [GastronormSize, ...GastronormSize[]]

/** One thing to do, as the plan was drawn. */
export const PrepTask = z.strictObject({
  id: TaskId,
  itemId: ItemId.nullable(),
  kind: z.enum(STEP_KINDS),
  isWait: z.boolean(),
  name: z.string(),
  massG: z.number(),
  cut: Cut.nullable(),
  durationS: z.number(),
  hands: z.int(),
  skill: z.string().nullable(),
  equipment: z.array(z.string()),
  needs: z.array(z.strictObject({ taskId: TaskId, minLagS: z.number(), maxLagS: z.number().nullable() })),
  notBeforeMs: z.number().nullable(),
  dueMs: z.number().nullable(),
  portions: z.number(),
  dishIds: z.array(z.string()),
  cautions: z.array(z.enum(CAUTIONS)),
  gives: z.strictObject({ itemId: ItemId, massG: z.number(), keepS: z.number() }).nullable(),
  takes: z.array(z.strictObject({ itemId: ItemId, massG: z.number() })),
  pans: z
    .strictObject({
      size: z.enum(sizes),
      depthMm: z.literal(GASTRONORM_DEPTHS_MM),
      count: z.int(),
    })
    .nullable(),
}) satisfies z.ZodType<CorePrepTask>
export type PrepTask = z.infer<typeof PrepTask>

/** An item of a plan: what is needed, what is there, what is still to be made. */
const PlanItem = z.strictObject({
  itemId: ItemId,
  name: z.string(),
  food: z.enum(FOODS),
  state: z.enum(STATES),
  grossG: z.number(),
  parG: z.number(),
  onHandG: z.number(),
  netG: z.number(),
  isServed: z.boolean(),
  uses: z.array(
    z.strictObject({ dishId: z.string(), componentId: z.string(), gPerPortion: z.number(), portions: z.number() }),
  ),
}) satisfies z.ZodType<DrawnItem>
type PlanItem = z.infer<typeof PlanItem>

/** What to buy of one ingredient, in whole packs where a pack is known. */
export const BuyLine = z.strictObject({
  ingredientId: z.string(),
  name: z.string(),
  neededG: z.number(),
  packName: z.string().nullable(),
  packG: z.number().nullable(),
  packs: z.number().nullable(),
  buyG: z.number(),
  costMinor: z.number().nullable(),
})
export type BuyLine = z.infer<typeof BuyLine>

/** What was worked out when the plan was drawn; everything since is events. */
export const DrawnPlan = z.strictObject({
  drawnAtMs: InstantMs,
  portions: z.array(z.strictObject({ dishId: z.string(), portions: z.number() })),
  boats: z.array(z.strictObject({ atMs: z.number(), dishId: z.string(), portions: z.number() })),
  tasks: z.array(PrepTask),
  items: z.array(PlanItem),
  buy: z.array(BuyLine),
  keepFaults: z.array(z.strictObject({ itemId: ItemId, name: z.string(), keepS: z.number(), neededS: z.number() })),
  faults: z.array(z.strictObject({ itemId: z.string(), why: z.enum(['cycle', 'missing']), name: z.string() })),
})
export type DrawnPlan = z.infer<typeof DrawnPlan>

/** The plan of one service; version 0 was never drawn. */
export const MisePlan = z.strictObject({
  id: PlanId,
  day: Day,
  serviceId: z.string(),
  serviceName: z.string(),
  fromMs: InstantMs,
  toMs: InstantMs,
  version: z.int().min(0),
  drawn: DrawnPlan.nullable(),
  events: z.array(MiseEvent),
})
export type MisePlan = z.infer<typeof MisePlan>
/** The services to come with their plans. */
export const MisePlanList = z.strictObject({ plans: z.array(MisePlan) })
/** Draws a plan; `version` is the one that it follows. */
export const DrawPlan = z.strictObject({ version: z.int().min(0) })
