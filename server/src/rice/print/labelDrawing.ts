import { encode } from 'uqr'

/** A label as marks in millimetres from its top left corner: the same for paper and picture. */
export type LabelMark =
  | { kind: 'text'; text: string; xMm: number; baselineMm: number; sizeMm: number; bold: boolean }
  | { kind: 'box'; xMm: number; yMm: number; widthMm: number; heightMm: number }
export const LABEL_MM = { width: 60, height: 40 } as const

export type LabelText = { name: string; grain: string; cooked: string; useBy: string; mass: string; url: string }

const MARGIN_MM = 3
const QR_MM = 21
/** White around the code, in modules, as ISO/IEC 18004 asks (from memory). */
const QUIET = 4

/** Name large, use-by in a box that reads at arm's length, the code at the right. */
export function labelMarks({ name, grain, cooked, useBy, mass, url }: LabelText): LabelMark[] {
  const text = (words: string, baselineMm: number, sizeMm: number, bold: boolean): LabelMark => ({
    kind: 'text',
    text: words,
    xMm: MARGIN_MM,
    baselineMm,
    sizeMm,
    bold,
  })
  return [
    text(name, 11.5, 11, true),
    text(`${mass} ${grain}`.trim(), 17, 4, true),
    text(cooked, 21.8, 3.3, false),
    { kind: 'box', xMm: MARGIN_MM, yMm: 25.2, widthMm: LABEL_MM.width - 2 * MARGIN_MM, heightMm: 0.5 },
    text(useBy, 34.5, 6.4, true),
    ...qrMarks(url),
  ]
}

function qrMarks(url: string): LabelMark[] {
  const { size, data } = encode(url, { ecc: 'M', border: 0 })
  const moduleMm = QR_MM / (size + 2 * QUIET)
  const leftMm = LABEL_MM.width - QR_MM - 1
  const topMm = 1.5
  return data.flatMap((row, y) =>
    row.flatMap((isDark, x): LabelMark[] =>
      isDark
        ? [
            {
              kind: 'box',
              xMm: leftMm + (x + QUIET) * moduleMm,
              yMm: topMm + (y + QUIET) * moduleMm,
              widthMm: moduleMm,
              heightMm: moduleMm,
            },
          ]
        : [],
    ),
  )
}
