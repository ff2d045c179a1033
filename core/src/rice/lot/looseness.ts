/** How well the rice of a lot was loosened: grain by grain, in clumps as of a thumb, in blocks as of a fist. */
export const LOOSENESS = ['loose', 'clumps', 'blocks'] as const
export type Looseness = (typeof LOOSENESS)[number]

/** How large its lumps are as it goes into the wok [mm]. [C] */
export const LUMP_MM: Readonly<Record<Looseness, number>> = { loose: 0, clumps: 15, blocks: 40 }
