import { MASS_UNIT_G } from './units'

/** What a kitchen's scales show: grams and kilograms, or avoirdupois ounces and pounds. */
export const SCALE_UNITS = ['g', 'oz'] as const
export type ScaleUnit = (typeof SCALE_UNITS)[number]

/** A mass as a scale shows it: figures, and the unit they count. */
export type ShownMass = { figures: string; unit: 'g' | 'kg' | 'oz' | 'lb' }

const BULK = { g: 'kg', oz: 'lb' } as const
const FINE_G = { g: MASS_UNIT_G.g, oz: MASS_UNIT_G.oz } as const
/** Digits after the point of a small figure, and of a large one, which begins at `largeFrom`. */
const FINE_DIGITS = {
  g: { small: 1, large: 0, largeFrom: 10 },
  oz: { small: 2, large: 1, largeFrom: 1 },
} as const

/** The unit that rice and other large masses are weighed in. */
export const bulkUnitOf = (weighsIn: ScaleUnit): 'kg' | 'lb' => BULK[weighsIn]

/** Grams in that unit [g]. Source: `MASS_UNIT_G`. */
export const bulkUnitG = (weighsIn: ScaleUnit): number => MASS_UNIT_G[BULK[weighsIn]]

/** Grams in the unit that small masses are weighed in, which is named as the scale's own unit [g]. */
export const fineUnitG = (weighsIn: ScaleUnit): number => FINE_G[weighsIn]

/**
 * A mass in the unit that a cook reads at a glance. 46 g, 7.5 g below ten, 1.04 kg from a kilogram up; or 1.6 oz,
 * 0.26 oz below one ounce, 2.29 lb from a pound up, decimal as portion scales show it (common practice).
 * @param massG mass [g]
 */
export function shownMass(massG: number, weighsIn: ScaleUnit): ShownMass {
  const figure = roundFine(massG / fineUnitG(weighsIn), FINE_DIGITS[weighsIn])
  if (Math.abs(figure) * fineUnitG(weighsIn) >= bulkUnitG(weighsIn)) return shownBulk(massG, weighsIn, 2)
  return { figures: String(figure), unit: weighsIn }
}

/**
 * A mass in kilograms or pounds, however small: 0.8 kg beside 12.4 kg.
 * @param massG mass [g]
 * @param digits after the point
 */
export function shownBulk(massG: number, weighsIn: ScaleUnit, digits = 1): ShownMass {
  return { figures: (massG / bulkUnitG(weighsIn)).toFixed(digits), unit: bulkUnitOf(weighsIn) }
}

/** A mass with its unit, as `shownMass` chooses it: 46 g, 2.29 lb. */
export function writeMass(massG: number, weighsIn: ScaleUnit): string {
  const { figures, unit } = shownMass(massG, weighsIn)
  return `${figures} ${unit}`
}

/** A mass with its unit, as `shownBulk` has it: 0.8 kg. */
export function writeBulk(massG: number, weighsIn: ScaleUnit, digits = 1): string {
  const { figures, unit } = shownBulk(massG, weighsIn, digits)
  return `${figures} ${unit}`
}

function roundFine(value: number, { small, large, largeFrom }: (typeof FINE_DIGITS)[ScaleUnit]): number {
  return Number(value.toFixed(Math.abs(value) >= largeFrom ? large : small))
}
