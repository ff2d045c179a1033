import type { Ingredient } from '../ingredient'
import type { CountSize } from '../../measure/ingredient'

const PINCH: Readonly<Record<string, number>> = { pinch: 0.3, dash: 0.6, drop: 0.05 }

const CM_PER_INCH = 2.54

/** What one of a thing weighs, by the unit or size that a line names; null where nothing says so. */
export function sizeOf(ingredient: Ingredient, unit: string | null, size: string | null): CountSize | null {
  const sizes = ingredient.countSizes
  if (unit !== null) {
    const named = sizes.find((one) => one.size === unit) ?? sizes.find((one) => one.size.startsWith(unit))
    if (named) return named
    if (unit === 'cm') {
      const inch = sizes.find((one) => one.size === 'inch')
      return inch ? { size: 'cm', massG: inch.massG / CM_PER_INCH } : null
    }
    const pinchG = PINCH[unit]
    return pinchG === undefined ? null : { size: `${unit}, common practice`, massG: pinchG }
  }
  if (size !== null) {
    const named = sizes.find((one) => one.size === size) ?? sizes.find((one) => one.size.endsWith(size))
    return named ?? (size === 'medium' || size === 'large' ? (sizes[0] ?? null) : null)
  }
  return (
    sizes.find((one) => one.size === 'each' || one.size === 'us-large') ??
    sizes.find((one) => one.size === 'medium') ??
    sizes.find((one) => one.size.endsWith('-large')) ??
    sizes[0] ??
    null
  )
}
