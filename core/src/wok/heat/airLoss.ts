import {
  ATMOSPHERE_PA,
  latentHeatJPerKg,
  saturationPressurePa,
  VAPOUR_GAS_J_PER_KG_K,
  ZERO_C_K,
} from '../../physics/water'
import { AIR_C, AIR_VAPOUR_PA, LEWIS_J_PER_M3K } from './parameters'

const { log, max, min } = Math

/** Saturation pressure [Pa] every quarter kelvin from -40 °C, and the gas constant in it; between, a straight line. */
const TABLE_FROM_C = -40
const TABLE_TO_C = 130
const PER_K = 4
const PRESSURE = Float64Array.from({ length: (TABLE_TO_C - TABLE_FROM_C) * PER_K + 2 }, (_, i) =>
  saturationPressurePa(TABLE_FROM_C + i / PER_K),
)

function pressurePa(tempC: number): number {
  const place = (min(max(tempC, TABLE_FROM_C), TABLE_TO_C) - TABLE_FROM_C) * PER_K
  const index = place | 0
  const below = PRESSURE[index]!
  return below + (PRESSURE[index + 1]! - below) * (place - index)
}

/** Surface temperature [°C] of the food in the air, beside what `airLoss` gives; an array, so that it is never boxed. */
export const surface = new Float64Array(1)

/**
 * Vapour that a surface gives off [kg/m² s]: Stefan's flow, the surface cooled by it and by the air as far as the food
 * behind it lets it (one linear step).
 */
export function airLoss(tempC: number, activity: number, foodSide: number, airWPerM2K: number): number {
  const saturated = pressurePa(tempC)
  const vapourPa = min(activity * saturated, 0.97 * ATMOSPHERE_PA)
  const kelvin = tempC + ZERO_C_K
  const latent = latentHeatJPerKg(tempC)
  const massM2 = ((airWPerM2K / LEWIS_J_PER_M3K) * ATMOSPHERE_PA) / (VAPOUR_GAS_J_PER_KG_K * kelvin)
  const vapour = max(0, massM2 * log((ATMOSPHERE_PA - AIR_VAPOUR_PA) / (ATMOSPHERE_PA - vapourPa)))
  const slope = (massM2 * vapourPa * latent) / (VAPOUR_GAS_J_PER_KG_K * kelvin * kelvin) / (ATMOSPHERE_PA - vapourPa)
  const falls = (vapour * latent + airWPerM2K * (tempC - AIR_C)) / (foodSide + airWPerM2K + latent * slope)
  const surfaceC = max(tempC - falls, min(tempC, AIR_C))
  surface[0] = surfaceC
  return max(0, vapour - slope * (tempC - surfaceC))
}
