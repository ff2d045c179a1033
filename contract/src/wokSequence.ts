import { ROLES, STATES } from 'core/book/dish'
import { CHECKED_FOODS, RULE_SETS } from 'core/safety/limits'
import { HEAT_FOODS } from 'core/wok/heat/foods'
import { ACTIONS, CAUTIONS, CUES, HEAT_LEVELS, REASONS } from 'core/wok/score'
import { FAULTS } from 'core/wok/sequence/judge'
import { TAGS, TARGETS } from 'core/wok/sequence/vocabulary'
import { z } from 'zod'
import { HeatComposition } from './heatComposition'
import { Pin } from './pin'
import { StatedSchools } from './schools'
import { Stages } from './stages'
import { HandledStation, Water } from './wokModels'

/** Input and output of the model `wok.sequence`; docs/core.md has an example. */
/** Food classes of the heat model, and the other name that herbs in oil go by. */
const SequenceFood = z
  .enum([...HEAT_FOODS, 'herbOil'])
  .transform((food) => (food === 'herbOil' ? ('herb' as const) : food))
const id = z.string().min(1).max(100)
const SequenceComponent = z.strictObject({
  id,
  name: z.string().optional(),
  role: z.enum(ROLES),
  state: z.enum(STATES).optional(),
  food: SequenceFood.optional(),
  cut: z
    .strictObject({
      shape: z.string().optional(),
      sizeMm: z.number().min(0.2).max(200).nullable().optional(),
      afterCooking: z.boolean().optional(),
    })
    .nullable()
    .optional(),
  ratioG: z.number().min(0).max(500),
  tempC: z.number().min(-40).max(100).optional(),
  target: z.strictObject({ kind: z.enum(TARGETS), value: z.number().gt(0).lt(1).optional() }).optional(),
  tags: z.array(z.enum(TAGS)).optional(),
  allergens: z.array(z.string()).optional(),
  readyToEat: z.boolean().optional(),
  waterFraction: Water.optional(),
  composition: HeatComposition.optional(),
  fatFraction: z.number().min(0).max(1).optional(),
  smokesAtC: z.number().min(80).max(350).optional(),
  stages: Stages.optional(),
})
const Pins = z.array(Pin).max(40).optional()

/** Rice that is hot is not the chilled rice that this is for. */
const HOT_RICE =
  'is not chilled rice: cool the lot, or serve it from hot holding; between cold and hot it is thrown away'
const areDistinct = (ids: readonly string[]) => new Set(ids).size === ids.length

export const WokSequenceInput = z.strictObject({
  dish: z.strictObject({
    name: z.string().default(''),
    schools: StatedSchools.default({}),
    components: z
      .array(SequenceComponent)
      .min(1, 'is empty: a dish has rice at least')
      .max(40)
      .refine((some) => areDistinct(some.map((one) => one.id)), 'has one id twice: give every component its own'),
    pins: Pins,
    splitAllergens: z.array(z.string()).optional(),
  }),
  station: HandledStation,
  batchMassG: z.number().min(1).max(20_000, 'is more than any station of this trade holds'),
  riceTempC: z.number().min(-2, 'is frozen: thaw the rice first').max(40, HOT_RICE),
  riceWaterFraction: z.number().min(0.4, 'is too dry for cooked rice').max(0.8, 'is porridge').optional(),
  riceLumpMm: z.number().min(0).max(80, 'is no lump but a block: break it up first').optional(),
  ruleSet: z.enum(RULE_SETS).default('us'),
  pins: Pins,
})

const Limit = z.object({ coreC: z.number(), holdS: z.number(), source: z.string() })
const DerivedStep = z.object({
  id: z.string(),
  action: z.enum(ACTIONS),
  startS: z.number(),
  durationS: z.number(),
  heat: z.enum(HEAT_LEVELS),
  entries: z.array(
    z.object({ componentId: z.string(), massG: z.number(), motion: z.enum(['in', 'out', 'back', 'plate']) }),
  ),
  cue: z.enum(CUES),
  reason: z.enum(REASONS),
  figures: z.record(z.string(), z.number()),
  cautions: z.array(z.enum(CAUTIONS)),
  check: z.object({ food: z.enum(CHECKED_FOODS), limit: Limit }).nullable(),
  handsOnS: z.number(),
  latestS: z.number(),
  surface: z.enum(['station', 'beside']),
})
const ChoiceMade = z.record(z.string(), z.string())
export const WokSequenceOutput = z.object({
  engine: z.string(),
  choice: ChoiceMade.nullable(),
  steps: z.array(DerivedStep),
  totalS: z.number().nullable(),
  rejected: z.array(z.object({ why: z.string(), count: z.int() })),
  runnerUp: z
    .object({ steps: z.array(DerivedStep), totalS: z.number(), cost: z.number(), choice: ChoiceMade })
    .nullable(),
  pins: z.array(z.object({ pin: Pin, isKept: z.boolean(), because: z.array(z.string()) })),
  finding: z
    .object({
      bad: z.array(
        z.object({ code: z.enum([...FAULTS, 'noRice']), componentIds: z.array(z.string()), why: z.string() }),
      ),
      change: z.looseObject({ kind: z.string(), text: z.string() }).nullable(),
    })
    .nullable(),
  reason: z.string().nullable(),
})
