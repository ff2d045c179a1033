import type { Ingredient } from '../ingredient'
import { sizeOf } from './formAndSize'
import type { ParsedLine } from './parseLine'
import { flag, type Flag } from './flags'

/** Units whose filling is a manner: level, heaped, scant. */
export const SPOONS: readonly string[] = ['tsp', 'tbsp']
const HEAPED = /\b(?:heaped|heaping|rounded)\b/
const SCANT = /\bscant\b/
/** What a spoon holds against a level one: common practice, an estimate that says so. */
export const fillOf = (prep: string | null) => (HEAPED.test(prep ?? '') ? 1.5 : SCANT.test(prep ?? '') ? 0.9 : 1)

/** What to ask of a spoon or size whose filling or weight is not said. */
export function mannerFlags({ prep, unit }: ParsedLine): Flag[] {
  const factor = fillOf(prep)
  if (factor === 1 || !SPOONS.includes(unit ?? '')) return []
  const percent = Math.round(factor * 100)
  return [flag('heaped', `taken as ${percent} % of a level spoon, an estimate: weigh one of yours once`, { percent })]
}

/** Sizes of one thing may differ by this factor before somebody is asked which is meant. */
const SIZES_ALIKE = 1.6

/** "12 prawns": of things that come in very different sizes, the size is asked for. */
export function sizeFlags({ unit, size, also, each, quantity }: ParsedLine, ingredient: Ingredient | null): Flag[] {
  if (unit !== null || size !== null || each || also.length > 0 || quantity === null || !ingredient) return []
  if (!ingredient.role.startsWith('protein')) return []
  const masses = ingredient.countSizes.map((one) => one.massG)
  if (masses.length < 2 || Math.max(...masses) <= Math.min(...masses) * SIZES_ALIKE) return []
  const taken = sizeOf(ingredient, null, null)
  const sizes = ingredient.countSizes.map((one) => `${one.size} ${one.massG} g`).join(', ')
  return [
    flag('which-size', `which size? ${taken?.size ?? 'one'} is taken until you say: ${sizes}`, {
      size: taken?.size ?? '',
      sizes,
    }),
  ]
}
