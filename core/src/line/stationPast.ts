/** How metal is cleaned between batches short of a wash: for the next dish, not for an allergy. */
export const CLEANINGS = ['wiped', 'brushed'] as const
export type Cleaning = (typeof CLEANINGS)[number]

/** What is said of a station's metal. */
export const STATION_WORDS = ['washed', ...CLEANINGS] as const
export type StationWord = (typeof STATION_WORDS)[number]

/** What is known of a station's metal: what it last cooked, until when, and when somebody said that it was washed or cleaned. */
export type StationPast = {
  lastDishId: string | null
  usedUntilMs: number | null
  washedAtMs: number | null
  wipedAtMs: number | null
  brushedAtMs: number | null
}

/** A station of which nobody has said anything: never used, never cleaned. */
export const UNTOUCHED: StationPast = {
  lastDishId: null,
  usedUntilMs: null,
  washedAtMs: null,
  wipedAtMs: null,
  brushedAtMs: null,
}

type SinceUse = Pick<StationPast, 'usedUntilMs'>
const isSinceUse = ({ usedUntilMs }: SinceUse, atMs: number | null): boolean =>
  atMs !== null && (usedUntilMs === null || atMs >= usedUntilMs)

/** Whether a station was washed since it was last used. What nobody said is not so. */
export const isWashed = (past: Pick<StationPast, 'usedUntilMs' | 'washedAtMs'>): boolean =>
  isSinceUse(past, past.washedAtMs)

/** How a station was cleaned since it was last used, the more thorough one; null where nobody said so. */
export function cleanedSinceUse(past: Omit<StationPast, 'lastDishId' | 'washedAtMs'>): Cleaning | null {
  if (isSinceUse(past, past.brushedAtMs)) return 'brushed'
  return isSinceUse(past, past.wipedAtMs) ? 'wiped' : null
}
