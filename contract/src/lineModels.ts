import type { LineInstance, LineSchedule } from 'core/line/planner/instance'
import { z } from 'zod'

const id = z.string().min(1).max(120)
const ids = z.array(id).max(64)
const points = z.number().min(0).max(1e6)
const seconds = z.number().min(0).max(1e6)
const instant = z.number().min(-1e7).max(1e7)

const Weights = z.strictObject({
  late: points,
  late2: points,
  knee: seconds,
  flow: points,
  spread: points,
  hold: points,
  spoil: points,
  batch: points,
  wash: points,
  hands: points,
  grown: points,
  changed: points,
})
const isHands = z.union([z.boolean(), z.literal([0, 1]).transform((n) => n === 1)])
const Phase = z.strictObject({ hands: isHands, a: seconds, b: seconds })
const Modifier = z.strictObject({ merge: z.enum(['never', 'late']), removes: ids.optional() })
const Dish = z.strictObject({
  id,
  sameAs: id.optional(),
  base: id,
  allergens: ids,
  free: seconds,
  max: seconds,
  on: z.record(id, z.strictObject({ cap: z.number().positive().max(1000), phases: z.array(Phase).min(1).max(5) })),
  mods: z.record(id, Modifier).default({}),
  split: seconds.default(0),
  uses: z
    .union([
      z.record(id, z.number().min(0).max(1000)),
      ids.transform((names) => Object.fromEntries(names.map((name) => [name, 1]))),
    ])
    .default({}),
})
const Item = z.strictObject({
  id,
  dish: id,
  n: z.number().positive().max(1000),
  mods: ids.default([]),
  avoid: ids.default([]),
})
const Ticket = z.strictObject({
  id,
  at: instant,
  due: instant,
  kind: z.enum(['dine', 'take']),
  w: z.number().positive().max(1000).default(1),
  items: z.array(Item).min(1).max(100),
})
const Station = z.strictObject({
  id,
  kind: id,
  from: instant.default(0),
  down: z.array(z.tuple([instant, instant]).refine(([a, b]) => b > a, 'a time down ends after it begins')).max(16),
  last: z.strictObject({ dish: id.nullable(), residue: ids }).nullable(),
})
const Frozen = z.strictObject({
  station: id,
  start: z.int().min(-1e7).max(1e7),
  wash: z.boolean(),
  parts: ids.min(1),
  late: z.int().min(0).max(1e6).optional(),
})

const SetUp = z.strictObject({ base: seconds, other: seconds, wash: seconds })

/** An instance of the line, format `line-1`: everything that a plan is made from, in seconds and portions. */
export const LineInstanceInput = z.strictObject({
  v: z.literal('line-1'),
  id,
  grid: z.int().min(1).max(600),
  now: instant,
  hands: z.int().min(1).max(8),
  boxExtra: seconds,
  weights: Weights,
  setup: z.record(id, SetUp),
  stations: z.array(Station).min(1).max(32),
  dishes: z.array(Dish).min(1).max(400),
  tickets: z.array(Ticket).max(900),
  stock: z.record(id, z.number().min(0).max(1e6)).default({}),
  frozen: z.array(Frozen).max(64).default([]),
  told: z
    .array(z.strictObject({ station: id, parts: ids.min(1) }))
    .max(32)
    .default([]),
}) satisfies z.ZodType<LineInstance>

const Batch = z.strictObject({
  station: id,
  start: instant,
  wash: z.boolean(),
  parts: ids.min(1),
  cooks: z.array(z.int()).max(8),
})

/** `line.plan`: an instance, with the seed and how many plans are tried where it should not be as the app does. */
export const LinePlanInput = z.union([
  LineInstanceInput.extend({ seed: z.int().optional(), evaluations: z.int().min(0).max(20_000_000).optional() }),
  z.strictObject({
    instance: LineInstanceInput,
    seed: z.int().optional(),
    evaluations: z.int().min(0).max(20_000_000).optional(),
  }),
])
/** The plan of `line.plan`: what is frozen stands in it unchanged. */
export const LinePlanOutput = z.object({
  instance: z.string(),
  gone: z.array(z.string()),
  batches: z.array(Batch),
  objective: z.number(),
  lateTickets: z.int(),
  holdBreaches: z.int(),
  evaluations: z.int(),
}) satisfies z.ZodType<LineSchedule>

/** `line.check`: an instance and a plan for it. */
export const LineCheckInput = z.strictObject({
  instance: LineInstanceInput,
  plan: z.object({ instance: z.string(), gone: z.array(z.string()), batches: z.array(Batch) }),
})
/** What a plan breaks, by rule and batch, and what it costs; null where it cannot be priced. */
export const LineCheckOutput = z.object({
  feasible: z.boolean(),
  errors: z.array(z.object({ rule: z.string(), batch: z.string(), message: z.string() })),
  objective: z.number().nullable(),
})
