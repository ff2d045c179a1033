import { encode } from 'uqr'
import { textWidth } from './fonts'

/** A label as marks in millimetres from its top left corner: the same for paper and picture. */
export type LabelMark =
  | { kind: 'text'; text: string; xMm: number; baselineMm: number; sizeMm: number; bold: boolean }
  | { kind: 'box'; xMm: number; yMm: number; widthMm: number; heightMm: number }
export const LABEL_MM = { width: 60, height: 40 } as const

export type LabelText = { name: string; grain: string; cooked: string; useBy: string; mass: string; url: string }

const MARGIN_MM = 3
const QR_MM = 21
const FULL_MM = LABEL_MM.width - 2 * MARGIN_MM
const BESIDE_QR_MM = FULL_MM - QR_MM
/** White around the code, in modules, as ISO/IEC 18004 asks (from memory). */
const QUIET = 4

/** Every line as large as its room allows: name large, use-by in a box that reads at arm's length, the code at the right. */
export function labelMarks({ name, grain, cooked, useBy, mass, url }: LabelText): LabelMark[] {
  const text = (
    words: string,
    baselineMm: number,
    mostMm: number,
    bold: boolean,
    roomMm = BESIDE_QR_MM,
  ): LabelMark => ({
    kind: 'text',
    text: words,
    xMm: MARGIN_MM,
    baselineMm,
    sizeMm: Math.min(mostMm, roomMm / textWidth(words, bold)),
    bold,
  })
  return [
    text(name, 11.5, 11, true),
    text(`${mass} ${grain}`.trim(), 17, 4, true),
    text(cooked, 21.8, 3.3, false),
    { kind: 'box', xMm: MARGIN_MM, yMm: 25.2, widthMm: FULL_MM, heightMm: 0.5 },
    text(useBy, 34.5, 7, true, FULL_MM),
    ...qrMarks(url),
  ]
}

function qrMarks(url: string): LabelMark[] {
  const { size, data } = encode(url, { ecc: 'M', border: 0 })
  const moduleMm = QR_MM / (size + 2 * QUIET)
  const leftMm = LABEL_MM.width - QR_MM - 1
  const topMm = 1.5
  return data.flatMap((row, y) =>
    darkSpans(row).map(({ from, to }): LabelMark => ({
      kind: 'box',
      xMm: leftMm + (from + QUIET) * moduleMm,
      yMm: topMm + (y + QUIET) * moduleMm,
      widthMm: (to - from) * moduleMm,
      heightMm: moduleMm + SEAM_MM,
    })),
  )
}

/** Rows overlap by a hair, so that no viewer draws a light seam between them. */
const SEAM_MM = 0.03

/** Dark modules that touch, as one span. */
function darkSpans(row: readonly boolean[]): { from: number; to: number }[] {
  const spans: { from: number; to: number }[] = []
  row.forEach((isDark, x) => {
    const last = spans.at(-1)
    if (!isDark) return
    if (last?.to === x) last.to = x + 1
    else spans.push({ from: x, to: x + 1 })
  })
  return spans
}
