import type { HeatLevel } from '../score'
import type { ScoreDrawing } from './scoreDrawing'

/** Ribbon width as a share of the channel: as wide as the heat is high. */
export const RIBBON_SHARE: Readonly<Record<HeatLevel, number>> = {
  off: 0.04,
  low: 0.2,
  medium: 0.42,
  high: 0.66,
  full: 0.9,
}

const LABEL_PX = 15
const LABEL_CHAR_PX = 5.2
const THREAD_REACH_PX = 13
const BESIDE = { awayPx: 3, widthPx: 8 } as const

/** How wide the channel is [px, or points on paper], and where a second stands in it. */
export type ScoreGeometry = { channelPx: number; yOf: (second: number) => number }

/** Where every second is as long as any other; y 0 is at `topS`. */
export const evenSeconds =
  (pxPerS: number, topS = 0): ScoreGeometry['yOf'] =>
  (second) =>
    (second - topS) * pxPerS

type PlacedLabel = { y: number; text: string; isStrong: boolean; fits: boolean }
type ScoreShapes = {
  heightPx: number
  ribbons: { x: number; y: number; width: number; height: number; heat: HeatLevel }[]
  cuts: { y: number }[]
  labels: PlacedLabel[]
  threads: { path: string; labelY: number; label: string }[]
  /** Another surface, at the right of the channel. */
  beside: { x: number; y: number; width: number; height: number; label: string }[]
}

/**
 * Where everything of a score stands [px], x 0 at the channel's left edge. A label is left out where there
 * is no room for it; a label that is wider than its ribbon is marked, so that it gets a halo.
 */
export function scoreShapes(drawing: ScoreDrawing, { channelPx, yOf }: ScoreGeometry): ScoreShapes {
  const ribbons = drawing.segments.map(({ startS, endS, heat }) => {
    const width = channelPx * RIBBON_SHARE[heat]
    return { x: (channelPx - width) / 2, y: yOf(startS), width, height: Math.max(0, yOf(endS) - yOf(startS)), heat }
  })
  const labels: PlacedLabel[] = []
  const atS = drawing.cuts.map((cut) => cut.atS)
  const roomPx = (from: number) => yOf(atS.find((next) => next > from) ?? drawing.totalS) - yOf(from)
  const roomiestFirst = [...drawing.cuts].sort(
    (a, b) => Number(b.isStrong) - Number(a.isStrong) || roomPx(b.atS) - roomPx(a.atS) || a.atS - b.atS,
  )
  for (const { atS: second, label, isStrong } of roomiestFirst) {
    const y = yOf(second)
    if (roomPx(second) < LABEL_PX) continue
    if (labels.some((placed) => Math.abs(placed.y - y) < LABEL_PX)) continue
    const ribbon = ribbons.find((one) => y >= one.y - 0.01 && y < one.y + one.height - 0.01)
    const text = shorten(label, channelPx)
    labels.push({ y, text, isStrong, fits: ribbon !== undefined && text.length * LABEL_CHAR_PX <= ribbon.width })
  }
  return {
    heightPx: yOf(drawing.totalS),
    ribbons,
    cuts: drawing.cuts.map(({ atS }) => ({ y: yOf(atS) })),
    labels: labels.sort((a, b) => a.y - b.y),
    threads: drawing.threads.map(({ outS, backS, label }, index) => {
      const x = channelPx
      const reach = THREAD_REACH_PX + index * 9
      const [top, bottom] = [yOf(outS), yOf(backS)]
      const bend = Math.min(26, (bottom - top) / 2)
      const path = `M ${x * 0.95} ${top} C ${x + reach} ${top + 4} ${x + reach} ${top + bend} ${x + reach} ${top + bend} V ${bottom - bend} C ${x + reach} ${bottom - bend} ${x + reach} ${bottom - 4} ${x * 0.95} ${bottom}`
      return { path, labelY: (top + bottom) / 2, label }
    }),
    beside: drawing.beside.map(({ startS, endS, label }) => ({
      x: channelPx + BESIDE.awayPx,
      y: yOf(startS),
      width: BESIDE.widthPx,
      height: Math.max(0, yOf(endS) - yOf(startS)),
      label,
    })),
  }
}

function shorten(label: string, channelPx: number): string {
  const most = Math.floor(channelPx / LABEL_CHAR_PX)
  return label.length <= most ? label : `${label.slice(0, Math.max(1, most - 1))}…`
}
