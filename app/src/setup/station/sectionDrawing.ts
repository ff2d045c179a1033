import type { StationFigures } from 'core/wok/heat/stationFigures'

export type Zone = { kind: 'fries' | 'steams' | 'slow' | 'spills'; path: string }
export type Level = { limit: 'dip' | 'time' | 'volume'; y: number; fromX: number; toX: number; isDeciding: boolean }
export type SectionDrawing = {
  outline: string
  zones: Zone[]
  levels: Level[]
  leftX: number
  rightX: number
  heightPx: number
  /** Where "fries" stands. */
  friesY: number
}

/** A flat vessel is drawn higher than it is, so that its levels can be told apart. */
const FLAT_RISE = 3
const MARGIN_PX = 14

/** The vessel in pixels, at most so wide and high: its outline, the zones from the bottom up, and the level of each limit. */
export function sectionDrawing(
  { outline, heights, largest, limits }: StationFigures,
  widthPx: number,
  mostHeightPx: number,
): SectionDrawing {
  const widestM = Math.max(...outline.map((one) => one.halfWidthM))
  const isFlat = outline[0] !== undefined && outline[0].halfWidthM > widestM / 2
  const rise = isFlat ? FLAT_RISE : 1
  const scale = Math.min((widthPx / 2 - MARGIN_PX) / widestM, (mostHeightPx - 2 * MARGIN_PX) / (heights.rimM * rise))
  const middle = widthPx / 2
  const drawnPx = heights.rimM * rise * scale + 2 * MARGIN_PX
  const y = (atM: number) => drawnPx - MARGIN_PX - atM * rise * scale
  const half = (atM: number) => halfAt(outline, atM) * scale
  const levelOf = (limit: Level['limit'], atM: number | null): Level[] =>
    atM === null
      ? []
      : [{ limit, y: y(atM), fromX: middle - half(atM), toX: middle + half(atM), isDeciding: largest?.limit === limit }]
  const friesM = heights.largestM ?? 0
  const steamsToM = limits.dipG !== null ? Math.min(heights.timeM ?? heights.volumeM, heights.volumeM) : friesM
  const slowToM = Math.max(steamsToM, heights.volumeM)
  const band = (fromM: number, toM: number) => bandPath(outline, fromM, toM, middle, scale, y)
  const zones: Zone[] = [
    { kind: 'fries', path: band(0, friesM) },
    { kind: 'steams', path: band(friesM, Math.max(friesM, steamsToM)) },
    { kind: 'slow', path: band(Math.max(friesM, steamsToM), slowToM) },
    { kind: 'spills', path: band(slowToM, heights.rimM) },
  ]
  const right = outline.map((one) => `${px(middle + one.halfWidthM * scale)} ${px(y(one.heightM))}`)
  const left = [...outline].reverse().map((one) => `${px(middle - one.halfWidthM * scale)} ${px(y(one.heightM))}`)
  return {
    outline: `M${[...left, ...right].join(' L')}`,
    zones,
    levels: [...levelOf('dip', heights.dipM), ...levelOf('time', heights.timeM), ...levelOf('volume', heights.volumeM)],
    leftX: middle - widestM * scale,
    rightX: middle + widestM * scale,
    heightPx: drawnPx,
    friesY: y(friesM / 2) + 7,
  }
}

const px = (value: number) => Math.round(value * 10) / 10

/** Half the width of the outline at a height, a straight line between its points. */
function halfAt(outline: StationFigures['outline'], atM: number): number {
  const above = outline.findIndex((one) => one.heightM >= atM)
  const to = outline[above < 0 ? outline.length - 1 : above]
  const from = outline[above <= 0 ? 0 : above - 1]
  if (!to || !from || to === from) return to?.halfWidthM ?? 0
  return from.halfWidthM + ((atM - from.heightM) / (to.heightM - from.heightM)) * (to.halfWidthM - from.halfWidthM)
}

function bandPath(
  outline: StationFigures['outline'],
  fromM: number,
  toM: number,
  middle: number,
  scale: number,
  y: (atM: number) => number,
): string {
  if (toM <= fromM) return ''
  const between = [fromM, ...outline.map((one) => one.heightM).filter((atM) => atM > fromM && atM < toM), toM]
  const side = (sign: 1 | -1, list: readonly number[]) =>
    list.map((atM) => `${px(middle + sign * halfAt(outline, atM) * scale)} ${px(y(atM))}`)
  return `M${[...side(1, between), ...side(-1, [...between].reverse())].join(' L')} Z`
}
