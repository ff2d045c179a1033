import { DemandRow } from 'contract/riceHouse'
import { parse } from 'csv-parse/sync'
import { z } from 'zod'
import { Problem } from '../../http/problems'
import { SLOT_MIN } from './demandRecord'

const COLUMNS = ['day', 'time', 'dish', 'portions'] as const
const MAX_LINES = 50_000
const Line = z.object({
  day: DemandRow.shape.day,
  time: z.string().regex(/^([01]?\d|2[0-3]):[0-5]\d$/, 'give the time as 18:40'),
  dish: z.string().min(1, 'name the dish'),
  portions: z.coerce.number('give portions as a number').pipe(DemandRow.shape.portions),
})

/**
 * Past portions from CSV (RFC 4180): day (2026-11-20), time (18:40, the kitchen's), dish (its id), portions. Several lines
 * of one slot and dish add up.
 * @throws {Problem} csv-columns, csv-too-long or csv-line, each saying what to change
 */
export function readDemandCsv(text: string, dishIds: readonly string[]): DemandRow[] {
  const rows: Record<string, string>[] = parseRows(text)
  if (rows.length > MAX_LINES) {
    throw new Problem('csv-too-long', {
      detail: `the file has ${rows.length} lines, ${MAX_LINES} are taken at once: send it in parts`,
      values: { lines: rows.length, most: MAX_LINES },
    })
  }
  const sums = new Map<string, DemandRow>()
  for (const [index, row] of rows.entries()) {
    const line = Line.safeParse(row)
    const fault = line.success
      ? dishIds.includes(line.data.dish)
        ? null
        : `no dish "${line.data.dish}" in the book: use one of ${dishIds.join(', ')}`
      : `${line.error.issues[0]?.path.join('.')}: ${line.error.issues[0]?.message}`
    if (fault !== null || !line.success) {
      throw new Problem('csv-line', {
        detail: `line ${index + 2}: ${fault}; nothing was taken`,
        values: { line: index + 2, fault: fault ?? '' },
      })
    }
    const { day, time, dish, portions } = line.data
    const [hour = 0, minute = 0] = time.split(':').map(Number)
    const slot = Math.floor((hour * 60 + minute) / SLOT_MIN) * SLOT_MIN
    const key = `${day} ${slot} ${dish}`
    const sum = sums.get(key) ?? { day, minute: slot, dishId: dish, portions: 0 }
    sum.portions += portions
    sums.set(key, sum)
  }
  return [...sums.values()]
}

function parseRows(text: string): Record<string, string>[] {
  try {
    const rows: Record<string, string>[] = parse(text, { columns: true, bom: true, trim: true, skip_empty_lines: true })
    const missing = COLUMNS.filter((column) => rows[0] && !(column in rows[0]))
    if (rows.length > 0 && missing.length === 0) return rows
    throw new Problem('csv-columns', {
      detail: `the first line must name the columns ${COLUMNS.join(', ')}, and lines must follow`,
      values: { columns: (missing.length > 0 ? missing : COLUMNS).join(', ') },
    })
  } catch (error) {
    if (error instanceof Problem) throw error
    const detail = error instanceof Error ? error.message : 'it cannot be read'
    throw new Problem('csv-line', { detail: `the file is not CSV: ${detail}`, values: { line: 1, fault: detail } })
  }
}
