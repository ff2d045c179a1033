import { dryMetalC, metalAfterC, type LoadReading } from 'core/wok/heat/calibrate'
import type { HeatStation } from 'core/wok/heat/vessel'
import { chance } from '../chance'
import type { SurfaceThermometer } from '../devices'

/** What is done in the vessel that it is held to. */
export type HeldTo = { kind: 'dry'; seconds: number } | ({ kind: 'load' } & Omit<LoadReading, 'metalC'>)

const HIDDEN_SPREAD = { flame: 0.1, contact: 0.3 } as const
const NOISE_K = 1

/**
 * The stand-in that ships: it shows what the heat model says of the station as it is known, with a hidden factor of its flame and
 * a contact of its own, both from the seed, and with noise from the time.
 */
export function simulatedSurface(plate: HeatStation, seed: number, heldTo: HeldTo, atMs: number): SurfaceThermometer {
  const { flame, contact } = HIDDEN_SPREAD
  const hidden = (spread: number, n: number) => Math.exp(spread * (chance(seed, n) - 0.5))
  const station = { ...plate, efficiency: plate.efficiency * hidden(flame, 0), contact: hidden(contact, 1) }
  const trueC = heldTo.kind === 'dry' ? dryMetalC(station, heldTo.seconds) : metalAfterC(station, heldTo)
  const noiseK = (chance(seed, Math.round(atMs / 1000)) - 0.5) * 2 * NOISE_K
  return { read: () => Promise.resolve(Math.round(trueC + noiseK)) }
}
