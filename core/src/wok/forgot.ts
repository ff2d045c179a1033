import type { Score } from './score'

export type MayStillGoIn = { componentId: string; name: string; massG: number; untilStepId: string | null }

/**
 * What could have been forgotten at a step: everything that should be in by now, and until which step it may still go
 * in. Raw protein and egg may not be thrown into the finished rice: they need their own check, so they end at the rice.
 */
export function forgettable(score: Score, stepIndex: number): MayStillGoIn[] {
  const due = score.steps
    .slice(0, stepIndex + 1)
    .flatMap((step) => step.entries.filter((entry) => entry.motion === 'in'))
  const byId = new Map<string, MayStillGoIn>()
  for (const entry of due) {
    if (entry.role === 'rice') continue
    const known = byId.get(entry.componentId)
    const massG = entry.massG + (known?.massG ?? 0)
    const untilStepId = entry.role === 'egg' || entry.role === 'protein' ? 'sauceIn' : 'finishOff'
    byId.set(entry.componentId, {
      componentId: entry.componentId,
      name: entry.name,
      massG,
      untilStepId: score.steps.some((step) => step.id === untilStepId) ? untilStepId : 'pickUp',
    })
  }
  return [...byId.values()]
}
