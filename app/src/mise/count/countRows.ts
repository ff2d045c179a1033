import type { StockRow } from 'contract/mise/stock'
import { countGap } from 'core/mise/stock/expected'

export const SHOWS = ['all', 'open', 'low'] as const
export type Show = (typeof SHOWS)[number]

/** One stock-take lasts so long: what was counted in it is done. */
const COUNT_MS = 2 * 3_600_000

export const isCounted = (row: Pick<StockRow, 'lastCount'>, nowMs: number): boolean =>
  row.lastCount !== null && nowMs - row.lastCount.atMs < COUNT_MS

export function shownRows(rows: readonly StockRow[], show: Show, nowMs: number): readonly StockRow[] {
  if (show === 'all') return rows
  if (show === 'open') return rows.filter((row) => !isCounted(row, nowMs))
  return rows.filter(
    ({ lastCount, otherCount }) =>
      otherCount !== null ||
      (lastCount !== null && lastCount.expectedG !== null && countGap(lastCount.expectedG, lastCount.massG).isLarge),
  )
}

export type PlaceRows = { id: string; name: string | null; rows: StockRow[] }

/** Rows by place, places in walking order; what has no place last. */
export function byPlace(rows: readonly StockRow[], places: readonly { id: string; name: string }[]): PlaceRows[] {
  const groups: PlaceRows[] = [
    ...places.map(({ id, name }) => ({ id, name, rows: [] })),
    { id: '', name: null, rows: [] },
  ]
  const byId = new Map(groups.map((group) => [group.id, group]))
  for (const row of rows) (byId.get(row.placeId ?? '') ?? groups.at(-1)!).rows.push(row)
  return groups.filter((group) => group.rows.length > 0)
}
