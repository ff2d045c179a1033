import {
  columnFilteringFeature,
  columnVisibilityFeature,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table'
import { useMemo, type ReactNode } from 'react'
import type { CellValue } from './tableCsv'

/** A column: what a cell is worth for sorting, finding and copying, and how it is drawn where that is not its text. */
export type DataColumn<Row> = {
  id: string
  title: string
  value: (row: Row) => CellValue
  cell?: (row: Row) => ReactNode
  widthPx: number
  /** Takes what width is left. */
  isGrowing?: boolean
  isNumber?: boolean
  /** Not shown until it is chosen. */
  isExtra?: boolean
}

const features = tableFeatures({
  columnFilteringFeature,
  columnVisibilityFeature,
  globalFilteringFeature,
  rowSortingFeature,
  filteredRowModel: createFilteredRowModel(),
  sortedRowModel: createSortedRowModel(),
  filterFns: { includesString: filterFn_includesString },
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
})

/** Rows that are sorted, found and shown by chosen columns. */
export function useDataTable<Row extends object>(
  rows: readonly Row[],
  columns: readonly DataColumn<Row>[],
  rowId: (row: Row) => string,
) {
  const defs = useMemo(
    () =>
      columns.map((column) => ({
        id: column.id,
        header: column.title,
        accessorFn: (row: Row) => column.value(row) ?? undefined,
        sortFn: column.isNumber ? ('basic' as const) : ('alphanumeric' as const),
        sortUndefined: 'last' as const,
      })),
    [columns],
  )
  const data = useMemo(() => [...rows], [rows])
  return useTable({
    features,
    columns: defs,
    data,
    getRowId: rowId,
    globalFilterFn: 'includesString',
    initialState: {
      columnVisibility: Object.fromEntries(columns.map(({ id, isExtra = false }) => [id, !isExtra])),
    },
  })
}
