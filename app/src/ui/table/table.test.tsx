import { act, renderHook } from '@testing-library/react'
import fc from 'fast-check'
import { parse } from 'csv-parse/sync'
import { tableCsv } from './tableCsv'
import { useDataTable, type DataColumn } from './useDataTable'

type Row = { id: string; name: string; grams: number | null }
const ROWS: Row[] = [
  { id: 'a', name: 'soy', grams: 9 },
  { id: 'b', name: 'Duck', grams: 41 },
  { id: 'c', name: 'egg', grams: null },
  { id: 'd', name: 'duck sauce', grams: 14 },
]
const COLUMNS: DataColumn<Row>[] = [
  { id: 'name', title: 'Name', value: (row) => row.name, widthPx: 100 },
  { id: 'grams', title: 'Grams', value: (row) => row.grams, widthPx: 60, isNumber: true },
  { id: 'id', title: 'Id', value: (row) => row.id, widthPx: 60, isExtra: true },
]
const table = () => renderHook(() => useDataTable(ROWS, COLUMNS, (row) => row.id)).result
const ids = (result: ReturnType<typeof table>) => result.current.getRowModel().rows.map((row) => row.id)

test('rows stand in their own order, are sorted by figure, and what is not known stands last both ways', () => {
  const result = table()
  expect(ids(result)).toEqual(['a', 'b', 'c', 'd'])
  act(() => result.current.getColumn('grams')!.toggleSorting(false))
  expect(ids(result)).toEqual(['a', 'd', 'b', 'c'])
  act(() => result.current.getColumn('grams')!.toggleSorting(true))
  expect(ids(result)).toEqual(['b', 'd', 'a', 'c'])
})

test('what is typed finds rows whatever its case, and nothing finds all again', () => {
  const result = table()
  act(() => result.current.setGlobalFilter('DUCK'))
  expect(ids(result)).toEqual(['b', 'd'])
  act(() => result.current.setGlobalFilter('nothing like it'))
  expect(ids(result)).toEqual([])
  act(() => result.current.setGlobalFilter(''))
  expect(ids(result)).toHaveLength(4)
})

test('columns that are extra are hidden until they are chosen', () => {
  const result = table()
  expect(result.current.getColumn('id')!.getIsVisible()).toBe(false)
  act(() => result.current.getColumn('id')!.toggleVisibility())
  expect(result.current.getColumn('id')!.getIsVisible()).toBe(true)
})

test('law: what is copied reads back the same in another parser, and no cell runs as a formula', () => {
  const cell = fc.oneof(fc.string(), fc.integer(), fc.constant(null))
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 6 }), (rows) => {
      const read: string[][] = parse(tableCsv(['a', 'b'], rows), { relaxColumnCount: true, skipEmptyLines: false })
      expect(read[0]).toEqual(['a', 'b'])
      rows.forEach((row, i) =>
        row.forEach((value, j) => {
          const text = read[i + 1]![j]!
          const plain = value === null ? '' : String(value)
          expect(text === plain || text === `'${plain}`).toBe(true)
          if (typeof value === 'string') expect(text).not.toMatch(/^[=+\-@]/)
        }),
      )
    }),
  )
})
