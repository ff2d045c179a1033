/** Repeatable chance in 0–1 for a seed and a number (integer mixing by Wang). */
export function chance(seed: number, n: number): number {
  let x = (Math.imul(seed + 1, 0x9e3779b1) ^ n) >>> 0
  x = (x ^ 61 ^ (x >>> 16)) >>> 0
  x = (x + (x << 3)) >>> 0
  x = (x ^ (x >>> 4)) >>> 0
  x = Math.imul(x, 0x27d4eb2d) >>> 0
  return ((x ^ (x >>> 15)) >>> 0) / 4_294_967_296
}
