const { floor, max, min } = Math

/** Functions of temperature alone, by quarter kelvin: read between neighbours, error below 1e-5 of the value. */
const FROM_C = -60
const STEPS_PER_K = 4
const TO_C = 105

/** A function of temperature [°C] as a table. */
export function tableOf(value: (tempC: number) => number): Float64Array {
  const length = (TO_C - FROM_C) * STEPS_PER_K + 1
  return Float64Array.from({ length }, (_, i) => value(FROM_C + i / STEPS_PER_K))
}

/** Its value at a temperature [°C]; outside the table that of its end. */
export function readAt(values: Float64Array, tempC: number): number {
  const at = (tempC - FROM_C) * STEPS_PER_K
  const below = max(0, min(floor(at), values.length - 2))
  return values[below]! + (at - below) * (values[below + 1]! - values[below]!)
}
