import { DemandRow } from 'contract/riceHouse'
import { z } from 'zod'
import { csvLineProblem, readCsvTable } from '../../http/csv'
import { SLOT_MIN } from './demandRecord'

const COLUMNS = ['day', 'time', 'dish', 'portions'] as const
const MAX_LINES = 50_000

/**
 * Past portions from CSV (RFC 4180): day (2026-11-20), time (18:40, the kitchen's), dish (its id), portions. Several lines
 * of one slot and dish add up.
 * @throws {Problem} csv-encoding, csv-columns, csv-too-long or csv-line, each saying what to change
 */
export async function readDemandCsv(bytes: ArrayBuffer, dishIds: readonly string[]): Promise<DemandRow[]> {
  const known = new Set(dishIds)
  const Line = z.object({
    day: DemandRow.shape.day,
    time: z.string().regex(/^([01]?\d|2[0-3]):[0-5]\d$/, 'give the time as 18:40'),
    dish: z.string().refine((id) => known.has(id), `not a dish of the book: use one of ${dishIds.join(', ')}`),
    portions: z.coerce.number('give portions as a number').pipe(DemandRow.shape.portions),
  })
  const sums = new Map<string, DemandRow>()
  // Added up line by line, as they are read: all of them at the end would hold everybody else.
  await readCsvTable(bytes, COLUMNS, MAX_LINES, (record, lineNo) => {
    const line = Line.safeParse(record)
    if (!line.success) throw csvLineProblem(lineNo, line.error)
    const { day, time, dish, portions } = line.data
    const [hour = 0, minute = 0] = time.split(':').map(Number)
    const slot = Math.floor((hour * 60 + minute) / SLOT_MIN) * SLOT_MIN
    const key = `${day} ${slot} ${dish}`
    const sum = sums.get(key)
    if (sum) sum.portions += portions
    else sums.set(key, { day, minute: slot, dishId: dish, portions })
  })
  return [...sums.values()]
}
