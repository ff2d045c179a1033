import type { Cut } from 'core/book/dish'

/** A cut as it is written: "dice 8 mm"; nothing where there is none. */
export const cutWords = (cut: Cut | null): string =>
  cut ? [cut.shape, cut.sizeMm === null ? '' : `${cut.sizeMm} mm`].filter(Boolean).join(' ') : ''
