import { cooksFor } from '../planner/cooks'

/** A stretch in which a station has a pair of hands. */
export type AtStation = { stationId: string; fromMs: number; toMs: number }

/**
 * Where each pair of hands is, one after the other: every stretch goes to the first pair that is free. As many threads as pairs
 * are needed at once.
 */
export function handsThreads(stretches: readonly AtStation[]): AtStation[][] {
  const cooks = cooksFor(stretches.map(({ fromMs, toMs }) => ({ from: fromMs, to: toMs })))
  const threads: AtStation[][] = []
  stretches.forEach((stretch, i) => {
    const cook = cooks[i]!
    threads[cook] = [...(threads[cook] ?? []), stretch]
  })
  return threads.map((thread) => thread.sort((a, b) => a.fromMs - b.fromMs))
}

/** When a batch takes hands: from its set-up on, but for a stretch in which it is left alone. */
export function batchHands(
  {
    stationId,
    setUpStartMs,
    startMs,
    upMs,
  }: { stationId: string; setUpStartMs: number; startMs: number; upMs: number },
  handsOff: { fromShare: number; toShare: number } | undefined,
): AtStation[] {
  if (!handsOff) return [{ stationId, fromMs: setUpStartMs, toMs: upMs }]
  const at = (share: number) => startMs + share * (upMs - startMs)
  return [
    { stationId, fromMs: setUpStartMs, toMs: at(handsOff.fromShare) },
    { stationId, fromMs: at(handsOff.toShare), toMs: upMs },
  ].filter(({ fromMs, toMs }) => toMs > fromMs)
}
