import { fineUnitG, bulkUnitG, type ScaleUnit } from 'core/measure/scaleUnit'
import { fahrenheitOf, type TempUnit } from 'core/measure/temperature'

/** A figure that is kept in one unit and typed in another. */
export type TypedUnit = {
  /** As it stands in its field; nothing where there is none. */
  show: (value: number | null | undefined) => string
  /** What was typed, as it is kept; where it was not touched, what is kept has all its digits. */
  read: (typed: number, before?: number | null) => number
}

/**
 * @param per how much of what is kept is one of what is typed
 * @param zero what is typed where nothing is kept
 */
export function typedUnit(per: number, zero = 0): TypedUnit {
  const show = (value: number | null | undefined) =>
    value === null || value === undefined ? '' : String(Math.round((value / per + zero) * 100) / 100)
  return {
    show,
    read: (typed, before = null) => (before !== null && Number(show(before)) === typed ? before : (typed - zero) * per),
  }
}

/** Grams, typed in the scale's own unit. */
export const typedGrams = (weighsIn: ScaleUnit): TypedUnit => typedUnit(fineUnitG(weighsIn))
/** Kilograms, typed in the large unit. */
export const typedKilograms = (weighsIn: ScaleUnit): TypedUnit => typedUnit(bulkUnitG(weighsIn) / bulkUnitG('g'))
/** °C, typed as the thermometers read. */
export const typedCelsius = (readsIn: TempUnit): TypedUnit =>
  readsIn === 'C' ? typedUnit(1) : typedUnit(1 / (fahrenheitOf(1) - fahrenheitOf(0)), fahrenheitOf(0))
