import type { Handling } from './parameters'
import type { HeatStation } from './vessel'

/**
 * So much, vessel and food together, a cook tosses a whole service long [kg]; from memory, and no limit of any code: a
 * kitchen says its own for each station.
 */
export const USUAL_LIFT_KG = 4

/**
 * How food is moved with so much of it in the vessel: it is tossed while one can lift it, and stirred with two tools from
 * there on. Everything that is not tossed stays as it is.
 */
export function handlingOfLoad(
  asked: Handling,
  { massKg, liftKg }: Pick<HeatStation, 'massKg' | 'liftKg'>,
  foodG: number,
): Handling {
  const isTooHeavy = massKg + foodG / 1000 > (liftKg ?? USUAL_LIFT_KG)
  return asked === 'toss' && isTooHeavy ? 'stir' : asked
}

/**
 * How somebody moves food who may still be learning: stirred with two tools, until tossing is learnt. Everything that is not
 * tossed stays as it is. Common practice.
 */
export const handlingOfPerson = (usual: Handling, isLearning: boolean): Handling =>
  usual === 'toss' && isLearning ? 'stir' : usual
