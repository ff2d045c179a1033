import type { StationPlate } from 'contract/stationPlate'
import { COATING_MOST_C } from 'core/wok/heat/vessel'
import type { ScaleUnit } from 'core/measure/scaleUnit'
import type { TempUnit } from 'core/measure/temperature'
import { z } from 'zod'
import { typedNumber } from '../../ui/form/typed'
import { typedCelsius, typedKilograms, typedUnit, type TypedUnit } from '../../ui/form/typedUnit'

export type TypedPlate = {
  acrossCm: string
  depthCm: string
  widthCm: string
  lengthCm: string
  mass: string
  powerKw: string
  reachesPercent: string
  hold: string
  /** Empty takes what is usual. */
  lift: string
}
/** What may be wrong with a field; the words say what would be right. */
export type PlateFault = 'across' | 'depth' | 'side' | 'mass' | 'power' | 'reaches' | 'hold' | 'lift' | 'coating'

/** What the kitchen's scales and thermometers show. */
export type PlateUnits = { weighsIn: ScaleUnit; readsIn: TempUnit }

const LEAST_KG = 0.2
const MOST_KG = 300
const LEAST_HOLD_C = 120
const MOST_HOLD_C = 450
const LEAST_LIFT_KG = 0.5
const MOST_LIFT_KG = 20
/** What may be typed of the metal, for the words that say so. */
export const PLATE_RANGE = {
  leastG: LEAST_KG * 1000,
  mostG: MOST_KG * 1000,
  leastHoldC: LEAST_HOLD_C,
  mostHoldC: MOST_HOLD_C,
  leastLiftG: LEAST_LIFT_KG * 1000,
  mostLiftG: MOST_LIFT_KG * 1000,
  mostCoatedC: COATING_MOST_C,
} as const

const cm = typedUnit(1 / 100)
const kilowatts = typedUnit(1000)
const percent = typedUnit(1 / 100)

/** A plate as it is typed: centimetres, kilowatts, percent, and what scales and thermometers show. */
export function typedPlate(plate: StationPlate, { weighsIn, readsIn }: PlateUnits): TypedPlate {
  return {
    acrossCm: cm.show(plate.diameterM),
    depthCm: cm.show(plate.depthM),
    widthCm: cm.show(plate.plateM?.width),
    lengthCm: cm.show(plate.plateM?.length),
    mass: typedKilograms(weighsIn).show(plate.massKg),
    powerKw: kilowatts.show(plate.powerW),
    reachesPercent: percent.show(plate.efficiency),
    hold: typedCelsius(readsIn).show(plate.holdC),
    lift: typedKilograms(weighsIn).show(plate.liftKg),
  }
}

/** Reads what was typed: a round vessel needs its width across, a griddle both sides; depth may be left to the model. */
export function plateSchema(
  { kind, isCoated }: Pick<StationPlate, 'kind' | 'isCoated'>,
  units: PlateUnits,
  fault: (key: PlateFault) => string,
) {
  const isGriddle = kind === 'griddle'
  const kilograms = typedKilograms(units.weighsIn)
  const celsius = typedCelsius(units.readsIn)
  const between = (key: PlateFault, { show }: TypedUnit, least: number, most: number) =>
    typedNumber(fault(key), { least: Number(show(least)), most: Number(show(most)) })
  const side = (isAsked: boolean, key: PlateFault) =>
    isAsked ? typedNumber(fault(key), { least: 10, most: 200 }) : z.string().transform(() => null)
  const depth = typedNumber(fault('depth'), { least: 1, most: 100 })
  return z
    .object({
      acrossCm: side(!isGriddle, 'across'),
      depthCm: isGriddle ? z.string().transform(() => null) : z.union([z.literal('').transform(() => null), depth]),
      widthCm: side(isGriddle, 'side'),
      lengthCm: side(isGriddle, 'side'),
      mass: between('mass', kilograms, LEAST_KG, MOST_KG),
      powerKw: typedNumber(fault('power'), { least: 0.3, most: 60 }),
      reachesPercent: typedNumber(fault('reaches'), { least: 5, most: 98 }),
      hold: isCoated
        ? between('coating', celsius, LEAST_HOLD_C, COATING_MOST_C)
        : between('hold', celsius, LEAST_HOLD_C, MOST_HOLD_C),
      lift:
        kind === 'wok' || kind === 'pan'
          ? z.union([z.literal('').transform(() => null), between('lift', kilograms, LEAST_LIFT_KG, MOST_LIFT_KG)])
          : z.string().transform(() => null),
    })
    .refine((one) => kind !== 'wok' || one.depthCm === null || one.depthCm <= (one.acrossCm ?? 0) / 2, {
      path: ['depthCm'],
      message: fault('depth'),
    })
}

/** The plate that was typed; what a calibration found stays, and figures that were not touched keep all their digits. */
export function plateOf(
  typed: z.infer<ReturnType<typeof plateSchema>>,
  { kind, source, isCoated }: Pick<StationPlate, 'kind' | 'source' | 'isCoated'>,
  before: StationPlate,
  { weighsIn, readsIn }: PlateUnits,
): StationPlate {
  return {
    kind,
    source,
    diameterM: typed.acrossCm === null ? null : cm.read(typed.acrossCm, before.diameterM),
    depthM: typed.depthCm === null ? null : cm.read(typed.depthCm, before.depthM),
    plateM:
      typed.widthCm === null || typed.lengthCm === null
        ? null
        : {
            width: cm.read(typed.widthCm, before.plateM?.width),
            length: cm.read(typed.lengthCm, before.plateM?.length),
          },
    massKg: typedKilograms(weighsIn).read(typed.mass, before.massKg),
    powerW: kilowatts.read(typed.powerKw, before.powerW),
    efficiency: percent.read(typed.reachesPercent, before.efficiency),
    holdC: typedCelsius(readsIn).read(typed.hold, before.holdC),
    zoneShare: before.zoneShare,
    contact: before.contact,
    ...(isCoated && kind !== 'griddle' && { isCoated }),
    ...(typed.lift !== null && { liftKg: typedKilograms(weighsIn).read(typed.lift, before.liftKg ?? null) }),
  }
}
