import type { Run } from './run'

/** Nearer than this to its burn limit nothing may come. */
const BURN_AT_MOST = 0.9
/** Protein bears so much longer before it is dry [s]; nothing waits longer than an empty vessel may. [C] */
const LONGEST = { protein: 45, empty: 60, anything: 120 } as const

/**
 * The latest second at which a step may begin: until something in the vessel would be at 0.9 of its burn limit at the rate at
 * which it browns now, or protein 45 s over. An estimate: what comes later is not worked out again.
 */
export function latestStartS(run: Run, index: number): number {
  const { startS } = run.moves[index]!
  const before = run.moves[index - 1]
  if (!before || before.burn.size === 0) return Math.round(startS) + LONGEST.empty
  let slackS: number = LONGEST.anything
  for (const [id, burn] of before.burn) {
    const perS = before.burnPerS.get(id) ?? 0
    if (perS > 0) slackS = Math.min(slackS, Math.max(0, BURN_AT_MOST - burn) / perS)
    const isProtein = run.ended.some(({ one }) => one.id === id && (one.place === 'raw' || one.place === 'ready'))
    if (isProtein && (before.progress.get(id) ?? 0) >= 1) slackS = Math.min(slackS, LONGEST.protein)
  }
  return Math.round(startS) + Math.floor(slackS)
}
