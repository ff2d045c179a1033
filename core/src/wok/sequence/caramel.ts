const { exp, max } = Math

/** Sugar and soy on hot metal: index by Arrhenius where the sauce lies, a part of the way to the metal. [C] */
const CARAMEL = { perS: 0.3, atC: 173, activationJPerMol: 120_000, towardsMetal: 0.35 } as const

/** How fast sauce on metal of so many °C browns [1/s]. */
export function caramelPerS(metalTempC: number): number {
  const atC = 100 + CARAMEL.towardsMetal * max(0, metalTempC - 100)
  const inverse = 1 / (CARAMEL.atC + 273.15) - 1 / (atC + 273.15)
  return CARAMEL.perS * exp((CARAMEL.activationJPerMol / 8.314462) * inverse)
}
