import type { Dish } from '../book/dish'
import type { MeasureTools } from '../measure/practical'
import type { CookRules } from '../safety/limits'
import { batchSeconds, type BatchSeconds } from '../wok/sequence/batchSeconds'
import { prepareDish, quickFries, quickTotalS } from '../wok/quick/quickSeconds'
import { quickChoice } from '../wok/sequence/quickChoice'
import type { Score } from '../wok/score'
import type { Choice } from '../wok/sequence/vocabulary'
import type { BatchHeat } from './batchHeat'
import { orderedBatch } from './orderedBatch'
import { batchScore, sequenceInput, type BatchScore } from './batchScore'

/**
 * How long a dish takes at a station by its portions: `seconds[n - 1]` is n portions as written. As many entries as portions
 * fit and fry, one at least: a single portion that is too much has to be cooked all the same. None where the dish cannot be
 * cooked there at all.
 */
export type StationTimes = {
  seconds: readonly number[]
  /** Where the cook's hands are free for a while: from and to, as shares of the time; absent where they never are. */
  handsOff?: { fromShare: number; toShare: number } | undefined
  /** Of a first plan: the way is only probable, and the full times are still to come. */
  isRough?: true
}

const plain = (portions: number) => ({ modifiers: [], allergies: [], parts: [{ portions, modifiers: [] }] })

/**
 * The times of a dish at a station up to a cap of portions: one batch of middle size is derived in full, the others go the
 * same way by long steps. Estimates for the plan of the line, within some percent; a batch that is fired has a score of its own.
 */
export function stationTimes(
  dish: Dish,
  capPortions: number,
  heat: BatchHeat,
  tools: MeasureTools,
  rules: CookRules,
): StationTimes {
  const scored = (portions: number) => batchScore(dish, plain(portions), heat, tools, rules)
  const holds = (one: BatchScore) => one.kind === 'score' && one.score.basis?.warns.length === 0
  for (let middle = Math.ceil(capPortions / 2); middle >= 1; middle = Math.floor(middle / 2)) {
    const found = scored(middle)
    if (found.kind !== 'score') continue
    if (middle > 1 && !holds(found)) continue
    const known = { portions: middle, totalS: found.score.totalS }
    const seconds = secondsBy(dish, capPortions, heat, rules, found.score.basis!.choice as Choice, known)
    while (seconds.length > middle && !holds(scored(seconds.length))) seconds.pop()
    return { seconds, handsOff: handsOffOf(found.score) }
  }
  return { seconds: [] }
}

/** Shorter than this, nobody begins anything else [s]: common practice. */
const LEAST_OFF_S = 20

/** The longest stretch of a score without the cook's hands, where there is one that is worth something. */
export function handsOffOf({ steps, totalS }: Pick<Score, 'steps' | 'totalS'>): StationTimes['handsOff'] {
  const [longest] = steps
    .map(({ startS, durationS, handsOnS = durationS }) => ({ fromS: startS + handsOnS, toS: startS + durationS }))
    .sort((a, b) => b.toS - b.fromS - (a.toS - a.fromS))
  if (!longest || longest.toS - longest.fromS < LEAST_OFF_S || totalS <= 0) return undefined
  return { fromShare: longest.fromS / totalS, toShare: Math.min(1, longest.toS / totalS) }
}

/**
 * The same in a fraction of the time, for a first plan: also the way that the dish is cooked is only probable. Null where no
 * probable way is safe: then only `stationTimes` can say.
 */
export function roughStationTimes(
  dish: Dish,
  capPortions: number,
  heat: BatchHeat,
  rules: CookRules,
): StationTimes | null {
  const middle = Math.ceil(capPortions / 2)
  const ordered = orderedBatch(dish, plain(middle), rules)
  if (ordered.kind !== 'batch') return null
  const input = sequenceInput(dish, ordered.batch, heat, rules)
  const probable = quickChoice(input)
  if (!probable) return null
  const { choice } = probable
  const prepared = prepareDish(input, choice)
  // What would overflow need not be cooked to know that.
  const overflows = Math.ceil(middle / prepared.fillShare)
  const cooked = new Map([[middle, probable.totalS]])
  const fits = (portions: number) => {
    const batch = cookedBy(dish, portions, heat, rules, choice)
    if (batch) cooked.set(portions, batch.totalS)
    return batch?.fits ?? false
  }
  const limit = Math.min(capPortions, overflows)
  const steams = Array.from({ length: limit }, (_, i) => i + 1).find((one) => !quickFries(prepared, one / middle))
  const most = mostNear(fits, Math.max(1, (steams ?? limit + 1) - 1))
  // A flame that never heats the vessel has no seconds, at any load.
  if (quickTotalS(prepared) === null) return null
  const quickS = (portions: number) => quickTotalS(prepared, portions / middle)!
  const known = [...cooked].map(([portions, totalS]) => ({ portions, share: totalS / quickS(portions) }))
  const seconds = Array.from({ length: most }, (_, i) => Math.round(quickS(i + 1) * shareAt(i + 1, known)))
  return { seconds, isRough: true }
}

/** How far fitted seconds are off at a size, by the sizes of which it is known: on a straight line between two, else the nearest. */
function shareAt(portions: number, known: readonly { portions: number; share: number }[]): number {
  const sorted = [...known].sort((a, b) => a.portions - b.portions)
  const over = sorted.find((one) => one.portions >= portions)
  const under = sorted.filter((one) => one.portions <= portions).at(-1)
  if (!over || !under) return (over ?? under)!.share
  const part = over.portions === under.portions ? 0 : (portions - under.portions) / (over.portions - under.portions)
  return under.share + part * (over.share - under.share)
}

/** Portions of a dish by a way that is known, by long steps; null where the order cannot be made. */
function cookedBy(
  dish: Dish,
  portions: number,
  heat: BatchHeat,
  rules: CookRules,
  choice: Choice,
): BatchSeconds | null {
  const ordered = orderedBatch(dish, plain(portions), rules)
  return ordered.kind === 'batch' ? batchSeconds(sequenceInput(dish, ordered.batch, heat, rules), choice) : null
}

/** Between sizes that were cooked no further apart than this, seconds lie on a straight line. */
const APART = 6

/** Seconds of all sizes that fit, by one way; shifted so that they meet the one that is known. */
function secondsBy(
  dish: Dish,
  capPortions: number,
  heat: BatchHeat,
  rules: CookRules,
  choice: Choice,
  known: { portions: number; totalS: number },
): number[] {
  const cooked = new Map<number, BatchSeconds | null>()
  const roughly = (portions: number): BatchSeconds | null => {
    const before = cooked.get(portions)
    if (before !== undefined) return before
    const after = cookedBy(dish, portions, heat, rules, choice)
    cooked.set(portions, after)
    return after
  }
  const offsetS = known.totalS - (roughly(known.portions)?.totalS ?? 0)
  const least = known.portions
  // What would overflow need not be cooked to know that.
  const overflows = Math.ceil(least / (roughly(least)?.fillShare ?? 1))
  const most = mostThat((portions) => roughly(portions)?.fits ?? false, least, Math.min(capPortions, overflows))
  const seconds: number[] = []
  const secondsOf = (portions: number) => Math.round((roughly(portions)?.totalS ?? 0) + offsetS)
  const fill = (few: number, many: number) => {
    seconds[few - 1] = secondsOf(few)
    seconds[many - 1] = secondsOf(many)
    if (many - few > APART) {
      const middle = Math.floor((few + many) / 2)
      fill(few, middle)
      fill(middle, many)
      return
    }
    for (let portions = few + 1; portions < many; portions += 1) {
      const share = (portions - few) / (many - few)
      seconds[portions - 1] = Math.round((1 - share) * seconds[few - 1]! + share * seconds[many - 1]!)
    }
  }
  if (least > 1) fill(1, least)
  fill(least, most)
  return seconds
}

/** A guess where it fits, else the most below it that does; more never fits better, and one always does. */
const mostNear = (fits: (portions: number) => boolean, guess: number): number =>
  guess > 1 && !fits(guess) ? mostThat(fits, 1, guess - 1) : guess

/** The most from `few`, which does, to `many` that does: more never fits better. */
function mostThat(fits: (portions: number) => boolean, few: number, many: number): number {
  if (few >= many || fits(many)) return Math.max(few, many)
  let does = few
  let doesNot = many
  while (doesNot - does > 1) {
    const middle = Math.floor((does + doesNot) / 2)
    if (fits(middle)) does = middle
    else doesNot = middle
  }
  return does
}
