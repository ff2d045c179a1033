import { EventId } from 'contract/ids'
import type { Run, RunEvent } from 'contract/run'
import { v7 as newId } from 'uuid'
import { normal } from './chance'
import type { Mishap } from './mishaps'

type Step = Run['score']['steps'][number]

/** How much longer each station of the sample kitchen truly takes than the model says: one ring is slower than its plate says. */
const TRUTH: Readonly<Record<string, number>> = { 'ring-a': 0.99, 'ring-b': 1.09, griddle: 1.02 }
/** Two batches alike differ by so much, as a share. */
const NOISE = 0.06
/** A cook lets what is ready so much sooner go on by the clock, and says nothing of so much later [s]. */
const UNSAID_S = 4
const LATER_S = 10
/** The tap for ten seconds more comes so long before the step would end [s]. */
const BEFORE_END_S = 3

/** What is cut short ends after so much of its time. */
const CUT_SHORT = 0.5
/** When each of the ten seconds more is asked for, once the first is. */
const WAITED_MS = [0, 8000, 16_000] as const
const SEEN_MS = 4000

const isCutShort = ({ action, check }: Step, mishap: Mishap | null): boolean =>
  check === null &&
  ((mishap?.kind === 'riceCutShort' && action === 'riceIn') ||
    (mishap?.kind === 'sauceCutShort' && action === 'sauceIn'))

/**
 * What a cook says in a run: a word at every check, ten seconds more where a step truly takes longer, Done where it is ready
 * sooner, seldom trouble or a mishap.
 */
export function cooksWords(
  run: Run,
  random: () => number,
  mishap: Mishap | null,
): { events: RunEvent[]; endsAtMs: number } {
  const events: RunEvent[] = []
  let nowMs = run.firedAtMs
  const slower = (TRUTH[run.stationId] ?? 1) / (run.score.basis?.learned ?? 1)
  const say = (
    atMs: number,
    word:
      | { kind: 'done'; stepId: string }
      | { kind: 'checked'; stepId: string; ok: boolean; tempC: number | null; tempF: number | null }
      | { kind: 'later'; stepId: string; delayS: number }
      | { kind: 'trouble'; trouble: 'sticking'; stepId: string }
      | { kind: 'flame'; stepId: string; heat: 'low' },
  ) =>
    events.push({
      id: EventId.parse(newId({ msecs: Math.round(atMs) })),
      runId: run.id,
      deviceId: 'demo',
      atMs: Math.round(atMs),
      counter: 0,
      ...word,
    })
  for (const step of run.score.steps) {
    let lastsMs = step.durationS * 1000
    if (mishap?.kind === 'flameLow' && step.action === 'riceIn')
      say(nowMs + SEEN_MS, { kind: 'flame', stepId: step.id, heat: 'low' })
    if (isCutShort(step, mishap)) {
      lastsMs *= CUT_SHORT
      say(nowMs + lastsMs, { kind: 'done', stepId: step.id })
    } else if (mishap?.kind === 'waited' && step.action === 'riceIn') {
      for (const delayMs of WAITED_MS)
        say(nowMs + lastsMs - 6000 + delayMs, { kind: 'later', stepId: step.id, delayS: 10 })
      lastsMs += 10_000 * WAITED_MS.length
    } else if (step.action === 'riceIn' && random() < 0.05) {
      say(nowMs + lastsMs / 2, { kind: 'trouble', trouble: 'sticking', stepId: step.id })
      lastsMs += 8000
    } else if (step.figure === 'model' && step.heat !== 'off') {
      const trueS = step.durationS * slower * Math.exp(NOISE * normal(random))
      const more = trueS - step.durationS > UNSAID_S ? Math.ceil((trueS - step.durationS) / LATER_S) : 0
      for (let n = 0; n < more; n += 1)
        say(nowMs + (step.durationS + n * LATER_S - BEFORE_END_S) * 1000, {
          kind: 'later',
          stepId: step.id,
          delayS: LATER_S,
        })
      const isSaid = Math.abs(trueS - step.durationS) > UNSAID_S
      if (isSaid && step.check === null) say(nowMs + trueS * 1000, { kind: 'done', stepId: step.id })
      if (isSaid) lastsMs = trueS * 1000
      // What waits for its reading cannot be read before it is asked.
      if (step.check !== null) lastsMs = Math.max(lastsMs, step.durationS * 1000)
    }
    if (step.check !== null && (step.check.food !== 'rice' || run.riceReading?.isAsked !== false)) {
      lastsMs += 1000 + 5000 * random() * random()
      const coreF = Math.ceil((step.check.limit.coreC * 9) / 5 + 32 + 4 + 6 * random())
      say(nowMs + lastsMs, {
        kind: 'checked',
        stepId: step.id,
        ok: true,
        tempC: Math.round(((coreF - 32) * 50) / 9) / 10,
        tempF: coreF,
      })
    }
    nowMs = Math.round(nowMs + lastsMs)
  }
  return { events, endsAtMs: nowMs }
}
