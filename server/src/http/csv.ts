import { CsvError, parse } from 'csv-parse'
import { Readable } from 'node:stream'
import { z } from 'zod'
import { Problem } from './problems'
import { mapInTurns, slicesInTurns } from './turns'

const SLICE_CHARS = 4096
/** Far more than a line of any table of ours holds. */
const MAX_LINE_BYTES = 20_000
const MAX_COLUMNS = 200
const Cells = z.array(z.string()).max(MAX_COLUMNS)

/**
 * Cells of a CSV (RFC 4180) by row, blank lines left out. It is read in slices, and others are answered between them.
 * @param maxLines lines that are taken, beside the heading
 * @throws {Problem} csv-encoding, csv-line, csv-too-long
 */
export async function readCsvCells(bytes: ArrayBuffer, maxLines: number): Promise<string[][]> {
  const text = decode(bytes)
  const parser = parse({
    bom: true,
    skip_empty_lines: true,
    trim: true,
    relax_column_count: true,
    max_record_size: MAX_LINE_BYTES,
  })
  const rows: string[][] = []
  let lines = -1
  try {
    for await (const row of Readable.from(slicesInTurns(text, SLICE_CHARS)).pipe(parser)) {
      lines += 1
      const cells = Cells.safeParse(row)
      if (!cells.success) throw tooWide(lines + 1)
      if (lines <= maxLines) rows.push(cells.data)
    }
  } catch (error) {
    if (!(error instanceof CsvError)) throw error
    throw new Problem('csv-line', {
      detail: `${error.message}: check the quotes on that line`,
      values: { line: Number(error['lines'] ?? 0) },
    })
  }
  if (lines <= maxLines) return rows
  throw new Problem('csv-too-long', {
    detail: `at most ${maxLines} lines a file, this has ${lines}: send it in parts`,
    values: { lines, most: maxLines },
  })
}

const tooWide = (line: number) =>
  new Problem('csv-line', {
    detail: `line ${line} has more than ${MAX_COLUMNS} columns: check how the columns are separated`,
    values: { line },
  })

/**
 * Rows of a table by the headings of its first line, each read by `read`, which also knows the number of its line.
 * @throws {Problem} csv-columns, naming every column that is missing; what `readCsvCells` and `read` throw
 */
export async function readCsvTable<Row>(
  bytes: ArrayBuffer,
  needed: readonly string[],
  maxLines: number,
  read: (record: Record<string, string>, lineNo: number) => Row,
): Promise<Row[]> {
  const [header = [], ...rows] = await readCsvCells(bytes, maxLines)
  const missing = needed.filter((name) => !header.includes(name))
  if (missing.length > 0) {
    const columns = missing.map((name) => `"${name}"`).join(', ')
    throw new Problem('csv-columns', {
      detail: `the first line must name the columns ${needed.join(', ')}: ${columns} is missing`,
      values: { columns },
    })
  }
  return mapInTurns(rows, (cells, i) =>
    read(Object.fromEntries(header.map((name, column) => [name, cells[column] ?? ''])), i + 2),
  )
}

/** The fault of one line, with every field of it. */
export function csvLineProblem(lineNo: number, error: z.ZodError): Problem {
  const faults = error.issues.map((issue) => ({
    field: `line ${lineNo}, ${issue.path.map(String).join('.')}`,
    message: issue.message,
  }))
  return new Problem('csv-line', {
    detail: `${faults[0]?.field}: ${faults[0]?.message}`,
    faults,
    values: { line: lineNo },
  })
}

/** A spreadsheet must not take a name for a formula: a leading = + - @ is put behind an apostrophe. */
export const csvText = (value: string) => (/^[=+\-@\t]/.test(value) ? `'${value}` : value)
/** The name as it was before `csvText`. */
export const fromCsvText = (value: string) => (/^'[=+\-@\t]/.test(value) ? value.slice(1) : value)

function decode(bytes: ArrayBuffer): string {
  const wrong = new Problem('csv-encoding', { detail: 'the file is not UTF-8: save it again as "CSV UTF-8"' })
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    if (text.includes('\0')) throw wrong
    return text
  } catch {
    throw wrong
  }
}
