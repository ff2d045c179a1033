/** What is known of a station's metal: what it last cooked, until when, and when somebody said that it was washed. */
export type StationPast = { lastDishId: string | null; usedUntilMs: number | null; washedAtMs: number | null }

/** Whether a station was washed since it was last used. What nobody said is not so. */
export function isWashed({ usedUntilMs, washedAtMs }: StationPast): boolean {
  return washedAtMs !== null && (usedUntilMs === null || washedAtMs >= usedUntilMs)
}
