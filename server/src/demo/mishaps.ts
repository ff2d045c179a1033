import type { Complaint } from 'core/record/faults/rank'
import type { Run } from 'contract/run'

/** Something that goes wrong in a run of the sample kitchen, and what a guest says of it. */
export type Mishap = { kind: 'riceCutShort' | 'sauceCutShort' | 'waited' | 'flameLow'; heard: Complaint }

/** How often one happens. */
const CHANCE = 0.05
/** What comes of each, of which the trade complains; common practice. */
const MISHAPS: readonly Mishap[] = [
  { kind: 'riceCutShort', heard: 'coldInside' },
  { kind: 'sauceCutShort', heard: 'soggy' },
  { kind: 'waited', heard: 'hardGrains' },
  { kind: 'flameLow', heard: 'noAroma' },
]

/** What goes wrong in a run, if anything: nothing that the run has no step for. */
export function mishapOf({ score }: Run, chance: () => number): Mishap | null {
  const [happens, which] = [chance() < CHANCE, chance()]
  const possible = MISHAPS.filter(
    ({ kind }) => kind !== 'sauceCutShort' || score.steps.some(({ action }) => action === 'sauceIn'),
  )
  return happens ? (possible[Math.floor(which * possible.length)] ?? null) : null
}
