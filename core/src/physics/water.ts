const { exp, pow, sqrt } = Math

/** Pressure of the standard atmosphere [Pa]. */
export const ATMOSPHERE_PA = 101_325
/** Gas constant of water vapour [J/kg K]. */
export const VAPOUR_GAS_J_PER_KG_K = 461.52
/** 0 °C in kelvin. */
export const ZERO_C_K = 273.15

const CRITICAL_K = 647.096
const CRITICAL_PA = 22.064e6

/**
 * Saturation pressure of water [Pa] at 0–100 °C. Wagner and Pruss, auxiliary equation of IAPWS-95; coefficients from
 * memory, checked against an outside steam table in the test. Error below 0.05 %.
 */
export function saturationPressurePa(tempC: number): number {
  const tempK = tempC + ZERO_C_K
  return CRITICAL_PA * exp(logReducedPressure(tempK))
}

function logReducedPressure(tempK: number): number {
  const tau = 1 - tempK / CRITICAL_K
  const root = sqrt(tau)
  const tau3 = tau * tau * tau
  const tau35 = tau3 * root
  const sum =
    -7.85951783 * tau +
    1.84408259 * tau * root -
    11.7866497 * tau3 +
    22.6807411 * tau35 -
    15.9618719 * tau3 * tau +
    1.80122502 * tau35 * tau * tau * tau * tau
  return (CRITICAL_K / tempK) * sum
}

/** Slope of the saturation pressure [Pa/K], after Clausius and Clapeyron for an ideal vapour. Error below 3 % to 100 °C. */
export function saturationSlopePaPerK(tempC: number, pressurePa: number): number {
  const tempK = tempC + ZERO_C_K
  return (pressurePa * latentHeatJPerKg(tempC)) / (VAPOUR_GAS_J_PER_KG_K * tempK * tempK)
}

/** Heat of evaporation [J/kg] at 0–100 °C: a parabola through the steam table. Error below 0.1 %. */
export function latentHeatJPerKg(tempC: number): number {
  return 2_500_900 - 2300 * tempC - 1.44 * tempC * tempC
}

/** Diffusivity of water vapour in air [m²/s] at one atmosphere. Common engineering fit, from memory; error about 5 %. */
export function vapourDiffusivityM2PerS(tempC: number): number {
  return 2.12e-5 * pow((tempC + ZERO_C_K) / ZERO_C_K, 1.94)
}
