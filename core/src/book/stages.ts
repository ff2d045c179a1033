import { STAGES, type Role, type Stage, type StageShare } from './dish'

/** What may go in with other stages: nothing that has to be cooked through, and no oil, whose pours the engine times. */
export const STAGED_ROLES: readonly Role[] = [
  'aromatic',
  'paste',
  'vegetable',
  'drySeasoning',
  'liquidSeasoning',
  'finish',
]

/** Shares below this are nothing that anybody weighs. */
const LEAST = 0.005

/**
 * What is left for a component's own place once its stages have their shares, 0 to 1; null where they come to more than
 * there is, or one of them is nothing, or two name one stage.
 */
export function restOf(stages: readonly StageShare[]): number | null {
  const sum = stages.reduce((total, { share }) => total + share, 0)
  const isTwice = new Set(stages.map(({ at }) => at)).size < stages.length
  if (isTwice || stages.some(({ share }) => !(share >= LEAST)) || sum > 1 + LEAST) return null
  return sum > 1 - LEAST ? 0 : 1 - sum
}

/** The shares with one of them set, no more of it than the others leave; nothing takes it away. */
export function withStage(stages: readonly StageShare[], at: Stage, share: number): StageShare[] {
  const others = stages.filter((one) => one.at !== at)
  const left = 1 - others.reduce((sum, one) => sum + one.share, 0)
  const most = Math.min(share, left)
  // In the order of a run, so that the same shares are the same list.
  return STAGES.flatMap((stage) => {
    const kept = stage === at ? { at, share: most } : others.find((one) => one.at === stage)
    return kept && kept.share >= LEAST ? [kept] : []
  })
}
