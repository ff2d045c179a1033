import { densityOf, type MeasuredIngredient } from './ingredient'
import { VOLUME_UNIT_ML, volumeUnitML, type MeasureSystem, type VolumeUnit } from './units'

/** What kind of thing is measured: each has densities that can be, and others that cannot [g/mL]. Common practice. */
const DENSITY_BAND_G_PER_ML = {
  oil: { least: 0.85, most: 0.95 },
  syrup: { least: 1.25, most: 1.45 },
  other: { least: 0.1, most: 1.6 },
} as const
/** A kind of food whose density lies in a known band. */
export type DensityKind = keyof typeof DENSITY_BAND_G_PER_ML

/** Further from the known density than this is worth a question. */
export const DENSITY_DOUBT_FRACTION = 0.25

/** A line that says an amount twice, by volume and by mass. */
export type TwoMeasures = {
  massG: number
  volume: { value: number; unit: VolumeUnit }
  system: MeasureSystem
  kind: DensityKind
  /** Where it is known, the repairs are judged by its density in this form. */
  ingredient?: MeasuredIngredient
  form?: string
}

/** Which slip would explain the two amounts. */
export type RepairKind = 'system' | 'digit' | 'unit' | 'by-volume' | 'by-mass' | 'each' | 'count'

/** A way to mend a line: what would have to be meant, the mass that then holds, and the density that follows [g/mL]. */
export type Repair = {
  kind: RepairKind
  message: string
  /** What the message says, for an interface with words of its own. */
  values: Readonly<Record<string, string | number>>
  massG: number
  gPerML: number | null
}

/** Whether two measures agree, and what would make them. */
export type PlausibleResult =
  | { kind: 'plausible'; gPerML: number }
  | { kind: 'doubtful'; gPerML: number; wantedGPerML: string; message: string; repairs: Repair[] }

const UNITS_TO_TRY: readonly VolumeUnit[] = ['mL', 'tsp', 'tbsp', 'fl oz', 'cup', 'pint', 'quart', 'L']
const SLIPS = [0.1, 10] as const

/**
 * Whether a mass and a volume of one thing agree: the density that they imply must be possible for its kind and within a
 * quarter of the known one. Where it is not, the likely repairs (wrong unit, slipped digit, wrong system), each with the
 * mass it gives, the most likely first; then what each measure says alone.
 */
export function judgeTwoMeasures(input: TwoMeasures): PlausibleResult {
  const unitML = volumeUnitML(input.volume.unit, input.system)
  if (unitML === null || !(input.massG > 0) || !(input.volume.value > 0))
    throw new RangeError(`nothing to compare in ${input.massG} g and ${input.volume.value} ${input.volume.unit}`)
  const volumeML = unitML * input.volume.value
  const gPerML = input.massG / volumeML
  const known = input.ingredient ? densityOf(input.ingredient, input.form) : null
  const band = DENSITY_BAND_G_PER_ML[input.kind]
  const isPossible = gPerML >= band.least && gPerML <= band.most
  const offFraction = known ? gPerML / known.gPerML - 1 : 0
  if (isPossible && Math.abs(offFraction) <= DENSITY_DOUBT_FRACTION) return { kind: 'plausible', gPerML }
  const wanted = known?.gPerML ?? Math.sqrt(band.least * band.most)
  const message = known
    ? `that would weigh ${round(gPerML)} g/mL; ${input.ingredient?.name ?? 'it'} weighs ${round(known.gPerML)} (${known.form})`
    : `that would weigh ${round(gPerML)} g/mL; possible is ${band.least} to ${band.most}`
  const wantedGPerML = known ? `${round(known.gPerML)} (${known.form})` : `${band.least}–${band.most}`
  return { kind: 'doubtful', gPerML, wantedGPerML, message, repairs: repairs(input, volumeML, wanted, known !== null) }
}

function repairs(input: TwoMeasures, volumeML: number, wanted: number, isKnown: boolean): Repair[] {
  const { massG, volume, system } = input
  const farness = ({ gPerML }: { gPerML: number | null }) => Math.abs(Math.log((gPerML ?? wanted) / wanted))
  const closest = (choices: Repair[]) => [...choices].sort((a, b) => farness(a) - farness(b)).slice(0, 1)
  const otherUnit = closest(
    UNITS_TO_TRY.flatMap((unit) => {
      const unitML = volumeUnitML(unit, system)
      if (unitML === null || unit === volume.unit) return []
      const gPerML = massG / (unitML * volume.value)
      return [
        {
          kind: 'unit',
          message: `${volume.value} ${unit}, not ${volume.unit}`,
          values: { n: volume.value, unit, not: volume.unit },
          massG,
          gPerML,
        },
      ]
    }),
  )
  const slipped = closest(
    SLIPS.map((slip) => ({
      kind: 'digit',
      message: `${round(massG * slip)} g, a slipped digit`,
      values: { g: round(massG * slip) },
      massG: massG * slip,
      gPerML: (massG * slip) / volumeML,
    })),
  )
  const otherSystem = closest(
    Object.entries(VOLUME_UNIT_ML).flatMap(([name, table]) => {
      const unitML = table[volume.unit]
      if (unitML === undefined || name === system) return []
      const gPerML = massG / (unitML * volume.value)
      return [
        {
          kind: 'system',
          message: `${volume.value} ${volume.unit} of the ${name} system`,
          values: { n: volume.value, unit: volume.unit, system: name },
          massG,
          gPerML,
        },
      ]
    }),
  )
  const byVolume: Repair[] = isKnown
    ? [
        {
          kind: 'by-volume',
          message: `only ${volume.value} ${volume.unit} holds`,
          values: { n: volume.value, unit: volume.unit },
          massG: wanted * volumeML,
          gPerML: wanted,
        },
      ]
    : []
  const likely = [...otherUnit, ...slipped, ...otherSystem].sort((a, b) => farness(a) - farness(b))
  return [
    ...likely,
    ...byVolume,
    { kind: 'by-mass', message: `only ${round(massG)} g holds`, values: { g: round(massG) }, massG, gPerML: null },
  ]
}

const round = (value: number) => Number(value.toPrecision(3))

/** The kind of density that a thing of this role and name can have. */
export function densityKindOf(role: string, name: string): DensityKind {
  if (/^(fat:oil|finish:oil)/.test(role)) return 'oil'
  return /honey|syrup|molasses|treacle/i.test(name) ? 'syrup' : 'other'
}
