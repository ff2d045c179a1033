/** Gastronorm containers: outer length and width [mm]. Source: EN 631-1 (from memory). */
export const GASTRONORM_MM = {
  '1/1': { lengthMm: 530, widthMm: 325 },
  '1/2': { lengthMm: 325, widthMm: 265 },
  '1/3': { lengthMm: 325, widthMm: 176 },
  '1/4': { lengthMm: 265, widthMm: 162 },
  '1/6': { lengthMm: 176, widthMm: 162 },
  '1/9': { lengthMm: 176, widthMm: 108 },
} as const
/** A size of gastronorm pan, such as 1/3. */
export type GastronormSize = keyof typeof GASTRONORM_MM
/** Depths that gastronorm pans come in [mm] (EN 631-1, from memory). */
export const GASTRONORM_DEPTHS_MM = [20, 40, 65, 100, 150, 200] as const
export type GastronormDepth = (typeof GASTRONORM_DEPTHS_MM)[number]

/** Rim and slanted walls: inner opening is smaller than the outer size by this much each way, the floor once more. Rough. */
const RIM_MM = 24
const SLANT_PER_DEPTH = 0.12
/** A pan is not carried full: room below the rim. */
const FREEBOARD_MM = 10

/** A pan by size and depth, and what it holds [mL]. */
export type GastronormPan = { size: GastronormSize; depthMm: GastronormDepth; volumeML: number }

/**
 * Usable volume of a pan [mL], filled to a finger below its rim: a frustum between the opening and the smaller floor.
 * Error: about 10 % between makers.
 */
export function gastronormML(size: GastronormSize, depthMm: GastronormDepth): number {
  const { lengthMm, widthMm } = GASTRONORM_MM[size]
  const fillMm = Math.max(10, depthMm - FREEBOARD_MM)
  const inset = RIM_MM + 2 * SLANT_PER_DEPTH * depthMm
  const top = (lengthMm - RIM_MM) * (widthMm - RIM_MM)
  const floor = (lengthMm - inset) * (widthMm - inset)
  return (fillMm * (top + floor + Math.sqrt(top * floor))) / 3 / 1000
}

/** The smallest pan that holds a volume [mL] whole, or null where none does: then several are needed. */
export function panFor(volumeML: number, depthsMm: readonly GastronormDepth[] = [65, 100, 150]): GastronormPan | null {
  if (!(volumeML > 0)) throw new RangeError(`volumeML ${volumeML} is not positive`)
  const sizes = Object.keys(GASTRONORM_MM) as GastronormSize[]
  const fitting = sizes
    .flatMap((size) => depthsMm.map((depthMm) => ({ size, depthMm, volumeML: gastronormML(size, depthMm) })))
    .filter((pan) => pan.volumeML >= volumeML)
    .sort((a, b) => a.volumeML - b.volumeML)
  return fitting[0] ?? null
}
