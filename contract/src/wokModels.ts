import { HEAT_FOODS } from 'core/wok/heat/foods'
import { HANDLINGS } from 'core/wok/heat/parameters'
import { HEAT_SOURCES } from 'core/wok/heat/vessel'
import { z } from 'zod'

/** Input and output of the models `wok.fry` and `wok.largestBatch`; docs/core.md has an example of each. */
const measureM = (mostM: number) => z.number().positive().max(mostM)

const stationFields = {
  kind: z.enum(['wok', 'pan', 'pot', 'griddle']),
  diameterM: measureM(2).optional(),
  widthM: measureM(5).optional(),
  lengthM: measureM(5).optional(),
  depthM: measureM(1).optional(),
  massKg: z.number().min(0.1).max(500),
  powerW: z.number().min(1, 'is no flame: give the power on its plate in watts, 3500 for a hob').max(200_000),
  efficiency: z.number().min(0.01).max(1),
  source: z.enum(HEAT_SOURCES),
  holdC: z.number().min(60).max(600),
}
type StationMeasures = Pick<HeatStation, 'kind' | 'diameterM' | 'widthM' | 'lengthM' | 'depthM'>
function checkMeasures(one: StationMeasures, context: z.RefinementCtx): void {
  const need = one.kind === 'griddle' ? (['widthM', 'lengthM'] as const) : (['diameterM'] as const)
  for (const field of need)
    if (one[field] === undefined)
      context.addIssue({
        code: 'custom',
        path: [field],
        message: `is missing: a ${one.kind} needs ${need.join(' and ')} in metres`,
      })
  if (one.kind === 'wok' && one.depthM !== undefined && one.diameterM !== undefined && one.depthM > one.diameterM / 2)
    context.addIssue({
      code: 'custom',
      path: ['depthM'],
      message: 'is more than half the diameter: a wok is a shallow cap',
    })
}

/** A station by its plate and a tape measure. */
export const HeatStation = z.strictObject(stationFields).superRefine(checkMeasures)
export type HeatStation = z.infer<typeof HeatStation>
/** A station with how food is moved on it; left out, it is what is usual there. */
export const HandledStation = z
  .strictObject({ ...stationFields, handling: z.enum(HANDLINGS).optional() })
  .superRefine(checkMeasures)

export const Water = z.number().min(0).lt(1)
const FryComponent = z
  .strictObject({
    food: z.enum(HEAT_FOODS),
    massG: z.number().min(0.01).max(100_000),
    tempC: z.number().min(-40).max(100),
    atS: z.number().min(0).max(3600),
    pieceMm: z.number().min(0.2).max(200).optional(),
    waterFraction: Water.optional(),
    freeFraction: Water.optional(),
  })
  .refine((one) => (one.freeFraction ?? 0) <= (one.waterFraction ?? 1), {
    path: ['freeFraction'],
    message: 'is more than waterFraction: free water is a part of the water',
  })

export const WokFryInput = z.strictObject({
  station: HeatStation,
  startMetalC: z.number().min(0).max(500),
  oilG: z.number().min(0).max(10_000),
  components: z.array(FryComponent).max(40),
  handling: z.enum(HANDLINGS),
  durationS: z.number().min(1).max(3600),
})
const Point = z.strictObject({ timeS: z.number(), tempC: z.number() })
export const WokFryOutput = z.strictObject({
  metal: z.array(Point),
  food: z.array(Point),
  timeTo74S: z.number().nullable(),
  lowestMetalC: z.number(),
  fryingS: z.number(),
  doneS: z.number().nullable(),
  freeWaterFraction: z.number(),
  massLossFraction: z.number(),
  energyResidual: z.number(),
  waterResidual: z.number(),
  reason: z.string().nullable(),
})

export const WokLargestBatchInput = z.strictObject({
  station: HeatStation,
  riceTempC: z.number().min(-2, 'is frozen: thaw the rice first').max(73, 'is hot already'),
  handling: z.enum(HANDLINGS),
  riceWaterFraction: z.number().min(0.4, 'is too dry for cooked rice').max(0.8, 'is porridge').optional(),
})
export const WokLargestBatchOutput = z.strictObject({
  massG: z.number().nullable(),
  limit: z.enum(['dip', 'time', 'volume']).nullable(),
  fast: z.number().nullable(),
  reason: z.string().nullable(),
})
