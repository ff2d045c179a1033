import type { Ingredient } from '../ingredient'
import { acidByGram } from '../balance/acid'
import { SALT_PER_SODIUM } from '../balance/balance'
import type { AtHand } from './correct'

/** An ingredient as what it brings to a batch by the gram. Rice soaks up: its own water is not free. */
export function atHandOf(one: Ingredient): AtHand {
  const isRice = one.role === 'rice'
  return {
    id: one.id,
    name: one.name,
    saltFraction: (one.sodiumMg * SALT_PER_SODIUM) / 1e5,
    sugarFraction: one.sugarsG / 100,
    fatFraction: one.fatG / 100,
    freeLiquidFraction: isRice ? 0 : one.freeLiquidFraction,
    acid: acidByGram(one.acid),
    umami: one.role === 'dry-seasoning:umami' ? 1 : 0,
    isRice,
  }
}
