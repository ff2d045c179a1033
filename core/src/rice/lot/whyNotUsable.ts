import type { StepVerdict } from './judgeReadings'
import type { LotEnd, LotStage, NotUsable } from './lotState'

/** Less than this is an empty tray [g]. */
export const EMPTY_G = 1

/** Why rice may not be fried at an instant, the gravest reason first; null where nothing stands against it. */
export function whyNotUsable(now: {
  end: LotEnd | null
  stage: LotStage
  judged: StepVerdict
  massG: number
  useByMs: number | null
  outMs: number
  mostOutMs: number
  nowMs: number
}): NotUsable | null {
  const { end, stage, judged, massG, useByMs, outMs, mostOutMs, nowMs } = now
  if (end) return { kind: 'over', end }
  if (stage === 'cooking' || stage === 'frozen') return { kind: stage }
  if (judged === 'unproven' || judged === 'overdue') return { kind: judged }
  if (stage === 'cooling' || stage === 'chilling') return { kind: 'cooling' }
  if (useByMs !== null && useByMs < nowMs) return { kind: 'tooOld', useByMs }
  if (outMs > mostOutMs) return { kind: 'outTooLong', outS: outMs / 1000, mostS: mostOutMs / 1000 }
  if (massG < EMPTY_G) return { kind: 'empty' }
  return null
}
