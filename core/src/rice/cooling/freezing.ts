/** Latent heat of ice at 0 °C [J/kg], from memory of physics tables. */
const ICE_J_PER_KG = 333_550
/** Where cooked rice begins to freeze and where nearly all that can freeze is ice [°C]; from memory of food tables, rough. */
const STARTS_C = -1
const ENDS_C = -4
/** Of its water, what freezes at all; the rest is bound to the grain. */
export const FROZEN_WATER_SHARE = 0.85

/** Freezing of the water in rice as heat that is given off below its freezing point. */
export type Freezing = {
  startsC: number
  /** Heat content by volume, 0 at 0 °C [J/m³]. */
  heatJPerM3: (tempC: number) => number
  /** Its slope [J/m³K]. */
  capacityJPerM3K: (tempC: number) => number
}

/** Heat content of a bed that freezes over a few kelvin: `freezableKgPerM3` of water gives its latent heat evenly between. */
export function freezing(heatJPerM3K: number, freezableKgPerM3: number): Freezing {
  const latentJPerM3 = freezableKgPerM3 * ICE_J_PER_KG
  const spreadJPerM3K = latentJPerM3 / (STARTS_C - ENDS_C)
  return {
    startsC: latentJPerM3 > 0 ? STARTS_C : -Infinity,
    heatJPerM3: (tempC) =>
      heatJPerM3K * tempC -
      (tempC >= STARTS_C ? 0 : tempC <= ENDS_C ? latentJPerM3 : spreadJPerM3K * (STARTS_C - tempC)),
    capacityJPerM3K: (tempC) => heatJPerM3K + (tempC < STARTS_C && tempC > ENDS_C ? spreadJPerM3K : 0),
  }
}
