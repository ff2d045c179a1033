import { readFileSync, writeFileSync } from 'node:fs'
import { cpus } from 'node:os'

/** A figure beside its aim. */
export type Row = { name: string; figure: string; aim: string }
const measured: Row[] = []

/** A figure beside its aim: printed now, and kept for `writeFigures`. */
export function report(name: string, figure: string, aim: string): void {
  measured.push({ name, figure, aim })
  console.log(`${name.padEnd(56)} ${figure.padEnd(28)} aim ${aim}`)
}

/** What was measured in this process. */
export const measuredRows = (): readonly Row[] => measured
/** Keeps what another process measured and has printed. */
export const take = (rows: readonly Row[]): void => void measured.push(...rows)

const HEAD = '| what | figure | aim | measured |\n| --- | --- | --- | --- |\n'
const cells = (line: string) => line.split('|').map((cell) => cell.trim())

/** Puts what was measured in this run into the page's table, row by row; what was not measured stays as it was. */
export function writeFigures(path: string, today: string): void {
  const page = readFileSync(path, 'utf8')
  const from = page.indexOf(HEAD)
  if (from < 0) throw new Error(`${path} has no table of figures: it begins with "${HEAD.split('\n')[0]}"`)
  const body = page.slice(from + HEAD.length)
  const table = /^(\|.*\n)*/.exec(body)?.[0] ?? ''
  const rows = new Map(
    table.split('\n').flatMap((line) => (line === '' ? [] : [[cells(line)[1] ?? '', line] as const])),
  )
  const when = `${today}, ${cpus().length} cores, Node ${process.versions.node}`
  for (const { name, figure, aim } of measured) rows.set(name, `| ${name} | ${figure} | ${aim} | ${when} |`)
  writeFileSync(path, `${page.slice(0, from)}${HEAD}${[...rows.values()].join('\n')}\n${body.slice(table.length)}`)
}
