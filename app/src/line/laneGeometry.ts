export type LaneGeometry = {
  timesPx: number
  channelPx: number
  gapPx: number
  pxPerS: number
  /** The line of now [px from the top]. */
  nowLinePx: number
  /** Seconds of future shown. */
  aheadS: number
}

export const laneX = (geometry: LaneGeometry, index: number) =>
  geometry.timesPx + index * (geometry.channelPx + geometry.gapPx)
export const yAt = (geometry: LaneGeometry, nowMs: number, ms: number) =>
  geometry.nowLinePx + ((ms - nowMs) / 1000) * geometry.pxPerS
