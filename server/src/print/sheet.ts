import { rgb, type PDFDocument, type PDFPage } from 'pdf-lib'
import { printable, type PdfFonts } from './fonts'

const A4 = { width: 595.28, height: 841.89 } as const
const MARGIN = 48
const LINE = 14
const SIGNATURE_ROOM = 90
const INK = rgb(0, 0, 0)

/** Where a line through the words runs, by their size. */
const STRIKE_HEIGHT = 0.3

type SheetLine = { size?: number; bold?: boolean; before?: number; isStruck?: boolean }

/** Lines on sheets of A4, wrapped and carried over, with lines to sign at the end. */
export class Sheet {
  private page: PDFPage
  private y = A4.height - MARGIN

  constructor(
    private readonly pdf: PDFDocument,
    private readonly fonts: PdfFonts,
  ) {
    this.page = pdf.addPage([A4.width, A4.height])
  }

  write(words: string, { size = 10, bold = false, before = 0, isStruck = false }: SheetLine) {
    const font = bold ? this.fonts.bold : this.fonts.regular
    for (const line of this.wrapped(printable(words), size, font)) {
      this.room(LINE)
      this.y -= before + Math.max(LINE, size * 1.3)
      before = 0
      this.page.drawText(line, { x: MARGIN, y: this.y, size, font, color: INK })
      if (isStruck) this.strike(font.widthOfTextAtSize(line, size), size)
    }
  }

  private strike(width: number, size: number) {
    const y = this.y + size * STRIKE_HEIGHT
    this.page.drawLine({ start: { x: MARGIN, y }, end: { x: MARGIN + width, y }, thickness: 1, color: INK })
  }

  private wrapped(words: string, size: number, font: PdfFonts['regular']): string[] {
    const lines: string[] = []
    let line = ''
    for (const word of words.split(/(?<=\s)/)) {
      if (font.widthOfTextAtSize(line + word, size) > A4.width - 2 * MARGIN && line) {
        lines.push(line.trimEnd())
        line = ''
      }
      line += word
    }
    return [...lines, line.trimEnd()]
  }

  keepTogether(lines: number) {
    this.room(lines * LINE)
  }

  private room(height: number) {
    if (this.y - height >= MARGIN) return
    this.page = this.pdf.addPage([A4.width, A4.height])
    this.y = A4.height - MARGIN
  }

  signatures(names: readonly string[]) {
    this.room(SIGNATURE_ROOM)
    this.y -= SIGNATURE_ROOM - LINE
    const width = (A4.width - 2 * MARGIN) / names.length - 20
    names.forEach((name, i) => {
      const x = MARGIN + i * (width + 20)
      this.page.drawLine({ start: { x, y: this.y }, end: { x: x + width, y: this.y }, thickness: 0.8, color: INK })
      const label = `${name} (name, time)`
      this.page.drawText(label, { x, y: this.y - 12, size: 9, font: this.fonts.regular, color: INK })
    })
  }
}
