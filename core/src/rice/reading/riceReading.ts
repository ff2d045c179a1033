/** What a batch's rice check came to: a reading that passed, a yes without a reading, or a no. */
export const RICE_READS = ['good', 'word', 'short'] as const
export type RiceRead = (typeof RICE_READS)[number]

/** Why the rice of a batch is read, or is not. */
export const READING_WHYS = [
  'always',
  'noLot',
  'accepted',
  'thin',
  'shortLately',
  'firstOfLot',
  'sample',
  'notThisOne',
] as const
export type ReadingWhy = (typeof READING_WHYS)[number]
/** Whether a batch stops for a reading of its rice. */
export type RiceReading = { isAsked: boolean; why: ReadingWhy }

/** How the house samples: one batch in so many is read, once so many readings were good. */
export type ReadingPlan = { readEvery: number; provenAfter: number }
/** One in eight, after twenty that were good: a house figure, to be tightened or kept. */
export const USUAL_READING_PLAN: ReadingPlan = { readEvery: 8, provenAfter: 20 }
/** So many readings after one that fell short are all taken. */
const AFTER_SHORT = 5

/** A past batch: the lots its rice came from, and what was read; null where nobody was asked or nobody answered. */
export type PastBatch = { lotIds: readonly string[]; read: RiceRead | null }
/** The rice of a batch to come: its lots, and whether one of them is used on the lead's word alone. */
export type BatchRice = { lotIds: readonly string[]; isAccepted: boolean }

/**
 * Whether a batch of rice that was kept cold, and is served at once, stops for a reading: the first of each lot does, then
 * one in `readEvery`. All of them do while fewer than `provenAfter` readings were good, after one that fell short, where the
 * lot is not known, and where it is used on the lead's word. Cooks read the grains of every batch, asked or not.
 * @param past batches of the last weeks, newest first
 */
export function riceReading(past: readonly PastBatch[], rice: BatchRice, plan: ReadingPlan): RiceReading {
  return readingFor(whyAsked(past, rice, plan))
}

/** What follows from a reason. */
export const readingFor = (why: ReadingWhy): RiceReading => ({ isAsked: why !== 'notThisOne', why })

function whyAsked(past: readonly PastBatch[], rice: BatchRice, { readEvery, provenAfter }: ReadingPlan): ReadingWhy {
  if (readEvery <= 1) return 'always'
  if (rice.lotIds.length === 0) return 'noLot'
  if (rice.isAccepted) return 'accepted'
  const reads = past.map(({ read }) => read)
  if (reads.filter((read) => read === 'good').length < provenAfter) return 'thin'
  if (
    reads
      .filter((read) => read !== null)
      .slice(0, AFTER_SHORT)
      .includes('short')
  )
    return 'shortLately'
  const known = new Set(past.filter(({ read }) => read === 'good').flatMap(({ lotIds }) => lotIds))
  if (rice.lotIds.some((id) => !known.has(id))) return 'firstOfLot'
  const since = reads.findIndex((read) => read === 'good')
  return since + 1 >= readEvery ? 'sample' : 'notThisOne'
}

/** What the answers to a batch's rice check come to: a no stays one, whatever was read after it. */
export function riceReadOf(answers: readonly { ok: boolean; tempC: number | null }[]): RiceRead | null {
  if (answers.length === 0) return null
  if (answers.some(({ ok }) => !ok)) return 'short'
  return answers.some(({ tempC }) => tempC !== null) ? 'good' : 'word'
}
