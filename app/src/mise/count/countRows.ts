import type { StockRow } from 'contract/mise/stock'
import { countGap } from 'core/mise/stock/expected'

export const SHOWS = ['all', 'open', 'low'] as const
export type Show = (typeof SHOWS)[number]

/** One stock-take lasts so long: what was counted in it is done. */
const COUNT_MS = 2 * 3_600_000

export const isCounted = (row: Pick<StockRow, 'lastCount'>, nowMs: number): boolean =>
  row.lastCount !== null && nowMs - row.lastCount.atMs < COUNT_MS

/** Rows to walk past: all, those not counted yet, or those that differ; of these, whose name holds what is looked for. */
export function shownRows(rows: readonly StockRow[], show: Show, wanted: string, nowMs: number): readonly StockRow[] {
  const words = wanted.trim().toLowerCase()
  return rows.filter((row) => isShown(row, show, nowMs) && `${row.name} ${row.form}`.toLowerCase().includes(words))
}

function isShown(row: StockRow, show: Show, nowMs: number): boolean {
  const { lastCount, otherCount } = row
  if (show === 'all') return true
  if (show === 'open') return !isCounted(row, nowMs)
  if (otherCount !== null) return true
  return lastCount !== null && lastCount.expectedG !== null && countGap(lastCount.expectedG, lastCount.massG).isLarge
}

type PlaceRows = { id: string; name: string | null; data: StockRow[] }

/** Rows by place, places in walking order; what has no place last. */
export function byPlace(rows: readonly StockRow[], places: readonly { id: string; name: string }[]): PlaceRows[] {
  const groups: PlaceRows[] = [
    ...places.map(({ id, name }) => ({ id, name, data: [] })),
    { id: '', name: null, data: [] },
  ]
  const byId = new Map(groups.map((group) => [group.id, group]))
  for (const row of rows) (byId.get(row.placeId ?? '') ?? groups.at(-1)!).data.push(row)
  return groups.filter((group) => group.data.length > 0)
}
