/**
 * Thermal properties of foods by composition: Choi and Okos (1986), as printed in the ASHRAE Refrigeration Handbook's
 * chapter on foods; from memory. The heat capacity of water at 0 °C is 4176.2: some printings have 4128.9, which misses
 * 4.18 kJ/kg K at 25 °C.
 */
type Nutrient = 'water' | 'protein' | 'fat' | 'carbohydrate' | 'fibre' | 'ash'
type Polynomial = readonly [number, number, number]

/** Conductivity [W/m K] as a + b T + c T² of °C. */
const CONDUCTIVITY: Readonly<Record<Nutrient, Polynomial>> = {
  water: [0.57109, 1.7625e-3, -6.7036e-6],
  protein: [0.17881, 1.1958e-3, -2.7178e-6],
  fat: [0.18071, -2.7604e-4, -1.7749e-7],
  carbohydrate: [0.20141, 1.3874e-3, -4.3312e-6],
  fibre: [0.18331, 1.2497e-3, -3.1683e-6],
  ash: [0.32962, 1.4011e-3, -2.9069e-6],
}
/** Density [kg/m³]. */
const DENSITY: Readonly<Record<Nutrient, Polynomial>> = {
  water: [997.18, 3.1439e-3, -3.7574e-3],
  protein: [1329.9, -0.5184, 0],
  fat: [925.59, -0.41757, 0],
  carbohydrate: [1599.1, -0.31046, 0],
  fibre: [1311.5, -0.36589, 0],
  ash: [2423.8, -0.28063, 0],
}
/** Heat capacity [J/kg K]. */
const HEAT_CAPACITY: Readonly<Record<Nutrient, Polynomial>> = {
  water: [4176.2, -9.0864e-2, 5.4731e-3],
  protein: [2008.2, 1.2089, -1.3129e-3],
  fat: [1984.2, 1.4733, -4.8008e-3],
  carbohydrate: [1548.8, 1.9625, -5.9399e-3],
  fibre: [1845.9, 1.8306, -4.6509e-3],
  ash: [1092.6, 1.8896, -3.6817e-3],
}

/** Mass fractions that sum to 1. */
export type ProximateComposition = Partial<Readonly<Record<Nutrient, number>>>

const at = ([a, b, c]: Polynomial, tempC: number) => a + b * tempC + c * tempC * tempC
const parts = (composition: ProximateComposition) => Object.entries(composition) as [Nutrient, number][]

/** Density of the solid food without pores [kg/m³]. */
export function densityKgPerM3(composition: ProximateComposition, tempC: number): number {
  return 1 / parts(composition).reduce((sum, [name, fraction]) => sum + fraction / at(DENSITY[name], tempC), 0)
}

/** Heat capacity [J/kg K]. */
export function heatCapacityJPerKgK(composition: ProximateComposition, tempC: number): number {
  return parts(composition).reduce((sum, [name, fraction]) => sum + fraction * at(HEAT_CAPACITY[name], tempC), 0)
}

/** Conductivity [W/m K], parts side by side by their share of the volume. */
export function conductivityWPerMK(composition: ProximateComposition, tempC: number): number {
  const densityTotal = densityKgPerM3(composition, tempC)
  return parts(composition).reduce((sum, [name, fraction]) => {
    const volumeFraction = (fraction / at(DENSITY[name], tempC)) * densityTotal
    return sum + volumeFraction * at(CONDUCTIVITY[name], tempC)
  }, 0)
}
