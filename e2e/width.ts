/** Wider than this the wide layout is drawn [px]. */
export const WIDE_PX = 800
