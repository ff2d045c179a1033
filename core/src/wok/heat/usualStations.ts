import type { HeatStation } from './vessel'

/** From here on a burner is a jet ring: a hotter ceiling, and the food is tossed [W]. Common practice. */
const RING_FROM_W = 12_000
const USUAL_WOK_W = 8000
const USUAL_GRIDDLE_W = 9000

/** Share of a gas flame that reaches a wok, by its power: 0.32 on a hob of 3.5 kW, 0.20 on a ring of 35 kW; common practice. */
export const gasEfficiency = (powerW: number): number =>
  Math.min(0.35, Math.max(0.15, 0.32 - 0.12 * Math.log10(powerW / 3500)))

/** Where nobody has said more of a station than its kind and its power: a spun wok of 36 cm, or a griddle zone of 30 by 60 cm. */
export function usualStation(kind: 'wok' | 'griddle', powerW: number | null): HeatStation {
  if (kind === 'griddle')
    return {
      kind,
      diameterM: null,
      plateM: { width: 0.3, length: 0.6 },
      depthM: null,
      massKg: 26.8,
      powerW: powerW ?? USUAL_GRIDDLE_W,
      efficiency: 0.45,
      source: 'gas',
      holdC: 230,
      zoneShare: null,
      contact: null,
    }
  const power = powerW ?? USUAL_WOK_W
  return {
    kind,
    diameterM: 0.36,
    plateM: null,
    depthM: null,
    massKg: 1.6,
    powerW: power,
    efficiency: Math.round(gasEfficiency(power) * 1000) / 1000,
    source: 'gas',
    holdC: power >= RING_FROM_W ? 320 : 280,
    zoneShare: null,
    contact: null,
  }
}

/** How food is usually moved on a station. Common practice. */
export function usualHandling({ kind, powerW }: Pick<HeatStation, 'kind' | 'powerW'>): 'flip' | 'toss' | 'stir' {
  if (kind === 'griddle') return 'flip'
  return kind === 'wok' && powerW >= RING_FROM_W ? 'toss' : 'stir'
}
