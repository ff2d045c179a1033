const FRACTIONS: readonly (readonly [number, string])[] = [
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [3 / 8, '⅜'],
  [1 / 2, '½'],
  [5 / 8, '⅝'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
  [7 / 8, '⅞'],
]
const DIGITS = 6

/**
 * A number as a kitchen writes it: eighths and thirds as fractions (2½), anything else as a decimal of at most six places.
 * `readNumber` reads it back within 1e-6.
 */
export function writeNumber(value: number): string {
  const whole = Math.floor(value + 1e-9)
  const rest = value - whole
  if (rest < 1e-9) return String(whole)
  const sign = FRACTIONS.find(([part]) => Math.abs(part - rest) < 1e-9)?.[1]
  if (sign) return whole === 0 ? sign : `${whole}${sign}`
  return String(Number(value.toFixed(DIGITS)))
}

/** A quantity as a kitchen writes it: "1½ tbsp", "2–3 cloves", "40 g". */
export function writeQuantity(value: number, most: number | null, unit: string | null): string {
  const range = most === null ? writeNumber(value) : `${writeNumber(value)}–${writeNumber(most)}`
  return unit === null ? range : `${range} ${unit}`
}
