import fc from 'fast-check'
import { stringify } from 'csv-stringify/sync'
import { readCsvCells, readCsvTable } from './csv'
import type { Problem } from './problems'

const bytesOf = (text: string) => new TextEncoder().encode(text).buffer
const codeOf = (reading: Promise<unknown>) =>
  reading.then(
    () => 'read',
    (error: Problem) => error.code,
  )

test('what another library writes is read as it was, however it falls into slices', async () => {
  const cell = fc.stringMatching(/^[a-z",;\n é€]{0,40}$/).map((text) => text.trim())
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.constant('x'), cell, cell), { minLength: 1, maxLength: 900 }),
      async (rows) => {
        expect(await readCsvCells(bytesOf(stringify(rows)), 1000)).toEqual(rows)
      },
    ),
    { numRuns: 40 },
  )
})

test('while a file of 1 MiB is read, others have many turns', async () => {
  let turns = 0
  let isReading = true
  const count = () => {
    turns += 1
    if (isReading) setImmediate(count)
  }
  setImmediate(count)
  const line = 'soy,2026-01-02,bottle,1800,8.90\n'
  const file = `name,day,pack,packG,price\n${line.repeat(Math.floor(1_048_000 / line.length))}`
  const rows = await readCsvTable(bytesOf(file), ['name', 'price'], 50_000, ({ name, price }) => [name, price])
  isReading = false
  expect(rows).toHaveLength(32_750)
  expect(rows.at(-1)).toEqual(['soy', '8.90'])
  expect(turns).toBeGreaterThanOrEqual(64)
})

test.each([
  ['more lines than are taken', `a\n${'1\n'.repeat(11)}`, 'csv-too-long'],
  ['a quote that is never closed, over a whole MiB', `a\n"${'x'.repeat(1_000_000)}`, 'csv-line'],
  ['one line of a million commas', `a\n${','.repeat(1_000_000)}`, 'csv-line'],
  ['a NUL', 'a\n\0\n', 'csv-encoding'],
])('%s is refused with what to do', async (_, text, code) => {
  expect(await codeOf(readCsvCells(bytesOf(text), 10))).toBe(code)
})

test('a fault names its line, the heading being the first', async () => {
  const refused = readCsvTable(bytesOf('a\n1\n2\n'), ['a'], 10, ({ a }, lineNo) => {
    if (a === '2') throw new Error(`line ${lineNo}`)
  })
  await expect(refused).rejects.toThrow('line 3')
})
