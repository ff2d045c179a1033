import type { BuyLine } from 'contract/mise/plan'
import type { StockRow } from 'contract/mise/stock'
import { stockG } from 'core/mise/stock/foldStock'
import { stringify } from 'csv-stringify/sync'
import { csvText as text } from '../../http/csv'

const iso = (ms: number | null) => (ms === null ? '' : new Date(ms).toISOString())
const grams = (massG: number) => Math.round(massG * 10) / 10

const gramsOr = (massG: number | null) => (massG === null ? '' : grams(massG))
const gapOf = ({ lastCount }: StockRow) =>
  lastCount === null || lastCount.expectedG === null ? null : lastCount.massG - lastCount.expectedG

/** The stock-take as CSV (RFC 4180): in walking order, what should be there against what was found last, use-by of the oldest. */
export const countCsv = (rows: readonly StockRow[], placeName: (id: string | null) => string): string =>
  stringify(
    rows.map((row) => [
      text(placeName(row.placeId)),
      row.itemId,
      text(row.name),
      row.form,
      grams(stockG(row)),
      row.lastCount === null ? '' : grams(row.lastCount.massG),
      gramsOr(row.lastCount?.expectedG ?? null),
      gramsOr(gapOf(row)),
      iso(row.lastCount?.atMs ?? null),
      grams(row.wastedG),
      iso(row.lots[0]?.useByMs ?? null),
      row.lots.map((lot) => lot.name).join(' '),
    ]),
    {
      header: true,
      record_delimiter: 'windows',
      columns: [
        'place',
        'item',
        'name',
        'form',
        'thereG',
        'foundG',
        'expectedG',
        'gapG',
        'countedAt',
        'wastedG',
        'firstUseBy',
        'lots',
      ],
    },
  )

/** What to buy as CSV (RFC 4180): in the supplier's packs where one is known, cost in the smallest unit of the currency. */
export const buyCsv = (lines: readonly BuyLine[], currency: string): string =>
  stringify(
    lines.map((line) => [
      line.ingredientId,
      text(line.name),
      grams(line.neededG),
      line.packs ?? '',
      text(line.packName ?? ''),
      line.packG ?? '',
      grams(line.buyG),
      line.costMinor === null ? '' : Math.round(line.costMinor),
      currency,
    ]),
    {
      header: true,
      record_delimiter: 'windows',
      columns: ['ingredient', 'name', 'neededG', 'packs', 'pack', 'packG', 'buyG', 'costMinor', 'currency'],
    },
  )
