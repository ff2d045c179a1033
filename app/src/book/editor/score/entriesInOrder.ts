import type { Score } from 'core/wok/score'

/** A component where it first goes in; oil is poured where the engine wants it, and has no place of its own. */
export type PlacedEntry = {
  componentId: string
  name: string
  massG: number
  atS: number
  /** Until the next thing goes in or the vessel is worked otherwise. */
  lastsS: number
  isOffFlame: boolean
  isPoured: boolean
}

/** Everything of a score once, in the order in which it goes in or on the plate; what goes in twice has its whole mass. */
export function entriesInOrder({ steps }: Score): PlacedEntry[] {
  const byId = new Map<string, PlacedEntry>()
  for (const { action, startS, durationS, heat, entries } of steps)
    for (const { componentId, name, massG, motion } of entries) {
      if (motion !== 'in' && motion !== 'plate') continue
      const before = byId.get(componentId)
      byId.set(
        componentId,
        before
          ? { ...before, massG: before.massG + massG }
          : {
              componentId,
              name,
              massG,
              atS: startS,
              lastsS: durationS,
              isOffFlame: heat === 'off',
              isPoured: action === 'oilIn',
            },
      )
    }
  return [...byId.values()]
}
