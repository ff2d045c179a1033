import { Resvg } from '@resvg/resvg-js'
import { PDFDocument, rgb, type PDFPage } from 'pdf-lib'
import { newPdf, printable, textPath, type PdfFonts } from './fonts'
import { LABEL_MM, labelMarks, type LabelMark, type LabelText } from './labelDrawing'

const POINTS_PER_MM = 72 / 25.4
const DOTS_PER_MM = 12
const A4_MM = { width: 210, height: 297 } as const
const A4_COLUMNS = 3
const A4_ROWS = 7
/** What one sheet takes. */
const A4_LABELS = A4_COLUMNS * A4_ROWS
const INK = rgb(0, 0, 0)

/** The label as a picture, 12 dots a millimetre. */
export function labelPng(text: LabelText): Buffer {
  const marks = labelMarks(text).map((mark) =>
    mark.kind === 'text'
      ? textPath(mark.text, mark.bold, mark.xMm, mark.baselineMm, mark.sizeMm)
      : `<rect x="${mark.xMm}" y="${mark.yMm}" width="${mark.widthMm}" height="${mark.heightMm}"/>`,
  )
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${LABEL_MM.width} ${LABEL_MM.height}" shape-rendering="crispEdges"><rect width="100%" height="100%" fill="#fff"/>${marks.join('')}</svg>`
  return new Resvg(svg, { fitTo: { mode: 'width', value: LABEL_MM.width * DOTS_PER_MM } }).render().asPng()
}

/** Labels as PDF: one a page of its own size, or a sheet of A4 with as many as asked for. Drawn once, however many. */
export async function labelPdf(text: LabelText, size: '60x40' | 'a4', copies: number): Promise<Uint8Array> {
  const { pdf: single, fonts } = await newPdf(`${text.name} label`)
  const [widthPt, heightPt] = [LABEL_MM.width * POINTS_PER_MM, LABEL_MM.height * POINTS_PER_MM]
  draw(single.addPage([widthPt, heightPt]), fonts, labelMarks(text))
  if (copies === 1 && size === '60x40') return single.save()
  const pdf = await PDFDocument.load(await single.save())
  const label = await pdf.embedPage(pdf.getPage(0))
  pdf.removePage(0)
  const leftMm = (A4_MM.width - A4_COLUMNS * LABEL_MM.width) / 2
  const topMm = (A4_MM.height - A4_ROWS * LABEL_MM.height) / 2
  for (let i = 0; i < copies; i += 1) {
    if (size === '60x40') {
      pdf.addPage([widthPt, heightPt]).drawPage(label)
      continue
    }
    const place = i % A4_LABELS
    if (place === 0) pdf.addPage([A4_MM.width * POINTS_PER_MM, A4_MM.height * POINTS_PER_MM])
    const page = pdf.getPage(pdf.getPageCount() - 1)
    const x = (leftMm + (place % A4_COLUMNS) * LABEL_MM.width) * POINTS_PER_MM
    const downMm = topMm + (Math.floor(place / A4_COLUMNS) + 1) * LABEL_MM.height
    page.drawPage(label, { x, y: page.getHeight() - downMm * POINTS_PER_MM })
  }
  return pdf.save()
}

function draw(page: PDFPage, fonts: PdfFonts, marks: readonly LabelMark[]): void {
  const x = (mm: number) => mm * POINTS_PER_MM
  const y = (mm: number) => page.getHeight() - mm * POINTS_PER_MM
  for (const mark of marks) {
    if (mark.kind === 'text') {
      page.drawText(printable(mark.text), {
        x: x(mark.xMm),
        y: y(mark.baselineMm),
        size: mark.sizeMm * POINTS_PER_MM,
        font: mark.bold ? fonts.bold : fonts.regular,
        color: INK,
      })
    } else {
      page.drawRectangle({
        x: x(mark.xMm),
        y: y(mark.yMm + mark.heightMm),
        width: mark.widthMm * POINTS_PER_MM,
        height: mark.heightMm * POINTS_PER_MM,
        color: INK,
      })
    }
  }
}
