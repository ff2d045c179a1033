import { dayAfter, instantOf, localDay } from 'core/time/localTime'

/** Hours before the service that lie near, to scale; days before them recede. */
const NEAR_H = 4
const NEAR_SHARE = 0.74
const HOUR_MS = 3_600_000
/** How small the far end is against the near one. */
const FAR_SIZE = 0.42

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
  const depth = (ms: number) => Math.log1p((nearMs - ms) / HOUR_MS)
  const deepest = depth(farMs)
  const x = (ms: number) =>
    ms >= nearMs
      ? nearPx + ((rightPx - nearPx) * (ms - nearMs)) / (serviceMs - nearMs)
      : nearPx - (nearPx - leftPx) * Math.min(1, depth(ms) / deepest)
  const size = (ms: number) => {
    const px = x(ms)
    return px >= nearPx ? 1 : FAR_SIZE + (1 - FAR_SIZE) * Math.max(0, (px - leftPx) / (nearPx - leftPx)) ** 1.3
  }
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
const MIN_MS = 60_000

/** Instants worth a mark: half hours near, midnights far. */
export function ticksOf(axis: PlanAxis, serviceMs: number, timeZone: string): { near: number[]; days: number[] } {
  const near: number[] = []
  for (let ms = serviceMs; ms >= axis.nearMs; ms -= TICK_MIN * MIN_MS) near.push(ms)
  const days: number[] = []
  for (let day = localDay(axis.nearMs, timeZone); ; day = dayAfter(day, -1)) {
    const ms = instantOf(day, 0, timeZone)
    if (ms < axis.farMs) return { near, days }
    days.push(ms)
  }
}
