import type Fontkit from '@pdf-lib/fontkit'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { PDFDocument, type PDFFont } from 'pdf-lib'

type Glyphs = { path: { toSVG: () => string }; advanceWidth: number }
type Font = {
  unitsPerEm: number
  hasGlyphForCodePoint: (point: number) => boolean
  layout: (text: string) => { glyphs: Glyphs[]; positions: { xAdvance: number }[] }
}
type Weight = 400 | 700

const requireHere = createRequire(import.meta.url)
/** Unpacking its tables takes half a second: only who prints waits for it. */
const fontkit = () => requireHere('@pdf-lib/fontkit') as typeof Fontkit
const read: Partial<Record<Weight, { bytes: Buffer; font: Font }>> = {}

/** A font of the product. It is read and unpacked for the first paper, not when the server begins. */
function fontOf(weight: Weight): { bytes: Buffer; font: Font } {
  const known = read[weight]
  if (known) return known
  const bytes = readFileSync(requireHere.resolve(`@fontsource/archivo/files/archivo-latin-${weight}-normal.woff`))
  return (read[weight] = { bytes, font: fontkit().create(bytes) })
}

const draws = (one: string) => fontOf(400).font.hasGlyphForCodePoint(one.codePointAt(0)!)

/**
 * A fraction that the shipped font has no sign for is written out (1⅔ as 1 2/3); whatever else it cannot draw becomes a
 * question mark: a label must never fail to print.
 */
export function printable(text: string): string {
  return [...text.normalize('NFC')].map((one, i, all) => (draws(one) ? one : writtenOut(one, all[i - 1]))).join('')
}

function writtenOut(one: string, before: string | undefined): string {
  const [over, under] = one.normalize('NFKC').split('\u2044')
  if (under === undefined) return '?'
  return `${before !== undefined && /\d/.test(before) ? ' ' : ''}${over}/${under}`
}

/** How wide text is at size 1. */
export function textWidth(text: string, bold: boolean): number {
  const { font } = fontOf(bold ? 700 : 400)
  const { positions } = font.layout(printable(text))
  return positions.reduce((sum, one) => sum + one.xAdvance, 0) / font.unitsPerEm
}

/** Text as an SVG path, `size` high, with its baseline at the point. */
export function textPath(text: string, bold: boolean, x: number, y: number, size: number): string {
  const { font } = fontOf(bold ? 700 : 400)
  const scale = size / font.unitsPerEm
  const { glyphs, positions } = font.layout(printable(text))
  let at = 0
  const paths = glyphs.map((glyph, i) => {
    const path = `<path transform="translate(${x + at * scale} ${y}) scale(${scale} ${-scale})" d="${glyph.path.toSVG()}"/>`
    at += positions[i]?.xAdvance ?? glyph.advanceWidth
    return path
  })
  return paths.join('')
}

export type PdfFonts = { regular: PDFFont; bold: PDFFont }

/** A new document with the product's own fonts in it. */
export async function newPdf(title: string): Promise<{ pdf: PDFDocument; fonts: PdfFonts }> {
  const pdf = await PDFDocument.create()
  pdf.registerFontkit(fontkit())
  pdf.setTitle(title)
  pdf.setProducer('Okazu')
  const regular = await pdf.embedFont(fontOf(400).bytes, { subset: true })
  const bold = await pdf.embedFont(fontOf(700).bytes, { subset: true })
  return { pdf, fonts: { regular, bold } }
}
