import { gastronormML, panFor, type GastronormDepth, type GastronormSize } from '../../measure/gastronorm'

export type PanChoice = { size: GastronormSize; depthMm: GastronormDepth; count: number }

/** Cut food lies loose [g/mL] where nobody weighed it. */
export const LOOSE_G_PER_ML = 0.55
const LARGEST: GastronormSize = '1/1'
const DEEP_MM = 150

/** Pans for a mass: the smallest one that holds it, else as many of the largest as it takes, all alike. */
export function pansFor(massG: number, gPerML: number = LOOSE_G_PER_ML): PanChoice | null {
  if (!(massG > 0)) return null
  const volumeML = massG / gPerML
  const one = panFor(volumeML, [65, 100]) ?? panFor(volumeML, [DEEP_MM])
  if (one) return { size: one.size, depthMm: one.depthMm, count: 1 }
  return { size: LARGEST, depthMm: DEEP_MM, count: Math.ceil(volumeML / gastronormML(LARGEST, DEEP_MM) - 1e-9) }
}

/** Width of the rail that a pan takes, in twelfths of a full one [1/12]. Source: EN 631-1 (from memory). */
export const RAIL_TWELFTHS: Readonly<Record<GastronormSize, number>> = {
  '1/1': 12,
  '1/2': 6,
  '1/3': 4,
  '1/4': 3,
  '1/6': 2,
  '1/9': 4 / 3,
}

export type RailPan = { itemId: string; size: GastronormSize }
/**
 * Pans into rails of one full pan each, first-fit decreasing: the widest first, each into the first rail with room. Never more
 * than 11/9 of the fewest rails and one (Johnson 1973, from memory). What fits no rail needs one more.
 */
export function packRails<T extends RailPan>(pans: readonly T[], twelfths = 12): T[][] {
  const rails: { leftTwelfths: number; pans: T[] }[] = []
  const widest = [...pans].sort(
    (a, b) => RAIL_TWELFTHS[b.size] - RAIL_TWELFTHS[a.size] || (a.itemId < b.itemId ? -1 : 1),
  )
  for (const pan of widest) {
    const width = RAIL_TWELFTHS[pan.size]
    const rail = rails.find((one) => one.leftTwelfths >= width - 1e-9)
    if (rail) {
      rail.pans.push(pan)
      rail.leftTwelfths -= width
    } else rails.push({ leftTwelfths: twelfths - width, pans: [pan] })
  }
  return rails.map((rail) => rail.pans)
}
