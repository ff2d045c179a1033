import { TRAY_MATERIALS } from 'core/rice/cooling/coolingPlace'
import { MIN_DEPTH_M, MAX_DEPTH_M } from 'core/rice/cooling/coolTray'
import { MIN_TARGET_WATER_FRACTION, MAX_TARGET_WATER_FRACTION } from 'core/rice/waterBalance'
import { RULE_SETS } from 'core/safety/limits'
import { z } from 'zod'
import { CoolStage } from './coolStage'
import { Day } from './ids'

const DRIER = `is drier than ${MIN_TARGET_WATER_FRACTION}: grains would be raw in the middle; give the water of the cooked rice, 0.55 to 0.65`
const WETTER = `is wetter than ${MAX_TARGET_WATER_FRACTION}: that is porridge; give the water of the cooked rice, 0.55 to 0.65`

/** Input and output of the models `rice.water`, `rice.howMuch` and `rice.cool`; docs/core.md has an example of each. */
export const RiceWaterInput = z
  .strictObject({
    dryMassG: z.number().positive().max(1_000_000),
    targetWaterFraction: z.number().min(MIN_TARGET_WATER_FRACTION, DRIER).max(MAX_TARGET_WATER_FRACTION, WETTER),
    evaporatedG: z.number().min(0).max(1_000_000),
    dryWaterFraction: z.number().min(0).lt(1).optional(),
  })
  .refine((one) => one.targetWaterFraction > (one.dryWaterFraction ?? 0.125), {
    path: ['targetWaterFraction'],
    message: 'is no wetter than the dry rice: give more than dryWaterFraction (0.125 where none is given)',
  })
/** Output of the model `rice.water`. */
export const RiceWaterOutput = z.strictObject({ waterG: z.number(), cookedMassG: z.number(), yieldRatio: z.number() })

/** Portions that one service sold on one day. */
const ServicePortions = z.strictObject({
  date: Day,
  service: z.string().min(1).max(64),
  portions: z.number().min(0).max(100_000),
  /** Sold out: its portions are a lower bound, not the demand. */
  soldOutAt: z.iso.time().optional(),
})
/** Input of the model `rice.howMuch`. */
export const RiceHowMuchInput = z.strictObject({
  historyPortions: z.array(ServicePortions).max(20_000),
  day: Day,
  service: z.string().min(1).max(64),
  shortageCost: z.number().positive(),
  wasteCost: z.number().positive(),
  usableG: z.number().min(0),
  portionG: z.number().positive(),
  /** Cooked and cooled rice by dry rice; where none is given, of long grain at 58 % water. */
  yieldRatio: z.number().positive().max(5).optional(),
})
export type RiceHowMuchInput = z.infer<typeof RiceHowMuchInput>
/** Output of the model `rice.howMuch`; null where nothing is known. */
export const RiceHowMuchOutput = z.strictObject({
  portionsExpected: z.number().nullable(),
  portionsLow: z.number().nullable(),
  portionsHigh: z.number().nullable(),
  quantile: z.number(),
  portions: z.int().nullable(),
  cookedMassG: z.number().nullable(),
  dryMassG: z.number().nullable(),
  reason: z.string().nullable(),
})

const AnalysisFace = z.strictObject({
  heatTransferWPerM2K: z.number().min(0).max(1e6),
  tempC: z.number().min(-60).max(120),
})
const coolBase = {
  depthM: z
    .number()
    .min(MIN_DEPTH_M, `a layer under ${MIN_DEPTH_M * 100} cm is no tray: give metres, 0.04 for 4 cm`)
    .max(MAX_DEPTH_M, `deeper than ${MAX_DEPTH_M * 100} cm is a pot, no tray: give metres, 0.04 for 4 cm`),
  startTempC: z.number().min(-10).max(100, 'hotter than boiling: give °C, 95 for rice from the steamer'),
  ruleSet: z.enum(RULE_SETS),
}
/** Input of the model `rice.cool`: a tray and its stages, or the analytic slab. */
export const RiceCoolInput = z.union([
  z.strictObject({
    ...coolBase,
    stages: z.array(CoolStage).min(1).max(20),
    waterFraction: z.number().min(0.4).max(0.8).optional(),
    /** Of every stage that names none. */
    material: z.enum(TRAY_MATERIALS).optional(),
  }),
  z.strictObject({
    ...coolBase,
    durationS: z.number().positive().max(172_800),
    top: AnalysisFace,
    bottom: AnalysisFace,
    conductivityWPerMK: z.number().positive().max(500),
    heatCapacityJPerM3K: z.number().min(1e3).max(1e8),
  }),
])
export type RiceCoolInput = z.infer<typeof RiceCoolInput>
/** Output of the model `rice.cool`: when each limit is met, and the curve. */
export const RiceCoolOutput = z.strictObject({
  core: z.array(z.strictObject({ timeS: z.number(), tempC: z.number() })),
  profileTempC: z.array(z.number()),
  from57To21S: z.number().nullable(),
  from57To5S: z.number().nullable(),
  passes: z.boolean(),
  /** The rule's own steps, where it is not 57, 21 and 5 °C. */
  steps: z.array(
    z.strictObject({
      tempC: z.number(),
      reachedS: z.number().nullable(),
      limitS: z.number().nullable(),
      passes: z.boolean(),
    }),
  ),
  /** By the model alone, and what to advise: no deeper than good practice in an ordinary fridge. */
  largestPassingDepthM: z.number().nullable(),
  advisedDepthM: z.number().nullable(),
  massLossFraction: z.number(),
  energyResidual: z.number(),
  waterResidual: z.number(),
  bacillusCereusLog10: z.number(),
  reasons: z.array(z.string()),
})
