import { EventId } from 'contract/ids'
import type { Run, RunEvent } from 'contract/run'
import { v7 as newId } from 'uuid'
import type { Mishap } from './mishaps'

type Step = Run['score']['steps'][number]

/** How often a step is given ten seconds more: one ring of the sample kitchen is slower than its plate says. */
const LATE = 0.14
const LATE_AT: Readonly<Record<string, number>> = { 'ring-b': 0.6 }

/** What is cut short ends after so much of its time. */
const CUT_SHORT = 0.5
/** When each of the ten seconds more is asked for, once the first is. */
const WAITED_MS = [0, 8000, 16_000] as const
const SEEN_MS = 4000

const isCutShort = ({ action, check }: Step, mishap: Mishap | null): boolean =>
  check === null &&
  ((mishap?.kind === 'riceCutShort' && action === 'riceIn') ||
    (mishap?.kind === 'sauceCutShort' && action === 'sauceIn'))

/** What a cook says in a run: a word at every check, sometimes late, sometimes ten seconds more, seldom trouble or a mishap. */
export function cooksWords(
  run: Run,
  random: () => number,
  mishap: Mishap | null,
): { events: RunEvent[]; endsAtMs: number } {
  const events: RunEvent[] = []
  let nowMs = run.firedAtMs
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
    } else if (step.durationS >= 40 && random() < (LATE_AT[run.stationId] ?? LATE)) {
      say(nowMs + lastsMs - 4000, { kind: 'later', stepId: step.id, delayS: 10 })
      lastsMs += 10_000
    } else if (step.action === 'riceIn' && random() < 0.05) {
      say(nowMs + lastsMs / 2, { kind: 'trouble', trouble: 'sticking', stepId: step.id })
      lastsMs += 8000
    } else if (step.durationS >= 20 && step.check === null && random() < 0.12) {
      lastsMs -= 3000
      say(nowMs + lastsMs, { kind: 'done', stepId: step.id })
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
