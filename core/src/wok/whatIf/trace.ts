import { LiveCooking, type LiveBatch } from '../live/liveCooking'
import type { Score } from '../score'

/** Seconds between two points of a trace. */
const EVERY_S = 2

/** A batch while it is cooked, every two seconds. */
export type TracePoint = {
  /** Since the vessel is lit [s]. */
  atS: number
  metalC: number
  /** Core of the rice [°C], and how far its crust is; null before it is in. */
  riceC: number | null
  crust: number | null
  /** Free water in the vessel, as a share of what is in it. */
  freeFraction: number | null
  /** Least progress of what is raw; null while nothing raw is in. */
  rawProgress: number | null
  /** The flame is on. */
  isLit: boolean
  /** The food lies on metal that is hot enough to fry. */
  isFrying: boolean
}

/** A score cooked as it is written, as curves of pan, rice and water. Draws and explains; decides nothing. */
export function traceOf(batch: LiveBatch, score: Pick<Score, 'steps'>): TracePoint[] {
  const live = new LiveCooking(batch)
  const raw = batch.components.filter(({ place }) => place === 'raw').map(({ id }) => id)
  const points: TracePoint[] = []
  let friedS = 0
  const note = (isLit: boolean) => {
    const { metalC, rice, progress } = live.mark()
    const inside = raw.flatMap((id) => progress.get(id) ?? [])
    points.push({
      atS: live.atS,
      metalC,
      riceC: rice?.coreC ?? null,
      crust: rice?.crust ?? null,
      freeFraction: rice?.freeFraction ?? null,
      rawProgress: inside.length > 0 ? Math.min(...inside) : null,
      isLit,
      isFrying: rice !== null && rice.fryingS > friedS,
    })
    friedS = rice?.fryingS ?? 0
  }
  note(false)
  for (const step of score.steps) {
    live.begin(step)
    const untilS = live.atS + step.durationS
    while (live.atS < untilS - 1e-6) {
      live.go(Math.min(EVERY_S, untilS - live.atS))
      note(step.heat !== 'off')
    }
    live.end(step)
  }
  return points
}
