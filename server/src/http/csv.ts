import { CsvError, parse } from 'csv-parse/sync'
import { z } from 'zod'
import { Problem } from './problems'

/** Cells of a CSV (RFC 4180) by row, blank lines left out. @throws {Problem} csv-encoding, csv-line */
export function readCsvCells(bytes: ArrayBuffer): string[][] {
  const text = decode(bytes)
  try {
    return z
      .array(z.array(z.string()))
      .parse(parse(text, { bom: true, skip_empty_lines: true, trim: true, relax_column_count: true }))
  } catch (error) {
    if (!(error instanceof CsvError)) throw error
    throw new Problem('csv-line', {
      detail: `${error.message}: check the quotes on that line`,
      values: { line: Number(error['lines'] ?? 0) },
    })
  }
}

/** Rows as records by the headings of the first line. @throws {Problem} csv-columns, naming every column that is missing */
export function readCsvRecords(bytes: ArrayBuffer, needed: readonly string[]): Record<string, string>[] {
  const [header = [], ...rows] = readCsvCells(bytes)
  const missing = needed.filter((name) => !header.includes(name))
  if (missing.length > 0) {
    const columns = missing.map((name) => `"${name}"`).join(', ')
    throw new Problem('csv-columns', {
      detail: `the first line must name the columns ${needed.join(', ')}: ${columns} is missing`,
      values: { columns },
    })
  }
  return rows.map((cells) => Object.fromEntries(header.map((name, i) => [name, cells[i] ?? ''])))
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
