import { scaleLinear, scaleLog, scalePow } from 'd3-scale'
import { clockTicks, midnights } from '../../ui/chart'

/** Hours before the service that lie near, to scale; days before them recede. */
const NEAR_H = 4
const NEAR_SHARE = 0.74
const HOUR_MS = 3_600_000
/** How small the far end is against the near one. */
const FAR_SIZE = 0.42
const FAR_BEND = 1.3

export type PlanAxis = {
  x: (ms: number) => number
  /** Height at an instant: far lanes draw together towards the middle. */
  y: (ms: number, y: number) => number
  nearMs: number
  farMs: number
}

/**
 * Time from left to right: the last hours before the service to scale, whatever is before them squeezed by the logarithm of
 * how far it is, so that four days fit beside one afternoon.
 */
export function planAxis({
  firstMs,
  serviceMs,
  leftPx,
  rightPx,
  middlePx,
}: {
  firstMs: number
  serviceMs: number
  leftPx: number
  rightPx: number
  middlePx: number
}): PlanAxis {
  const nearMs = serviceMs - NEAR_H * HOUR_MS
  const farMs = Math.min(firstMs, nearMs - HOUR_MS)
  const nearPx = rightPx - (rightPx - leftPx) * NEAR_SHARE
  const near = scaleLinear([nearMs, serviceMs], [nearPx, rightPx])
  const far = scaleLog([1, 1 + (nearMs - farMs) / HOUR_MS], [nearPx, leftPx]).clamp(true)
  const x = (ms: number) => (ms >= nearMs ? near(ms) : far(1 + (nearMs - ms) / HOUR_MS))
  const sizeAtPx = scalePow([leftPx, nearPx], [FAR_SIZE, 1]).exponent(FAR_BEND).clamp(true)
  const size = (ms: number) => sizeAtPx(x(ms))
  return { x, y: (ms, y) => middlePx + (y - middlePx) * size(ms), nearMs, farMs }
}

/** Corners of a bar between two instants and two heights, bent where far becomes near. */
export function barPath(axis: PlanAxis, fromMs: number, toMs: number, top: number, bottom: number): string {
  const bends =
    fromMs < axis.nearMs && toMs > axis.nearMs ? [fromMs, axis.nearMs, toMs] : [fromMs, (fromMs + toMs) / 2, toMs]
  const point = (ms: number, y: number) => `${axis.x(ms).toFixed(1)} ${axis.y(ms, y).toFixed(1)}`
  const over = bends.map((ms) => point(ms, top))
  const under = [...bends].reverse().map((ms) => point(ms, bottom))
  return `M${[...over, ...under].join(' L')} Z`
}

const TICK_MIN = 30

/** Instants worth a mark: half hours near, midnights far. */
export const ticksOf = (axis: PlanAxis, serviceMs: number, timeZone: string): { near: number[]; days: number[] } => ({
  near: clockTicks(axis.nearMs, serviceMs, TICK_MIN, timeZone),
  days: midnights(axis.farMs, axis.nearMs, timeZone),
})
