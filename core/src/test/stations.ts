import { gasEfficiency } from '../wok/heat/usualStations'
import type { HeatStation } from '../wok/heat/vessel'

/** A spun steel wok over gas or a coil; its mass grows with its area. */
export function aWok(powerW: number, more: Partial<HeatStation> = {}): HeatStation {
  const diameterM = more.diameterM ?? 0.36
  const isCoil = more.source === 'induction'
  return {
    kind: 'wok',
    diameterM,
    plateM: null,
    depthM: null,
    massKg: 1.6 * (diameterM / 0.36) ** 2,
    powerW,
    efficiency: isCoil ? 0.85 : gasEfficiency(powerW),
    source: 'gas',
    holdC: isCoil ? 260 : powerW >= 15_000 ? 320 : 280,
    ...more,
  }
}

/** A zone of a griddle, 30 by 60 cm, of steel so thick [m]. */
export const aGriddle = (thickM = 0.019): HeatStation => ({
  kind: 'griddle',
  diameterM: null,
  plateM: { width: 0.3, length: 0.6 },
  depthM: null,
  massKg: 0.3 * 0.6 * thickM * 7850,
  powerW: 9000,
  efficiency: 0.45,
  source: 'gas',
  holdC: 230,
})

export const HOB = aWok(3500)
export const RING = aWok(25_000)
