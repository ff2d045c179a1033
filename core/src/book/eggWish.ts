/** How a guest may ask for the egg, against what the dish does: dry all through, or fried on top with a runny yolk. */
export const EGG_WISHES = ['wellDone', 'runny'] as const
export type EggWish = (typeof EGG_WISHES)[number]

/** The wish of a batch's variations; where two contradict each other the one that is cooked through stands. */
export function eggWishOf(modifiers: readonly { egg?: EggWish }[]): EggWish | null {
  const wishes = modifiers.flatMap(({ egg }) => egg ?? [])
  return wishes.find((wish) => wish === 'wellDone') ?? wishes[0] ?? null
}
