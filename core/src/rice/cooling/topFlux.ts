import {
  ATMOSPHERE_PA,
  VAPOUR_GAS_J_PER_KG_K,
  ZERO_C_K,
  latentHeatJPerKg,
  saturationPressurePa,
  saturationSlopePaPerK,
} from '../../physics/water'
import type { TopFace } from './coolingPlace'

const { abs, log, min } = Math

const STEFAN_BOLTZMANN_W_PER_M2K4 = 5.670374e-8
/** Heat capacity of air by volume at 20 °C [J/m³K], and Lewis number to the power 2/3 of water vapour in air. */
const AIR_J_PER_M3K = 1207
const LEWIS_POWER = 0.911
const MAX_PRESSURE_PA = 0.95 * ATMOSPHERE_PA
const SURFACE_TOLERANCE_K = 1e-9
const MAX_PASSES = 12

/** Heat and water that leave through the top, and how they change with the temperature of the cell below it. */
export type TopFlux = {
  heatWPerM2: number
  heatSlopeWPerM2K: number
  waterKgPerM2S: number
  waterSlopeKgPerM2SK: number
  surfaceTempC: number
}

/**
 * Convection, radiation and evaporation (Stefan flow, coefficient from Lewis) in balance with conduction through the
 * upper half of the top cell. Written into `out`, so that a simulation allocates nothing.
 */
export function topFlux(
  top: TopFace,
  cellTempC: number,
  conductanceWPerM2K: number,
  activity: number,
  out: TopFlux,
): void {
  let surfaceC = out.surfaceTempC
  let heat = 0
  let slope = 0
  let water = 0
  let waterSlope = 0
  const airK = top.tempC + ZERO_C_K
  const massCoefficientMPerS = top.heatTransferWPerM2K / (AIR_J_PER_M3K * LEWIS_POWER)
  const airPressurePa = top.humidity * saturationPressurePa(top.tempC)
  for (let pass = 0; pass < MAX_PASSES; pass += 1) {
    heat = top.heatTransferWPerM2K * (surfaceC - top.tempC)
    slope = top.heatTransferWPerM2K
    if (top.radiatingShare > 0) {
      const surfaceK = surfaceC + ZERO_C_K
      const squares = surfaceK * surfaceK + airK * airK
      const factor = top.radiatingShare * STEFAN_BOLTZMANN_W_PER_M2K4
      heat += factor * squares * (surfaceK + airK) * (surfaceK - airK)
      slope += 4 * factor * surfaceK * surfaceK * surfaceK
    }
    if (top.evaporates) {
      const filmK = (surfaceC + top.tempC) / 2 + ZERO_C_K
      const saturatedPa = saturationPressurePa(surfaceC)
      const pressurePa = min(activity * saturatedPa, MAX_PRESSURE_PA)
      const scale = (massCoefficientMPerS * ATMOSPHERE_PA) / (VAPOUR_GAS_J_PER_KG_K * filmK)
      const latent = latentHeatJPerKg(surfaceC)
      water = scale * log((ATMOSPHERE_PA - airPressurePa) / (ATMOSPHERE_PA - pressurePa))
      waterSlope =
        pressurePa < MAX_PRESSURE_PA
          ? (scale * activity * saturationSlopePaPerK(surfaceC, saturatedPa)) / (ATMOSPHERE_PA - pressurePa)
          : 0
      heat += water * latent
      slope += waterSlope * latent
    }
    const step = (conductanceWPerM2K * (cellTempC - surfaceC) - heat) / (conductanceWPerM2K + slope)
    surfaceC += step
    if (abs(step) < SURFACE_TOLERANCE_K) break
  }
  const share = conductanceWPerM2K / (conductanceWPerM2K + slope)
  out.surfaceTempC = surfaceC
  out.heatWPerM2 = conductanceWPerM2K * (cellTempC - surfaceC)
  out.heatSlopeWPerM2K = slope * share
  out.waterKgPerM2S = water
  out.waterSlopeKgPerM2SK = waterSlope * share
}
