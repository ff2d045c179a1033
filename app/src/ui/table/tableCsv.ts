/** A figure or words of a cell, as it is sorted, filtered and copied; null where there is none. */
export type CellValue = string | number | null

/** Rows as CSV (RFC 4180); text that a spreadsheet would run as a formula is led by an apostrophe. */
export function tableCsv(titles: readonly string[], rows: readonly (readonly CellValue[])[]): string {
  return [titles, ...rows].map((row) => row.map(field).join(',')).join('\r\n')
}

function field(value: CellValue): string {
  if (value === null) return ''
  if (typeof value === 'number') return String(value)
  const safe = /^[=+\-@\t\r]/.test(value) ? `'${value}` : value
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe
}
