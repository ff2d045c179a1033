/** Numbers names as they come. */
export function numbers(): (name: string) => number {
  const known = new Map<string, number>()
  return (name) => {
    const number = known.get(name) ?? known.size
    known.set(name, number)
    return number
  }
}

/** Bits of a number that are not its sign. */
export const MOST_ALLERGENS = 31
/** Allergens as bits of one number. @throws {RangeError} where an instance has more of them than bits */
export function bitsOf(): (names: readonly string[]) => number {
  const number = numbers()
  return (names) =>
    names.reduce((bits, name) => {
      const bit = number(name)
      if (bit >= MOST_ALLERGENS) throw new RangeError(`more than ${MOST_ALLERGENS} allergens: name fewer`)
      return bits | (1 << bit)
    }, 0)
}
