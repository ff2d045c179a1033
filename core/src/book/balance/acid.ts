/**
 * Acid by the gram at each mark of the table's scale, against lime juice at 5: the marks are what a tongue says, not an
 * amount. Titratable acid of their foods, from memory: tomato 0.4 %, orange and yoghurt 0.9 %, kimchi and pickles 1.2 %,
 * hot sauce and sushi vinegar 3 %, lime juice and vinegar 6 %.
 */
const OF_LIME = [0, 0.07, 0.15, 0.2, 0.5, 1] as const
const LIME = 5

/** What a gram brings of acid, where a gram of lime juice brings 5. Marks between two are taken in a straight line. */
export function acidByGram(mark: number): number {
  const below = Math.min(LIME - 1, Math.max(0, Math.floor(mark)))
  const from = OF_LIME[below]!
  return LIME * (from + (OF_LIME[below + 1]! - from) * Math.min(1, Math.max(0, mark - below)))
}
