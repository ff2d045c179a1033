let state = 1

/** Begins the row of numbers anew: the same seed, the same row. */
export function seedWith(seed: number): void {
  state = (Math.imul(seed | 0, 0x9e3779b1) ^ 0x5bd1e995) | 1
}

/** A number from 0 up to 1, by Marsaglia's xorshift (2003). */
export function chance(): number {
  state ^= state << 13
  state ^= state >>> 17
  state ^= state << 5
  return (state >>> 0) / 4294967296
}

/** A whole number from 0 up to below n. */
export const below = (n: number): number => (chance() * n) | 0
