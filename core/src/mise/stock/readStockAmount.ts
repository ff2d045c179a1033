import { fineUnitG, type ScaleUnit } from '../../measure/scaleUnit'
import { isMassUnit, MASS_UNIT_G, readUnit, volumeUnitML, type MeasureSystem } from '../../measure/units'
import { parseLine } from '../../book/ingredientLine/parseLine'

/** What is known of an item, so that spoons and packs can be weighed. */
export type AmountOf = { gPerML: number | null; packG: number | null }
/** Why a typed amount cannot be taken. */
export type AmountFault = 'unread' | 'negative' | 'noDensity' | 'noPack' | 'tooMuch'
/** A typed amount in grams, or what is wrong with it. */
export type ReadAmount = { kind: 'grams'; massG: number } | { kind: AmountFault }

const MAX_G = 1_000_000
const BARE = /^[\d.]+$/

/**
 * An amount of one item as a cook writes it, "2.4 kg", "3 cups", "4 packs", in grams; or why it cannot be read. A bare number
 * counts what the kitchen's scales show; volumes need a density, packs a supplier's pack.
 */
export function readStockAmount(
  text: string,
  { gPerML, packG }: AmountOf,
  { system, weighsIn }: { system: MeasureSystem; weighsIn: ScaleUnit },
): ReadAmount {
  const plain = text.trim().toLowerCase().replace(',', '.')
  if (/^[-−]/.test(plain)) return { kind: 'negative' }
  const packs = /^([\d.]+)\s*(?:packs?|×|x)$/.exec(plain)
  if (packs) return packG === null ? { kind: 'noPack' } : grams(Number(packs[1]) * packG)
  if (BARE.test(plain)) return grams(Number(plain) * fineUnitG(weighsIn))
  const { quantity, unit } = parseLine(`${text.trim()} x`, system)
  const read = unit === null ? null : readUnit(unit)
  if (quantity === null || read === null) return { kind: 'unread' }
  if (isMassUnit(read)) return grams(quantity * MASS_UNIT_G[read])
  const unitML = volumeUnitML(read, system)
  if (unitML === null) return { kind: 'unread' }
  return gPerML === null ? { kind: 'noDensity' } : grams(quantity * unitML * gPerML)
}

/** A typed amount that is kept as it was written: a bare number says what it counts, so that it is read the same on another scale. */
export const withUnit = (text: string, weighsIn: ScaleUnit): string =>
  BARE.test(text.trim().replace(',', '.')) ? `${text.trim()} ${weighsIn}` : text.trim()

const grams = (massG: number): ReadAmount =>
  !Number.isFinite(massG) ? { kind: 'unread' } : massG > MAX_G ? { kind: 'tooMuch' } : { kind: 'grams', massG }
