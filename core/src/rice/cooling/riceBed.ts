import { conductivityWPerMK, densityKgPerM3, heatCapacityJPerKgK, type ProximateComposition } from '../../physics/food'
import {
  ATMOSPHERE_PA,
  VAPOUR_GAS_J_PER_KG_K,
  ZERO_C_K,
  latentHeatJPerKg,
  saturationPressurePa,
  saturationSlopePaPerK,
  vapourDiffusivityM2PerS,
} from '../../physics/water'
import { readAt, tableOf } from './byTemperature'

const { exp, max, min, pow } = Math

/** Share of air between the grains of fluffed cooked rice; plausible 0.25–0.45, no measurement of ours. */
const POROSITY = 0.35
/** Dry matter of cooked white rice by mass, from memory of food tables. */
const DRY: ProximateComposition = { carbohydrate: 0.908, protein: 0.079, fat: 0.008, ash: 0.005 }
const PROPERTY_TEMP_C = 50
const AIR_CONDUCTIVITY_W_PER_M_K = 0.027
const MAX_PORE_CONDUCTIVITY_W_PER_M_K = 2

/** Oswin's curve of water activity over water per dry matter: A and B for cooked rice, from memory, rough. */
const OSWIN_A = 0.13
const OSWIN_B = 0.33

const LIQUID_DIFFUSIVITY_25C_M2_PER_S = 3e-10
const LIQUID_ACTIVATION_J_PER_MOL = 30_000
const GAS_J_PER_MOL_K = 8.314
const TORTUOSITY = 0.6

/** Properties of a bed of rice by temperature, as the model needs them. */
export type RiceBed = {
  /** Mass of the tray's rice by volume, pores included. */
  densityKgPerM3: number
  dryDensityKgPerM3: number
  heatCapacityJPerM3K: number
  conductivity: (tempC: number, activity: number) => number
  /** How fast water evens out in the bed [m²/s]: through the grains, and as vapour between them. */
  waterDiffusivityM2PerS: (tempC: number, waterPerDry: number) => number
}

/** A bed of cooked rice with this share of water by mass: density and heat capacity at 50 °C, conductivity by state. */
export function riceBed(waterFraction: number): RiceBed {
  const composition = riceComposition(waterFraction)
  const densityKg = densityKgPerM3(composition, PROPERTY_TEMP_C) * (1 - POROSITY)
  const dryDensityKg = densityKg * (1 - waterFraction)
  const mostGrainWPerMK = conductivityWPerMK(composition, PROPERTY_TEMP_C)
  const vapourConductivity = tableOf(vapourConductivityWPerMK)
  const liquidDiffusivity = tableOf(liquidDiffusivityM2PerS)
  const vapourDiffusivity = tableOf((tempC) => vapourMobilityKgPerMS(tempC) / dryDensityKg)
  return {
    densityKgPerM3: densityKg,
    dryDensityKgPerM3: dryDensityKg,
    heatCapacityJPerM3K: densityKg * heatCapacityJPerKgK(composition, PROPERTY_TEMP_C),
    conductivity: (tempC, activity) => {
      const grain = min(0.4 + 0.0013 * tempC, mostGrainWPerMK)
      const vapour = readAt(vapourConductivity, tempC) * activity
      const pore = min(AIR_CONDUCTIVITY_W_PER_M_K + vapour, MAX_PORE_CONDUCTIVITY_W_PER_M_K)
      const between = grain - pore
      return (grain * (2 * grain + pore - 2 * POROSITY * between)) / (2 * grain + pore + POROSITY * between)
    },
    waterDiffusivityM2PerS: (tempC, waterPerDry) =>
      readAt(liquidDiffusivity, tempC) + readAt(vapourDiffusivity, tempC) * activitySlope(waterPerDry),
  }
}

function riceComposition(waterFraction: number): ProximateComposition {
  const dry = Object.entries(DRY).map(([name, share]) => [name, share * (1 - waterFraction)] as const)
  return { ...Object.fromEntries(dry), water: waterFraction }
}

/**
 * In a pore, heat also travels as vapour from its warm to its cold side (Krischer, de Vries) [W/m K at full activity]:
 * a hot wet bed feels it, a cold one does not. Grain and pores together follow Maxwell and Eucken.
 */
function vapourConductivityWPerMK(tempC: number): number {
  const pressure = min(saturationPressurePa(tempC), 0.95 * ATMOSPHERE_PA)
  return (
    ((vapourDiffusivityM2PerS(tempC) * latentHeatJPerKg(tempC) * saturationSlopePaPerK(tempC, pressure)) /
      (VAPOUR_GAS_J_PER_KG_K * (tempC + ZERO_C_K))) *
    (ATMOSPHERE_PA / (ATMOSPHERE_PA - pressure))
  )
}

const liquidDiffusivityM2PerS = (tempC: number): number =>
  LIQUID_DIFFUSIVITY_25C_M2_PER_S *
  exp((LIQUID_ACTIVATION_J_PER_MOL / GAS_J_PER_MOL_K) * (1 / 298.15 - 1 / (tempC + ZERO_C_K)))

const vapourMobilityKgPerMS = (tempC: number): number =>
  (POROSITY * TORTUOSITY * vapourDiffusivityM2PerS(tempC) * saturationPressurePa(tempC)) /
  (VAPOUR_GAS_J_PER_KG_K * (tempC + ZERO_C_K))

const oswinRatio = (waterPerDry: number): number => pow(OSWIN_A / max(waterPerDry, 1e-6), 1 / OSWIN_B)

/** Water activity (0–1) of rice with this much water per dry matter [kg/kg]: Oswin, rough. */
export function waterActivity(waterPerDry: number): number {
  return 1 / (1 + oswinRatio(waterPerDry))
}

function activitySlope(waterPerDry: number): number {
  const ratio = oswinRatio(waterPerDry)
  return ratio / (OSWIN_B * max(waterPerDry, 1e-6) * (1 + ratio) * (1 + ratio))
}
