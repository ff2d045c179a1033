import type { Probe } from 'contract/rice'
import { coolTray } from 'core/rice/cooling/coolTray'
import { tempAtC } from 'core/rice/cooling/fitCooling'
import { trayStages } from 'core/rice/cooling/predictCooling'
import type { LotOnTray } from 'core/rice/lot/lotForecast'
import { chance } from '../chance'
import type { TemperatureProbe } from '../devices'

type SimulatedProbe = {
  fault: Probe['fault']
  seed: number
  sinceMs: number
  /** How fast the tray cooled by what was read before the probe was put in; 1 as planned. */
  surfaceFactor: number
}

const NOISE_K = 0.25
const HIDDEN_SPREAD = 0.2
const LATE_MS = 15 * 60_000

/**
 * The stand-in that ships: it follows the tray as it has cooled so far, with a hidden factor of its own and noise, both
 * from its seed, and fails as it is told: silent says nothing; stuck repeats what it read when it was put in; late sends what it
 * read a quarter of an hour ago; unit sends °F as if they were °C.
 */
export function simulatedProbe(
  { fault, seed, sinceMs, surfaceFactor }: SimulatedProbe,
  lot: LotOnTray,
): TemperatureProbe {
  const factor = surfaceFactor * Math.exp(HIDDEN_SPREAD * (chance(seed, 0) - 0.5))
  const curve = coolTray(lot.tray, trayStages(lot.stages, factor))
  const coreC = (atMs: number) => {
    const noise = (chance(seed, Math.round(atMs / 1000)) - 0.5) * 2 * NOISE_K
    return Math.round((tempAtC(curve, Math.max(0, (atMs - lot.fromMs) / 1000)) + noise) * 10) / 10
  }
  return {
    read: (nowMs) => {
      switch (fault) {
        case 'silent':
          return null
        case 'stuck':
          return { tempC: coreC(sinceMs), atMs: nowMs }
        case 'late':
          return { tempC: coreC(nowMs - LATE_MS), atMs: Math.max(lot.fromMs, nowMs - LATE_MS) }
        case 'unit':
          return { tempC: Math.round((coreC(nowMs) * 1.8 + 32) * 10) / 10, atMs: nowMs }
        case 'none':
          return { tempC: coreC(nowMs), atMs: nowMs }
      }
    },
  }
}
