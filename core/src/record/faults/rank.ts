import type { Feature, RunFeatures } from './features'

/** What guests and cooks complain of. */
export const COMPLAINTS = [
  'mushy',
  'gluey',
  'soggy',
  'greasy',
  'burnt',
  'bitterAromatics',
  'eggDry',
  'eggWet',
  'tooSalty',
  'bland',
  'rawInside',
  'toughProtein',
  'coldInside',
  'noAroma',
  'hardGrains',
  'unevenColour',
] as const
export type Complaint = (typeof COMPLAINTS)[number]

/** What may have been the cause: a feature that was higher or lower than in runs that went well. */
export const CAUSES = [
  'wetRice',
  'dryRice',
  'coldRice',
  'tooMuchAtOnce',
  'tooMuchSauce',
  'tooLittleSauce',
  'tooMuchFat',
  'tooMuchSeasoning',
  'tooLittleSeasoning',
  'riceCutShort',
  'riceTooLong',
  'sauceCutShort',
  'baseTooLong',
  'baseCutShort',
  'eggTooLong',
  'eggCutShort',
  'rawCutShort',
  'rawTooLong',
  'longInBowl',
  'flameLow',
  'waited',
  'somethingLeftOut',
] as const
export type Cause = (typeof CAUSES)[number]

type CauseRule = { feature: Feature; sign: 1 | -1; floor: number; neutral: number | null }

/**
 * What a cause is seen by. `floor`: so far apart runs are anyhow, however alike the good ones were [in the feature's unit];
 * `neutral`: what is usual where there are no runs to compare with. House judgement, common practice.
 */
const CAUSE_RULES: Readonly<Record<Cause, CauseRule>> = {
  wetRice: { feature: 'riceWater', sign: 1, floor: 0.012, neutral: 0.62 },
  dryRice: { feature: 'riceWater', sign: -1, floor: 0.012, neutral: 0.62 },
  coldRice: { feature: 'riceTempC', sign: -1, floor: 4, neutral: null },
  tooMuchAtOnce: { feature: 'riceG', sign: 1, floor: 90, neutral: null },
  tooMuchSauce: { feature: 'sauceG', sign: 1, floor: 0.5, neutral: null },
  tooLittleSauce: { feature: 'sauceG', sign: -1, floor: 0.5, neutral: null },
  tooMuchFat: { feature: 'fatG', sign: 1, floor: 0.6, neutral: null },
  tooMuchSeasoning: { feature: 'seasoningG', sign: 1, floor: 0.08, neutral: null },
  tooLittleSeasoning: { feature: 'seasoningG', sign: -1, floor: 0.08, neutral: null },
  riceCutShort: { feature: 'riceTimes', sign: -1, floor: 0.1, neutral: 1 },
  riceTooLong: { feature: 'riceTimes', sign: 1, floor: 0.14, neutral: 1 },
  sauceCutShort: { feature: 'sauceTimes', sign: -1, floor: 0.14, neutral: 1 },
  baseTooLong: { feature: 'baseTimes', sign: 1, floor: 0.14, neutral: 1 },
  baseCutShort: { feature: 'baseTimes', sign: -1, floor: 0.1, neutral: 1 },
  eggTooLong: { feature: 'eggTimes', sign: 1, floor: 0.14, neutral: 1 },
  eggCutShort: { feature: 'eggTimes', sign: -1, floor: 0.1, neutral: 1 },
  rawCutShort: { feature: 'rawTimes', sign: -1, floor: 0.1, neutral: 1 },
  rawTooLong: { feature: 'rawTimes', sign: 1, floor: 0.14, neutral: 1 },
  longInBowl: { feature: 'bowlS', sign: 1, floor: 25, neutral: null },
  flameLow: { feature: 'flameLevels', sign: 1, floor: 0.5, neutral: 0 },
  waited: { feature: 'waitedS', sign: 1, floor: 12, neutral: 0 },
  somethingLeftOut: { feature: 'leftOut', sign: 1, floor: 0.4, neutral: 0 },
}

/** What speaks for a cause before anything is compared: how often it is behind a complaint. Common practice. */
const BEHIND: Readonly<Record<Complaint, Readonly<Partial<Record<Cause, number>>>>> = {
  mushy: { wetRice: 1, tooMuchAtOnce: 0.9, tooMuchSauce: 0.8, riceCutShort: 0.7, flameLow: 0.8, sauceCutShort: 0.5 },
  gluey: { tooMuchSauce: 1, wetRice: 0.9, sauceCutShort: 0.8, tooMuchAtOnce: 0.6, riceTooLong: 0.3, flameLow: 0.6 },
  soggy: {
    sauceCutShort: 1,
    tooMuchSauce: 1,
    riceCutShort: 0.8,
    wetRice: 0.8,
    eggCutShort: 0.5,
    flameLow: 0.7,
    tooMuchAtOnce: 0.7,
  },
  greasy: { tooMuchFat: 1, flameLow: 0.6, riceCutShort: 0.4, eggTooLong: 0.2 },
  burnt: { riceTooLong: 0.9, baseTooLong: 1, waited: 0.8, eggTooLong: 0.5, rawTooLong: 0.5, tooLittleSauce: 0.3 },
  bitterAromatics: { baseTooLong: 1, waited: 0.7, rawTooLong: 0.4 },
  eggDry: { eggTooLong: 1, longInBowl: 0.4, waited: 0.5 },
  eggWet: { eggCutShort: 1, flameLow: 0.7 },
  tooSalty: { tooMuchSeasoning: 1, tooMuchSauce: 0.9, riceTooLong: 0.2 },
  bland: { tooLittleSeasoning: 1, tooLittleSauce: 0.9, somethingLeftOut: 0.9, tooMuchAtOnce: 0.3 },
  rawInside: { rawCutShort: 1, flameLow: 0.8, tooMuchAtOnce: 0.5 },
  toughProtein: { rawTooLong: 1, longInBowl: 0.3, waited: 0.5 },
  coldInside: { coldRice: 0.9, riceCutShort: 1, tooMuchAtOnce: 0.9, longInBowl: 0.6, flameLow: 0.7 },
  noAroma: { flameLow: 1, tooMuchAtOnce: 0.9, baseCutShort: 0.8, somethingLeftOut: 0.7, riceCutShort: 0.4 },
  hardGrains: { dryRice: 1, riceTooLong: 0.9, waited: 0.5, tooLittleSauce: 0.4 },
  unevenColour: { sauceCutShort: 1, tooMuchAtOnce: 0.8, tooLittleSauce: 0.6 },
}

/** A run to look at, and runs of its dish that went well. */
export type Compared = { runId: string; run: RunFeatures; good: readonly RunFeatures[] }

/** A likely cause with its evidence: the figure of the run that shows it most, against the runs that went well. */
export type LikelyCause = {
  cause: Cause
  feature: Feature
  runId: string
  value: number
  /** Of the runs that went well, without the outer tenth on each side; null where there are none. */
  usual: { low: number; middle: number; high: number } | null
  /** How many of the runs show it, of how many that have the figure. */
  seenIn: number
  of: number
  /** How much speaks for it, of all that speaks for anything. */
  share: number
}
export type Ranked = {
  causes: LikelyCause[]
  /** Looked at and found as in runs that went well. */
  cleared: Cause[]
  /** So few runs went well that a difference may be chance. */
  isThin: boolean
}

const THIN_BELOW = 8
/**
 * Less than so many usual distances apart is no evidence; more than so many says no more. What several runs share is told
 * from chance sooner, by the root of their number, but is never called unusual below `shared`.
 */
const APART = { least: 0.9, most: 6, shared: 0.35 } as const

/** Of one run that went well nobody knows how far such runs lie apart: the floor counts so much more often, over their number. */
const FEW = 3

type Shown = Pick<LikelyCause, 'runId' | 'value' | 'usual'> & { apart: number }

/**
 * Ranks what may be behind a complaint of a run, a ticket or an evening, by how far its runs lie from runs of their dishes
 * that went well: what most of them share stands above what one of them has alone.
 */
export function rankCauses(complaint: Complaint, compared: readonly Compared[]): Ranked {
  const found: (LikelyCause & { weight: number })[] = []
  const cleared: Cause[] = []
  for (const cause of CAUSES) {
    const behind = BEHIND[complaint][cause]
    if (behind === undefined) continue
    const shown = compared.flatMap((one) => apartOf(cause, one) ?? []).sort((a, b) => b.apart - a.apart)
    const [most] = shown
    if (!most) continue
    const mean = shown.reduce((sum, { apart }) => sum + within(apart), 0) / shown.length
    if (mean < Math.max(APART.shared, APART.least / Math.sqrt(shown.length))) {
      cleared.push(cause)
      continue
    }
    const seenIn = shown.filter(({ apart }) => apart >= APART.least).length
    const { runId, value, usual } = most
    const { feature } = CAUSE_RULES[cause]
    found.push({ cause, feature, runId, value, usual, seenIn, of: shown.length, share: 0, weight: behind * mean })
  }
  const total = found.reduce((sum, { weight }) => sum + weight, 0)
  const causes = found
    .sort((a, b) => b.weight - a.weight)
    .map(({ weight, ...one }) => ({ ...one, share: weight / total }))
  const looked = compared.find(({ runId }) => runId === causes[0]?.runId) ?? compared[0]
  return { causes, cleared, isThin: (looked?.good.length ?? 0) < THIN_BELOW }
}

const within = (apart: number): number => Math.max(-APART.most, Math.min(APART.most, apart))

/** How many usual distances a run lies to the side that the cause is on; null where the run or its like has no such figure. */
function apartOf(cause: Cause, { runId, run, good }: Compared): Shown | null {
  const { feature, sign, floor, neutral } = CAUSE_RULES[cause]
  const value = run[feature]
  if (value === null) return null
  const known = good.flatMap((one) => one[feature] ?? []).sort((a, b) => a - b)
  const middle = known.length > 0 ? quantile(known, 0.5) : neutral
  if (middle === null) return null
  const spread = known.length > 2 ? (quantile(known, 0.84) - quantile(known, 0.16)) / 2 : 0
  const unsure = floor * (known.length > 0 ? 1 + FEW / known.length : 1)
  const usual = known.length > 0 ? { low: quantile(known, 0.1), middle, high: quantile(known, 0.9) } : null
  return { runId, value, usual, apart: (sign * (value - middle)) / Math.hypot(spread, unsure) }
}

function quantile(sorted: readonly number[], share: number): number {
  const at = share * (sorted.length - 1)
  const low = sorted[Math.floor(at)]!
  const high = sorted[Math.ceil(at)]!
  return low + (high - low) * (at - Math.floor(at))
}
