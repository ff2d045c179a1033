/** Standard normal distribution function by the complementary error function. */
export function normalCdf(z: number): number {
  return 0.5 * erfc(-z / Math.SQRT2)
}

/** Complementary error function by its continued fraction and power series; error below 1e-14. */
function erfc(x: number): number {
  if (x < 0) return 2 - erfc(-x)
  if (x < 2) {
    let term = x
    let sum = x
    for (let n = 1; Math.abs(term) > 1e-17 * Math.abs(sum); n += 1) {
      term *= (-x * x) / n
      sum += term / (2 * n + 1)
      if (n > 200) break
    }
    return 1 - (2 / Math.sqrt(Math.PI)) * sum
  }
  let fraction = 0
  for (let n = 60; n >= 1; n -= 1) fraction = n / 2 / (x + fraction)
  return Math.exp(-x * x) / Math.sqrt(Math.PI) / (x + fraction)
}

/** The z below which a share of a standard normal lies: by bisection. */
export function normalQuantile(share: number): number {
  if (!(share > 0 && share < 1)) throw new RangeError(`share ${share} is outside (0, 1)`)
  let low = -9
  let high = 9
  for (let n = 0; n < 60; n += 1) {
    const middle = (low + high) / 2
    if (normalCdf(middle) < share) low = middle
    else high = middle
  }
  return (low + high) / 2
}
