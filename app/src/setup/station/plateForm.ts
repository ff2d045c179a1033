import type { StationPlate } from 'contract/stationPlate'
import { z } from 'zod'
import { typedNumber } from '../../ui/form/typed'

export type TypedPlate = {
  acrossCm: string
  depthCm: string
  widthCm: string
  lengthCm: string
  massKg: string
  powerKw: string
  reachesPercent: string
  holdC: string
}
/** What may be wrong with a field; the words say what would be right. */
export type PlateFault = 'across' | 'depth' | 'side' | 'mass' | 'power' | 'reaches' | 'hold'

const CM = 100
const shown = (value: number | null | undefined, factor: number) =>
  value === null || value === undefined ? '' : String(Math.round(value * factor * 100) / 100)

/** A plate as it is typed: centimetres, kilowatts, percent. */
export const typedPlate = (plate: StationPlate): TypedPlate => ({
  acrossCm: shown(plate.diameterM, CM),
  depthCm: shown(plate.depthM, CM),
  widthCm: shown(plate.plateM?.width, CM),
  lengthCm: shown(plate.plateM?.length, CM),
  massKg: shown(plate.massKg, 1),
  powerKw: shown(plate.powerW, 1 / 1000),
  reachesPercent: shown(plate.efficiency, 100),
  holdC: shown(plate.holdC, 1),
})

/** Reads what was typed: a round vessel needs its width across, a griddle both sides; depth may be left to the model. */
export function plateSchema(kind: StationPlate['kind'], fault: (key: PlateFault) => string) {
  const isGriddle = kind === 'griddle'
  const side = (isAsked: boolean, key: PlateFault) =>
    isAsked ? typedNumber(fault(key), { least: 10, most: 200 }) : z.string().transform(() => null)
  const depth = typedNumber(fault('depth'), { least: 1, most: 100 })
  return z
    .object({
      acrossCm: side(!isGriddle, 'across'),
      depthCm: isGriddle ? z.string().transform(() => null) : z.union([z.literal('').transform(() => null), depth]),
      widthCm: side(isGriddle, 'side'),
      lengthCm: side(isGriddle, 'side'),
      massKg: typedNumber(fault('mass'), { least: 0.2, most: 300 }),
      powerKw: typedNumber(fault('power'), { least: 0.3, most: 60 }),
      reachesPercent: typedNumber(fault('reaches'), { least: 5, most: 98 }),
      holdC: typedNumber(fault('hold'), { least: 120, most: 450 }),
    })
    .refine((one) => kind !== 'wok' || one.depthCm === null || one.depthCm <= (one.acrossCm ?? 0) / 2, {
      path: ['depthCm'],
      message: fault('depth'),
    })
}

/** The plate that was typed; what a calibration found stays, and figures that were not touched keep all their digits. */
export function plateOf(
  typed: z.infer<ReturnType<typeof plateSchema>>,
  { kind, source }: Pick<StationPlate, 'kind' | 'source'>,
  before: StationPlate,
): StationPlate {
  const shownBefore = typedPlate(before)
  const keep = (value: number, text: string, was: number, factor: number) =>
    text !== '' && Number(text) === value ? was : value / factor
  return {
    kind,
    source,
    diameterM: typed.acrossCm === null ? null : typed.acrossCm / CM,
    depthM: typed.depthCm === null ? null : typed.depthCm / CM,
    plateM:
      typed.widthCm === null || typed.lengthCm === null
        ? null
        : { width: typed.widthCm / CM, length: typed.lengthCm / CM },
    massKg: keep(typed.massKg, shownBefore.massKg, before.massKg, 1),
    powerW: keep(typed.powerKw, shownBefore.powerKw, before.powerW, 1 / 1000),
    efficiency: keep(typed.reachesPercent, shownBefore.reachesPercent, before.efficiency, 100),
    holdC: typed.holdC,
    zoneShare: before.zoneShare,
    contact: before.contact,
  }
}
