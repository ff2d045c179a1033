import { writeMass } from 'core/measure/scaleUnit'
import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import { batchAmounts } from 'core/book/scale'
import { allergenListOf, allergenSheet } from 'core/book/allergens'
import { writeQuantity } from 'core/measure/writeNumber'
import type { Score, Step } from 'core/wok/score'
import { plannedSpans, scoreDrawing } from 'core/wok/drawing/scoreDrawing'
import { scoreShapes } from 'core/wok/drawing/scoreShapes'
import { rgb, type PDFPage } from 'pdf-lib'
import { newPdf, printable, type PdfFonts } from '../../print/fonts'
import { stepText } from './stepText'
import { writeClock } from './writeClock'

const A4 = { width: 595.28, height: 841.89 } as const
const MARGIN = 42
const INK = rgb(0, 0, 0)
const PALE = rgb(0.82, 0.82, 0.82)
const WHITE = rgb(1, 1, 1)
/** The drawing of the screen, on paper: black says the same as ember [pt]. */
const CHANNEL = 62
const THREADS = 34
const TABLE_TOP = 138
const ROW = 17
const MIN_STEP = 25

/** A dish for the wall by the station: amounts of a batch by scale and by hand, and its score down the page. */
export async function stationCard(
  dish: Dish,
  portions: number,
  score: Score,
  kitchen: Kitchen,
  standard: readonly string[],
): Promise<Uint8Array> {
  const { pdf, fonts } = await newPdf(`${dish.name}, station card`)
  const page = pdf.addPage([A4.width, A4.height])
  const riceG = dish.portionRiceG * portions
  const write = writer(page, fonts)
  write(dish.name, MARGIN, 60, 24, true)
  write(
    `${portions} ${portions === 1 ? 'portion' : 'portions'} · ${writeMass(score.batchMassG, kitchen.weighsIn)} · ${writeClock(score.totalS)} · version ${dish.version} · ${kitchen.name}`,
    MARGIN,
    80,
    11,
    false,
  )
  wrapped(fonts, allergenLine(dish, kitchen), 9, A4.width - 2 * MARGIN).forEach((line, row) =>
    write(line, MARGIN, 95 + row * 11, 9, true),
  )
  if (standard.length > 0) write(`Not the house standard: ${standard.join(', ')}`, MARGIN, 119, 10, true)
  const amounts = batchAmounts(dish.components, riceG, dish.portionRiceG, kitchen.tools)
  amounts.forEach((amount, i) => {
    const y = TABLE_TOP + i * ROW
    const cut = dish.components[i]?.cut
    write(amount.name, MARGIN, y, 11, true)
    write(writeMass(amount.massG, kitchen.weighsIn), 250, y, 11, true)
    const { tool, name, count } = amount.measure
    write(tool === 'scale' ? 'weigh' : writeQuantity(count, null, name || tool), 320, y, 11, false)
    write(cut ? [cut.shape, cut.sizeMm && `${cut.sizeMm} mm`].filter(Boolean).join(' ') : '', 440, y, 11, false)
  })
  drawScore(page, fonts, score, dish, TABLE_TOP + amounts.length * ROW + 14, kitchen)
  return pdf.save()
}

/** The station that the score was derived for, and whether anybody has measured it. */
function stationOf({ basis }: Score, dish: Dish, { stations }: Kitchen): string {
  const name = stations.find(({ kind }) => kind === dish.stationKind)?.name ?? 'the station'
  return basis?.stationVersion === 0 ? `${name}, an estimate until it is calibrated` : name
}

function allergenLine(dish: Dish, kitchen: Kitchen): string {
  const { contains, mayContain, unknownNames } = allergenSheet(dish.components, allergenListOf(kitchen.ruleSet))
  return [
    `Contains: ${contains.join(', ') || 'none on the list'}.`,
    mayContain.length > 0 && `May contain: ${mayContain.join(', ')}.`,
    unknownNames.length > 0 && `Not known: ${unknownNames.join(', ')}. Ask before you say it is free of anything.`,
    "The shared wok may add traces. Read the ticket's allergy aloud.",
  ]
    .filter(Boolean)
    .join(' ')
}

function drawScore(page: PDFPage, fonts: PdfFonts, score: Score, dish: Dish, top: number, kitchen: Kitchen): void {
  const write = writer(page, fonts)
  const heights = heightsOf(score.steps, A4.height - MARGIN - top - 20)
  const left = MARGIN + 34
  const textX = left + CHANNEL + THREADS
  const tops = heights.map((_, i) => sum(heights.slice(0, i)))
  drawRibbon(page, score, { left, top, heights, tops })
  score.steps.forEach((step, i) => {
    const y = top + tops[i]!
    write(writeClock(step.startS), MARGIN, y + 10, 9, true)
    wrapped(
      fonts,
      stepText(step, dish.stationKind, kitchen.weighsIn).replace(/^\S+ /, ''),
      8.5,
      A4.width - textX - MARGIN,
    )
      .slice(0, Math.max(1, Math.floor(heights[i]! / 11)))
      .forEach((line, row) => write(line, textX, y + 10 + row * 11, 8.5, false))
  })
  write(
    `Seconds by the heat of ${stationOf(score, dish, kitchen)}. The local code decides the limits.`,
    MARGIN,
    A4.height - 26,
    8,
    false,
  )
}

type Rows = { left: number; top: number; heights: readonly number[]; tops: readonly number[] }

/** The score as the screen draws it; its seconds are stretched so that each step has room for its words. */
function drawRibbon(page: PDFPage, score: Score, { left, top, heights, tops }: Rows): void {
  const drawing = scoreDrawing(score, plannedSpans(score))
  const yOf = (second: number) => {
    const at = score.steps.findLastIndex(({ startS }) => startS <= second)
    const step = score.steps[at]
    if (!step) return 0
    const share = step.durationS > 0 ? Math.min(1, (second - step.startS) / step.durationS) : 0
    return tops[at]! + share * heights[at]!
  }
  const { ribbons, cuts, threads, beside } = scoreShapes(drawing, { channelPx: CHANNEL, yOf })
  const box = (x: number, y: number, width: number, height: number, color: typeof INK) =>
    page.drawRectangle({ x: left + x, y: A4.height - top - y - height, width, height, color })
  box(0, 0, CHANNEL, sum(heights), PALE)
  ribbons.forEach(({ x, y, width, height }) => box(x, y, width, height, INK))
  cuts.forEach(({ y }) => box(0, y - 1, CHANNEL, 2, WHITE))
  beside.forEach(({ x, y, width, height }) => box(x, y, width, height, INK))
  for (const { path } of threads)
    page.drawSvgPath(path, { x: left, y: A4.height - top, borderColor: INK, borderWidth: 1.2 })
}

/** Each step as high as its seconds, none below what a line of text takes, all of them on the page. */
function heightsOf(steps: readonly Step[], room: number): number[] {
  const spare = Math.max(0, room - steps.length * MIN_STEP)
  const totalS = sum(steps.map((step) => step.durationS)) || 1
  const least = Math.min(MIN_STEP, room / steps.length)
  return steps.map((step) => least + (spare * step.durationS) / totalS)
}

function writer(page: PDFPage, fonts: PdfFonts) {
  return (words: string, x: number, fromTop: number, size: number, bold: boolean) => {
    const font = bold ? fonts.bold : fonts.regular
    page.drawText(printable(words), { x, y: A4.height - fromTop, size, font, color: INK })
  }
}

function wrapped(fonts: PdfFonts, words: string, size: number, width: number): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of printable(words).split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`
    if (line !== '' && fonts.regular.widthOfTextAtSize(longer, size) > width) {
      lines.push(line)
      line = word
    } else line = longer
  }
  return [...lines, line]
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)
