/** Where a tray of rice may cool or stand cold. */
export const COOLING_PLACES = ['rack', 'fan', 'fridge', 'blast', 'ice-bath'] as const
export type CoolingPlace = (typeof COOLING_PLACES)[number]

/** What takes heat from one face: a coefficient and the temperature behind it. */
export type Face = { heatTransferWPerM2K: number; tempC: number }
export type TopFace = Face & {
  /** Dry for a covered tray, and for analysis. */
  evaporates: boolean
  /** Emissivity times the share of the surface that sees the surroundings and not a tray like itself; 0 for analysis. */
  radiatingShare: number
  /** Relative humidity of the air, 0–1. */
  humidity: number
}
export type Surroundings = { top: TopFace; bottom: Face }

type Figures = { topWPerM2K: number; bottomWPerM2K: number; airTempC: number; bottomTempC?: number; humidity: number }

/** House figures from memory, tuned until common practice came out: calibrate with readings. */
const FIGURES: Readonly<Record<CoolingPlace, Figures>> = {
  rack: { topWPerM2K: 5, bottomWPerM2K: 9, airTempC: 22, humidity: 0.5 },
  fan: { topWPerM2K: 20, bottomWPerM2K: 18, airTempC: 22, humidity: 0.5 },
  fridge: { topWPerM2K: 8, bottomWPerM2K: 9, airTempC: 3, humidity: 0.8 },
  blast: { topWPerM2K: 28, bottomWPerM2K: 26, airTempC: -3, humidity: 0.8 },
  'ice-bath': { topWPerM2K: 5, bottomWPerM2K: 220, airTempC: 22, bottomTempC: 0.5, humidity: 0.5 },
}
const COVERED_TOP_W_PER_M2K = 4
const OPEN_RADIATING_SHARE = 0.9
const COVERED_RADIATING_SHARE = 0.4

export type CoolStage = { durationS: number; place: CoolingPlace; covered: boolean; airTempC?: number | undefined }

/** The air of a place where nothing else is known [°C]. */
export const usualAirTempC = (place: CoolingPlace): number => FIGURES[place].airTempC

/**
 * What a tray feels in a stage; `surfaceFactor` scales both coefficients and is what readings calibrate (1 as planned).
 * An ice bath keeps its bottom at 0.5 °C whatever the air.
 */
export function surroundingsOf(stage: CoolStage, surfaceFactor = 1): Surroundings {
  const figures = FIGURES[stage.place]
  const airTempC = stage.airTempC ?? figures.airTempC
  return {
    top: {
      heatTransferWPerM2K: (stage.covered ? COVERED_TOP_W_PER_M2K : figures.topWPerM2K) * surfaceFactor,
      tempC: airTempC,
      evaporates: !stage.covered,
      radiatingShare: stage.covered ? COVERED_RADIATING_SHARE : OPEN_RADIATING_SHARE,
      humidity: figures.humidity,
    },
    bottom: {
      heatTransferWPerM2K: figures.bottomWPerM2K * surfaceFactor,
      tempC: figures.bottomTempC ?? airTempC,
    },
  }
}
