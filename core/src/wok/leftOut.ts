import type { Step } from './score'

/** What has not gone in yet, from a step on: it can still be left out. */
export function notInYet(
  steps: readonly Step[],
  stepIndex: number,
): { componentId: string; name: string; massG: number }[] {
  const found = new Map<string, { componentId: string; name: string; massG: number }>()
  for (const step of steps.slice(stepIndex))
    for (const { componentId, name, massG, motion, role } of step.entries) {
      if (role === 'rice' || (motion !== 'in' && motion !== 'plate')) continue
      found.set(componentId, { componentId, name, massG: massG + (found.get(componentId)?.massG ?? 0) })
    }
  return [...found.values()]
}

/**
 * The steps without what is left of a component from a step on. A later step that has nothing else to do is gone, with its
 * check; where other food is in it, the check stays. The step in hand stays, since somebody stands at it. What is already in
 * comes out and back as before.
 */
export function leftOut(steps: readonly Step[], stepIndex: number, componentId: string): Step[] {
  const isIn = steps
    .slice(0, stepIndex)
    .some(({ entries }) => entries.some((one) => one.componentId === componentId && one.motion === 'in'))
  return steps.flatMap((step, index) => {
    if (index < stepIndex) return [step]
    const entries = step.entries.filter(
      (one) => one.componentId !== componentId || (isIn && (one.motion === 'out' || one.motion === 'back')),
    )
    if (entries.length === step.entries.length) return [step]
    if (entries.length === 0 && index > stepIndex && step.action !== 'pickUp' && step.action !== 'flameOff') return []
    return [{ ...step, entries }]
  })
}
