import type { ProximateComposition } from '../physics/food'
import type { Role } from './dish'
import type { Ingredient } from './ingredient'

/** A row of which less than this is accounted for says nothing of how it heats [g of 100 g]. */
const LEAST_KNOWN_G = 90
/** Rice heats by its lot, fats and dry seasonings by their class. */
const BY_CLASS: readonly Role[] = ['rice', 'fat', 'drySeasoning', 'finish', 'garnish']

const share = (grams: number, ofG: number) => Math.round((grams / ofG) * 1000) / 1000

/**
 * What a row says of how its food heats: mass fractions of water, protein, fat, carbohydrate, fibre and ash, which sum to 1 within
 * rounding. Alcohol counts as water, and what no column names is ash. Null where the row does not say, or its role goes by class.
 */
export function heatCompositionOf(
  { waterG, proteinG, fatG, carbohydrateG, fibreG, alcoholG }: Ingredient,
  role: Role,
): ProximateComposition | null {
  const namedG = waterG + proteinG + fatG + carbohydrateG + alcoholG
  if (BY_CLASS.includes(role) || namedG < LEAST_KNOWN_G) return null
  const ofG = Math.max(100, namedG)
  const fibre = Math.min(fibreG, carbohydrateG)
  return {
    water: share(waterG + alcoholG, ofG),
    protein: share(proteinG, ofG),
    fat: share(fatG, ofG),
    carbohydrate: share(carbohydrateG - fibre, ofG),
    fibre: share(fibre, ofG),
    ash: share(ofG - namedG, ofG),
  }
}
