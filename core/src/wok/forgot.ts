import type { SafetyCheck, Score, Step } from './score'

/** A component that can still go in, and as what step. */
export type MayStillGoIn = {
  componentId: string
  name: string
  massG: number
  /** Raw meat, seafood or egg: it goes in with its own time and its own check, or not at all. */
  isRaw: boolean
  /** The step with which its time is over; null once it is. */
  untilStepId: string | null
}

/** The check that a component of a score has of its own; null for what needs none. */
function ownCheckOf(steps: readonly Step[], componentId: string): SafetyCheck | null {
  return (
    steps.find((step) => step.check !== null && step.entries.some((entry) => entry.componentId === componentId))
      ?.check ?? null
  )
}

/** With which step the time of a forgotten component is over: raw before the rice goes in, the rest at the finish. */
function untilIndex(steps: readonly Step[], isRaw: boolean): number {
  const index = steps.findIndex((step) => step.action === (isRaw ? 'riceIn' : 'finishOff'))
  return index >= 0 ? index : steps.length - 1
}

/** What could have been forgotten at a step: everything that should be in by now, and until when it may still go in. */
export function forgettable({ steps }: Pick<Score, 'steps'>, stepIndex: number): MayStillGoIn[] {
  const due = steps.slice(0, stepIndex + 1).flatMap((step) => step.entries.filter((entry) => entry.motion === 'in'))
  const byId = new Map<string, MayStillGoIn>()
  for (const entry of due) {
    if (entry.role === 'rice') continue
    const known = byId.get(entry.componentId)
    const isRaw = ownCheckOf(steps, entry.componentId) !== null
    const until = untilIndex(steps, isRaw)
    byId.set(entry.componentId, {
      componentId: entry.componentId,
      name: entry.name,
      massG: entry.massG + (known?.massG ?? 0),
      isRaw,
      untilStepId: stepIndex < until ? (steps[until]?.id ?? null) : null,
    })
  }
  return [...byId.values()]
}

/** The id of the step in which a forgotten component is put in. */
export const forgotStepId = (componentId: string): string => `forgot-${componentId}`

/**
 * The step that a forgotten raw component needs: alone, as long as at its own place, with its own check. Null where it needs
 * none or its time is over: then it is cooked beside, or the batch waits.
 */
export function forgottenStep(steps: readonly Step[], stepIndex: number, componentId: string): Step | null {
  const check = ownCheckOf(steps, componentId)
  const at = steps.findIndex((step) =>
    step.entries.some((entry) => entry.componentId === componentId && entry.motion === 'in'),
  )
  const step = steps[at]
  if (!check || !step || stepIndex >= untilIndex(steps, true)) return null
  return {
    ...step,
    id: forgotStepId(componentId),
    entries: step.entries.filter((entry) => entry.componentId === componentId),
    reason: 'forgottenNeedsItsCheck',
    check,
  }
}
