import type { Kitchen } from 'contract/kitchen'
import { COOLING_LIMITS } from 'core/safety/coolingLimits'
import { rgb, type PDFDocument, type PDFPage } from 'pdf-lib'
import { outcome, type LoggedLot } from './coolingLog'
import { newPdf, printable, type PdfFonts } from './fonts'
import { kitchenDates } from './kitchenDates'

const A4 = { width: 595.28, height: 841.89 } as const
const MARGIN = 48
const LINE = 14
const SIGNATURE_ROOM = 90
const INK = rgb(0, 0, 0)
const READINGS_A_LINE = 6

/** The cooling log of a day on paper: each lot with its readings and outcome, and lines to sign. */
export async function coolingDaySheet(
  day: string,
  logged: readonly LoggedLot[],
  kitchen: Kitchen,
): Promise<Uint8Array> {
  const { pdf, fonts } = await newPdf(`Cooling log ${day}`)
  const sheet = new Sheet(pdf, fonts)
  const { dayTime, time } = kitchenDates(kitchen)
  sheet.write(`Rice cooling log, ${day}`, { size: 18, bold: true })
  sheet.write(kitchen.name, {})
  sheet.write(`Rule set: ${COOLING_LIMITS[kitchen.ruleSet].source}. The local code and the local inspector decide.`, {})
  if (logged.length === 0) sheet.write('No rice was cooked or taken in on this day.', { bold: true, before: 10 })
  for (const one of logged) {
    const { lot, state } = one
    sheet.keepTogether(5)
    const mass = state.spreadMassG ?? state.massG
    sheet.write(`${lot.name}  ${lot.grain}, ${(mass / 1000).toFixed(2)} kg, ${lot.origin}`, {
      bold: true,
      before: 12,
      size: 12,
    })
    if (state.spreadAtMs !== null) {
      const depth = state.depthM === null ? '' : `, ${(state.depthM * 100).toFixed(1)} cm deep`
      sheet.write(`Spread ${dayTime(state.spreadAtMs)} on ${state.trays} trays${depth}`, {})
    }
    const readings = state.readings.map(
      ({ atMs, tempC, doubt }) => `${time(atMs)}  ${tempC.toFixed(1)} °C${doubt ? ` (${doubt}?)` : ''}`,
    )
    for (let i = 0; i < readings.length; i += READINGS_A_LINE)
      sheet.write(readings.slice(i, i + READINGS_A_LINE).join('     '), {})
    for (const { ruleSet, log } of state.logs) {
      const steps = log.steps.map(
        (step) => `${step.tempC} °C by ${step.limitMs === null ? '…' : time(step.limitMs)}: ${step.verdict}`,
      )
      sheet.write(`${ruleSet.toUpperCase()}: ${steps.join(', ')}`, {})
    }
    sheet.write(`Outcome: ${outcome(one)}${state.isAccepted ? ', accepted by the lead' : ''}`, { bold: true })
  }
  sheet.signatures(['Logged by', 'Checked by'])
  return pdf.save()
}

class Sheet {
  private page: PDFPage
  private y = A4.height - MARGIN

  constructor(
    private readonly pdf: PDFDocument,
    private readonly fonts: PdfFonts,
  ) {
    this.page = pdf.addPage([A4.width, A4.height])
  }

  write(words: string, { size = 10, bold = false, before = 0 }: { size?: number; bold?: boolean; before?: number }) {
    const font = bold ? this.fonts.bold : this.fonts.regular
    for (const line of this.wrapped(printable(words), size, font)) {
      this.room(LINE)
      this.y -= before + Math.max(LINE, size * 1.3)
      before = 0
      this.page.drawText(line, { x: MARGIN, y: this.y, size, font, color: INK })
    }
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
