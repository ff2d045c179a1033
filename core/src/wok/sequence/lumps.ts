import type { SchoolValue } from '../../book/schools'

/** Heat goes through a heap of rice so fast [m²/s]: its conductivity over its density and heat capacity, by Choi and Okos. */
const DIFFUSES_M2_PER_S = 1.4e-7
/** A lump is round: its middle follows its mean by radius² / (10 × diffusivity), exact in the regular regime. */
const ROUND = 10

/** How much later than its grains the middle of a lump is warm [s]; its size in mm. */
export const lumpLagS = (lumpMm: number): number => (lumpMm / 2000) ** 2 / (ROUND * DIFFUSES_M2_PER_S)

/** In so many seconds a tool opens lumps to a third [s]. [C] Common practice: an edge is quickest, bare wood slowest. */
export const OPENS_S: Readonly<Record<SchoolValue<'tool'>, number>> = { ladle: 25, edge: 12, masher: 15, wood: 30 }
