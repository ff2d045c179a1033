import type { Ingredient } from '../ingredient'
import { acidByGram } from '../balance/acid'
import { SALT_PER_SODIUM } from '../balance/balance'
import type { AtHand } from './correct'

/**
 * The most that anyone stirs into a batch of one thing before it tastes of that [share of the mass]: house judgement. What is
 * not named is eaten by the mouthful and may dilute.
 */
const MOST_FRACTION: Readonly<Record<string, number>> = {
  'dry-seasoning': 0.004,
  'dry-seasoning:salt': 0.01,
  'dry-seasoning:sugar': 0.02,
  'liquid-seasoning': 0.05,
  paste: 0.03,
  aromatic: 0.03,
  fat: 0.04,
  finish: 0.03,
  garnish: 0.03,
}
const mostFractionOf = (role: string): number =>
  MOST_FRACTION[role] ?? MOST_FRACTION[role.split(':')[0] ?? role] ?? Infinity

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
    mostFraction: mostFractionOf(one.role),
  }
}
