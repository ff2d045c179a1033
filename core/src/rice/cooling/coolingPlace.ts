/** Where a tray of rice may cool or stand cold. */
export const COOLING_PLACES = ['rack', 'fan', 'fridge', 'blast', 'ice-bath'] as const
export type CoolingPlace = (typeof COOLING_PLACES)[number]

/** What takes heat from one face: a coefficient and the temperature behind it. */
export type Face = { heatTransferWPerM2K: number; tempC: number }
/** What cools the top of a tray, with the moisture of the air. */
export type TopFace = Face & {
  /** Dry for a covered tray, and for analysis. */
  evaporates: boolean
  /** Emissivity times the share of the surface that sees the surroundings and not a tray like itself; 0 for analysis. */
  radiatingShare: number
  /** Relative humidity of the air, 0–1. */
  humidity: number
}
/** What cools a tray from above and from below. */
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

/** How trays stand: alone with air around them, one above the other with a gap, or one in the other. */
export const STACKS = ['single', 'stacked', 'nested'] as const
export type Stack = (typeof STACKS)[number]
/** What the air reaches at most between trays [W/m²K]; house figures, from memory: spread the trays apart instead. */
const STACK_FIGURES: Readonly<Record<Exclude<Stack, 'single'>, { mostWPerM2K: number; radiatingShare: number }>> = {
  stacked: { mostWPerM2K: 4, radiatingShare: 0.1 },
  nested: { mostWPerM2K: 0.8, radiatingShare: 0 },
}
/** What trays are made of. */
export const TRAY_MATERIALS = ['steel', 'aluminium', 'plastic'] as const
export type TrayMaterial = (typeof TRAY_MATERIALS)[number]
/** Thickness over conductivity of its wall [m²K/W]: 0.8 mm at 16 W/mK, 1 mm at 200, 3 mm at 0.2; from memory. */
const WALL_M2K_PER_W: Readonly<Record<TrayMaterial, number>> = { steel: 5e-5, aluminium: 5e-6, plastic: 0.015 }

/** Where a tray stands and for how long; what is not said is as usual there. */
export type CoolStage = {
  durationS: number
  place: CoolingPlace
  covered: boolean
  airTempC?: number | undefined
  stack?: Stack | undefined
  material?: TrayMaterial | undefined
}

/** Stages as a house cools, in its trays. */
export const inTrays = (stages: readonly CoolStage[], material: TrayMaterial | undefined): CoolStage[] =>
  stages.map((stage) => ({ ...stage, material: stage.material ?? material }))

/** The air of a place where nothing else is known [°C]. */
export const usualAirTempC = (place: CoolingPlace): number => FIGURES[place].airTempC

/**
 * What a tray feels in a stage; `surfaceFactor` scales both coefficients and is what readings calibrate (1 as planned).
 * An ice bath keeps its bottom at 0.5 °C whatever the air.
 */
export function surroundingsOf(stage: CoolStage, surfaceFactor = 1): Surroundings {
  const figures = FIGURES[stage.place]
  const airTempC = stage.airTempC ?? figures.airTempC
  const stack = stage.stack === undefined || stage.stack === 'single' ? null : STACK_FIGURES[stage.stack]
  const mostWPerM2K = stack?.mostWPerM2K ?? Infinity
  const topWPerM2K = Math.min(stage.covered ? COVERED_TOP_W_PER_M2K : figures.topWPerM2K, mostWPerM2K)
  const bottomWPerM2K = Math.min(figures.bottomWPerM2K, mostWPerM2K) * surfaceFactor
  return {
    top: {
      heatTransferWPerM2K: topWPerM2K * surfaceFactor,
      tempC: airTempC,
      evaporates: !stage.covered && stage.stack !== 'nested',
      radiatingShare: stack?.radiatingShare ?? (stage.covered ? COVERED_RADIATING_SHARE : OPEN_RADIATING_SHARE),
      humidity: figures.humidity,
    },
    bottom: {
      heatTransferWPerM2K: 1 / (1 / bottomWPerM2K + WALL_M2K_PER_W[stage.material ?? 'steel']),
      tempC: figures.bottomTempC ?? airTempC,
    },
  }
}
