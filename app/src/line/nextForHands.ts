import type { Kitchen } from 'contract/kitchen'
import { nextWaves } from 'core/line/waves'
import type { Line, ShownBatch, ShownRun } from './useLinePlan'

type NextForHands =
  { kind: 'run'; atMs: number; shown: ShownRun } | { kind: 'fire'; atMs: number; batch: ShownBatch } | null

/** What the hands are wanted for first: the next touch of a run, or a batch that is due to be set up. */
export function nextForHands(line: Line, nowMs: number): NextForHands {
  const touches = line.runs.map((shown) => ({ kind: 'run' as const, atMs: Math.max(nowMs, shown.state.dueMs), shown }))
  const fires = line.batches.map((batch) => ({
    kind: 'fire' as const,
    atMs: Math.max(nowMs, batch.setUpStartMs),
    batch,
  }))
  return [...touches, ...fires].sort((a, b) => a.atMs - b.atMs)[0] ?? null
}

/** The batch that Fire fires: the chosen one, or the first whose station is free. */
export function batchToFire(line: Line, chosenKey: string | null): ShownBatch | null {
  const chosen = line.batches.find((batch) => batch.key === chosenKey)
  if (chosen) return chosen
  const isFree = (batch: ShownBatch) => !line.runs.some(({ run }) => run.stationId === batch.stationId)
  return line.batches.find(isFree) ?? line.batches[0] ?? null
}

/** The run at the batch's station, which it has to wait for. */
export function runAt(line: Line, stationId: string): ShownRun | null {
  return line.runs.find(({ run }) => run.stationId === stationId) ?? null
}

/** When the next waves of orders leave [ms], the soonest first. */
export const nextBoatsMs = ({ waves, timeZone }: Kitchen, nowMs: number, count = 1): number[] =>
  nextWaves(waves, nowMs, count, timeZone).map(({ leavesMs }) => leavesMs)
