import type { RunState } from '../run'

/** An open run of the one who looks: its steps carry when they may begin at the latest. */
export type HandsRun = { id: string; state: RunState }

/** Two runs that want the same pair of hands, and what helps. */
export type HandsClash = {
  /** When the second of them wants hands [ms since 1970, UTC]. */
  atMs: number
  /** The run whose hands are taken then, and its step. */
  busy: { runId: string; stepId: string }
  /** The run that wants them as well, and its step. */
  wants: { runId: string; stepId: string }
  /** The run that bears to wait, at its step in hand, and for how many seconds; null where neither does. */
  wait: { runId: string; stepId: string; byS: number } | null
}

/**
 * The runs that one pair of hands has: those of the run's own cook; all of them where somebody said that there is one pair. Of
 * a run of nobody it is not known whose hands it takes.
 * @param pairs how many pairs of hands were said; null where nothing was
 */
export function inTheSameHands<R extends { cookId: string | null }>(
  run: R,
  runs: readonly R[],
  pairs: number | null,
): readonly R[] {
  if (pairs === 1) return runs
  return run.cookId === null ? [] : runs.filter(({ cookId }) => cookId === run.cookId)
}

/** A clash that is further off is left to the plan. */
const AHEAD_MS = 45_000
/** Longer than this is no shift by seconds. */
const MOST_WAIT_S = 60
/** Less is one movement of one pair of hands. */
const LEAST_S = 2

type Span = { stepId: string; fromMs: number; toMs: number }

/**
 * The first clash ahead of two runs of one cook: one wants hands to begin a step while the other still has them. What clashes
 * already is the cook's to see. The one that wants them waits if its food bears it, else the other, if it has not begun.
 */
export function handsClash(runs: readonly HandsRun[], nowMs: number): HandsClash | null {
  const open = runs.filter(({ state }) => state.endedMs === null)
  const found = open.flatMap((wanting) =>
    open.flatMap((busy) => (wanting.id === busy.id ? [] : (clashOf(wanting, busy, nowMs) ?? []))),
  )
  return found.sort((a, b) => a.atMs - b.atMs || (a.wants.runId < b.wants.runId ? -1 : 1))[0] ?? null
}

function clashOf(wanting: HandsRun, busy: HandsRun, nowMs: number): HandsClash | null {
  const held = handsOf(busy.state, nowMs)
  const next = handsOf(wanting.state, nowMs).find(({ fromMs }) => fromMs > nowMs)
  if (!next || next.fromMs > nowMs + AHEAD_MS) return null
  const over = held.find(({ fromMs, toMs }) => fromMs <= next.fromMs && toMs - next.fromMs >= LEAST_S * 1000)
  if (!over) return null
  const freeMs = blockEndMs(held, over)
  return {
    atMs: next.fromMs,
    busy: { runId: busy.id, stepId: over.stepId },
    wants: { runId: wanting.id, stepId: next.stepId },
    wait:
      waitOf(wanting, Math.ceil((freeMs - next.fromMs) / 1000)) ??
      (over.fromMs > nowMs
        ? waitOf(busy, Math.ceil((blockEndMs(handsOf(wanting.state, nowMs), next) - over.fromMs) / 1000))
        : null),
  }
}

/** Until when hands are taken without a pause, from one span on. */
function blockEndMs(spans: readonly Span[], from: Span): number {
  return spans.reduce((endMs, { fromMs, toMs }) => (fromMs <= endMs && toMs > endMs ? toMs : endMs), from.toMs)
}

/** When a run takes hands, from its step in hand on, if it goes on as it stands. */
function handsOf({ steps, stepIndex, times, dueMs, status }: RunState, nowMs: number): Span[] {
  const inHand = steps[stepIndex]!
  const begunMs = times.at(-1)?.startMs ?? nowMs
  const endMs = status === 'waiting' ? Math.max(dueMs, nowMs) : dueMs
  const spans: Span[] = [spanOf(inHand, begunMs, endMs)]
  let startMs = endMs
  for (const step of steps.slice(stepIndex + 1)) {
    spans.push(spanOf(step, startMs, startMs + step.durationS * 1000))
    startMs += step.durationS * 1000
  }
  return spans.filter(({ fromMs, toMs }) => toMs > fromMs)
}

/** A step that takes hands to its end still does when it lasts longer. */
function spanOf(step: RunState['steps'][number], fromMs: number, endMs: number): Span {
  const handsS = step.handsOnS ?? step.durationS
  return { stepId: step.id, fromMs, toMs: handsS >= step.durationS ? endMs : Math.min(endMs, fromMs + handsS * 1000) }
}

/** Whether what is in the vessel bears that the step in hand lasts longer by so much. */
function waitOf({ id, state }: HandsRun, byS: number): HandsClash['wait'] {
  const { steps, stepIndex, times, dueMs, status } = state
  const [inHand, next] = [steps[stepIndex], steps[stepIndex + 1]]
  if (!inHand || next?.latestS === undefined || status === 'waiting' || byS > MOST_WAIT_S) return null
  const lateS = (dueMs - (times.at(-1)?.startMs ?? dueMs)) / 1000 - inHand.durationS
  return byS <= next.latestS - next.startS - Math.max(0, lateS) ? { runId: id, stepId: inHand.id, byS } : null
}
