import { gastronormML, panFor, type GastronormDepth, type GastronormSize } from '../../measure/gastronorm'
import { wholeUp } from '../../math/wholeUp'

/** Pans that hold an item: size, depth and how many. */
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
  return { size: LARGEST, depthMm: DEEP_MM, count: wholeUp(volumeML / gastronormML(LARGEST, DEEP_MM)) }
}

/** How a pan lies in a rail as long as a full one and as wide as it is long across [mm]. Source: EN 631-1 (from memory). */
const LIES_MM: Readonly<Record<GastronormSize, { alongMm: number; acrossMm: number }>> = {
  '1/1': { alongMm: 530, acrossMm: 325 },
  '1/2': { alongMm: 265, acrossMm: 325 },
  '1/3': { alongMm: 176, acrossMm: 325 },
  '1/4': { alongMm: 265, acrossMm: 162 },
  '1/6': { alongMm: 176, acrossMm: 162 },
  '1/9': { alongMm: 176, acrossMm: 108 },
}
/** The opening of one rail position, a gastronorm 1/1 [mm]. */
export const RAIL_MM = { alongMm: 530, acrossMm: 325 } as const
const SLIP_MM = 2

/** A pan that stands in a rail. */
export type RailPan = { itemId: string; size: GastronormSize }
/** A pan with its place in the rail [mm]. */
export type RailSpot<T> = { pan: T; xMm: number; yMm: number; alongMm: number; acrossMm: number }

/**
 * Pans into rails of one full pan each, first-fit decreasing: the largest first; each below one as long as itself where
 * there is room across, else beside the last, else in a new rail. Nothing overlaps, nothing leaves its rail.
 */
export function packRails<T extends RailPan>(pans: readonly T[]): RailSpot<T>[][] {
  const areaOf = ({ size }: T) => LIES_MM[size].alongMm * LIES_MM[size].acrossMm
  const rails: { usedMm: number; columns: { xMm: number; alongMm: number; usedMm: number }[]; spots: RailSpot<T>[] }[] =
    []
  for (const pan of [...pans].sort((a, b) => areaOf(b) - areaOf(a) || (a.itemId < b.itemId ? -1 : 1))) {
    const { alongMm, acrossMm } = LIES_MM[pan.size]
    const room = (column: { alongMm: number; usedMm: number }) =>
      column.alongMm === alongMm && column.usedMm + acrossMm <= RAIL_MM.acrossMm + SLIP_MM
    let rail = rails.find((one) => one.columns.some(room))
    let column = rail?.columns.find(room)
    if (!rail || !column) {
      rail = rails.find((one) => one.usedMm + alongMm <= RAIL_MM.alongMm + SLIP_MM)
      if (!rail) {
        rail = { usedMm: 0, columns: [], spots: [] }
        rails.push(rail)
      }
      column = { xMm: rail.usedMm, alongMm, usedMm: 0 }
      rail.columns.push(column)
      rail.usedMm += alongMm
    }
    rail.spots.push({ pan, xMm: column.xMm, yMm: column.usedMm, alongMm, acrossMm })
    column.usedMm += acrossMm
  }
  return rails.map((rail) => rail.spots)
}
