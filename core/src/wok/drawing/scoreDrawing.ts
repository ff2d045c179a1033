import type { HeatLevel, Score } from '../score'

/** What a score shows, in seconds from its zero, on a screen as on paper; where it is drawn decides width and scale. */
export type ScoreDrawing = {
  segments: { startS: number; endS: number; heat: HeatLevel }[]
  /** Cuts across the ribbon: what goes in, comes back or is called, by its second. */
  cuts: { atS: number; label: string; isStrong: boolean }[]
  /** What is set aside leaves as a thread and rejoins. */
  threads: { label: string; outS: number; backS: number }[]
  /** What is cooked on another surface meanwhile, until it joins. */
  beside: { label: string; startS: number; endS: number }[]
  totalS: number
}

type StepSpan = { stepId: string; startS: number; endS: number }

/** Where each step of a score stands as it was planned; on warm metal heating up is shorter by what that saves [s]. */
export function plannedSpans(score: Score, soonerS = 0): StepSpan[] {
  return score.steps.map(({ id, startS, durationS }) => ({
    stepId: id,
    startS: Math.max(0, startS - soonerS),
    endS: Math.max(0, startS + durationS - soonerS),
  }))
}

/** The drawing of a score with its steps at the given spans: planned, actual, or actual and then projected. */
export function scoreDrawing(score: Score, spans: readonly StepSpan[]): ScoreDrawing {
  const drawing: ScoreDrawing = { segments: [], cuts: [], threads: [], beside: [], totalS: spans.at(-1)?.endS ?? 0 }
  const outAtS = new Map<string, { label: string; outS: number }>()
  const besideFromS = new Map<string, { label: string; startS: number }>()
  for (const span of spans) {
    const step = score.steps.find((one) => one.id === span.stepId)
    if (!step) continue
    const last = drawing.segments.at(-1)
    if (last && last.heat === step.heat && last.endS === span.startS) last.endS = span.endS
    else drawing.segments.push({ startS: span.startS, endS: span.endS, heat: step.heat })
    const label = labelOf(step.entries.filter((entry) => entry.motion !== 'out').map((entry) => entry.name))
    if (label !== '') drawing.cuts.push({ atS: span.startS, label, isStrong: step.action === 'riceIn' })
    for (const entry of step.entries) {
      if (entry.motion === 'out') outAtS.set(entry.componentId, { label: entry.name, outS: span.startS })
      const out = outAtS.get(entry.componentId)
      if (entry.motion === 'back' && out) drawing.threads.push({ ...out, backS: span.startS })
      if (step.surface === 'beside') besideFromS.set(entry.componentId, { label: entry.name, startS: span.startS })
      const beside = besideFromS.get(entry.componentId)
      if (beside && (entry.motion === 'back' || entry.motion === 'plate') && step.surface !== 'beside')
        drawing.beside.push({ ...beside, endS: span.startS })
    }
  }
  return drawing
}

/** The first name, and how many more go in with it. */
function labelOf(names: readonly string[]): string {
  const [first = '', ...more] = names
  return more.length === 0 ? first : `${first} +${more.length}`
}
