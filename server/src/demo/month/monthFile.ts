import { z } from 'zod'
import { SERVER_FOLDER } from '../../serverFolder'

/** A month of evenings of the sample kitchen, marked as samples by their kitchen: a line of JSON a row, packed with gzip. */
export const MONTH_FILE = new URL('data/sampleMonth.jsonl.gz', SERVER_FOLDER)
export const MIGRATIONS = new URL('src/db/migrations/', SERVER_FOLDER)

/** So many evenings are in it. */
export const MONTH_EVENINGS = 28
/** What lies between it and today is cooked when the sample kitchen is made [days]. */
export const DAYS_AFTER = 2
/** The midnight (UTC) after its last evening, as it was made. */
export const MADE_UNTIL_MS = Date.UTC(2026, 9, 29)
/** Tables whose rows it has. */
export const MONTH_TABLES = [
  'ticket',
  'ticket_item',
  'ticket_event',
  'rice_lot',
  'rice_event',
  'run',
  'run_part',
  'run_event',
  'run_lot',
  'run_lesson',
  'station_event',
  'complaint',
] as const

/** The first line: the newest migration it was made with. Every other line: a table's name and a row of it. */
export const MonthHead = z.strictObject({ schema: z.string() })
export const MonthLine = z.tuple([z.enum(MONTH_TABLES), z.record(z.string(), z.unknown())])
