import { useVirtualizer } from '@tanstack/react-virtual'
import ArrowDown from 'lucide-react-native/icons/arrow-down'
import ArrowUp from 'lucide-react-native/icons/arrow-up'
import { useEffect, useRef, useState, type ReactNode } from 'react'
import { Pressable, ScrollView, View } from 'react-native'
import { useWords } from '../../words/i18n'
import { Button } from '../Button'
import { Choice } from '../Choice'
import { Field } from '../Field'
import { Icon } from '../icons'
import { Sheet } from '../Sheet'
import { Text } from '../Text'
import { toast } from '../Toast'
import { tableCsv, type CellValue } from './tableCsv'
import { useDataTable, type DataColumn } from './useDataTable'

type DataTableProps<Row> = {
  label: string
  rows: readonly Row[]
  columns: readonly DataColumn<Row>[]
  rowId: (row: Row) => string
  rowPx: number
  chosenId?: string | null
  onChoose?: (row: Row) => void
  /** Stands before the search field: other filters. */
  filters?: ReactNode
  empty: string
}

const KEYS: Record<string, number> = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10 }

/** A table for a wide screen: sorted by its headings, found by typing, its columns chosen, copied as CSV, walked by keyboard. */
export function DataTable<Row extends object>(props: DataTableProps<Row>) {
  const { label, rows, columns, rowId, rowPx, chosenId = null, onChoose, filters, empty } = props
  const table = useDataTable(rows, columns, rowId)
  const scroll = useRef<ScrollView>(null)
  const shown = table.getRowModel().rows
  const visible = columns.filter((column) => table.getColumn(column.id)?.getIsVisible() ?? true)
  // oxlint-disable-next-line react-hooks/incompatible-library -- the row window changes by scrolling, outside of React
  const virtual = useVirtualizer({
    count: shown.length,
    getScrollElement: () => (scroll.current?.getScrollableNode() as HTMLElement | undefined) ?? null,
    estimateSize: () => rowPx,
    overscan: 8,
  })
  const at = shown.findIndex((row) => row.id === chosenId)
  useEffect(() => {
    if (at >= 0) virtual.scrollToIndex(at)
  }, [at, virtual])
  const onKeyDown = (event: { key: string; target: EventTarget; preventDefault: () => void }) => {
    const by = KEYS[event.key]
    if (by === undefined || !onChoose || (event.target as HTMLElement).tagName === 'INPUT') return
    event.preventDefault()
    const next = shown[Math.min(shown.length - 1, Math.max(0, at + by))]
    if (next) onChoose(next.original)
  }
  return (
    <View className="min-h-0 flex-1">
      {filters !== undefined && <View className="flex-row flex-wrap items-center gap-2 pb-2">{filters}</View>}
      <TableTools table={table} columns={columns} visible={visible} />
      <View
        role="grid"
        aria-label={label}
        aria-rowcount={shown.length + 1}
        className="min-h-0 flex-1"
        {...{ onKeyDown }}
      >
        <Headings table={table} visible={visible} />
        {shown.length === 0 && (
          <Text tone="ash" className="p-4">
            {empty}
          </Text>
        )}
        <ScrollView ref={scroll} role="rowgroup" tabIndex={0} className="min-h-0 flex-1">
          <View style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map((item) => {
              const row = shown[item.index]
              if (!row) return null
              return (
                <TableRow
                  key={row.id}
                  row={row.original}
                  columns={visible}
                  index={item.index}
                  topPx={item.start}
                  heightPx={rowPx}
                  isChosen={row.id === chosenId}
                  onChoose={onChoose}
                />
              )
            })}
          </View>
        </ScrollView>
      </View>
    </View>
  )
}

type ToolsProps<Row extends object> = {
  table: ReturnType<typeof useDataTable<Row>>
  columns: readonly DataColumn<Row>[]
  visible: readonly DataColumn<Row>[]
}

/** Finding by typing, choosing columns, and copying what is shown as CSV. */
function TableTools<Row extends object>({ table, columns, visible }: ToolsProps<Row>) {
  const t = useWords('ui')
  const [isChoosing, setIsChoosing] = useState(false)
  const [typed, setTyped] = useState('')
  const copy = () => {
    const shown = table.getRowModel().rows
    const titles = visible.map((column) => column.title)
    const values = shown.map((row) => visible.map((column): CellValue => column.value(row.original)))
    void navigator.clipboard.writeText(tableCsv(titles, values)).then(
      () => toast(t('table.copied', { count: shown.length })),
      () => toast(t('table.notCopied')),
    )
  }
  return (
    <View className="flex-row items-center gap-2 pb-1">
      <Field
        isBare
        hint={t('table.find')}
        label={t('table.find')}
        value={typed}
        className="min-w-[160px] flex-1"
        onChange={(text) => {
          setTyped(text)
          table.setGlobalFilter(text)
        }}
      />
      <Button size="body" label={t('table.columns')} className="px-1" onPress={() => setIsChoosing(true)} />
      <Button size="body" label={t('table.copy')} className="px-1" onPress={copy} />
      <Sheet title={t('table.columns')} isOpen={isChoosing} onClose={() => setIsChoosing(false)}>
        <View role="group" aria-label={t('table.columns')} className="-mx-2 flex-row flex-wrap">
          {columns.map((column) => (
            <Choice
              key={column.id}
              role="checkbox"
              label={column.title}
              isChosen={table.getColumn(column.id)?.getIsVisible() ?? true}
              onChoose={() => table.getColumn(column.id)?.toggleVisibility()}
            />
          ))}
        </View>
      </Sheet>
    </View>
  )
}

/** The headings of the columns that are shown; each sorts by its column. */
function Headings<Row extends object>({ table, visible }: Omit<ToolsProps<Row>, 'columns'>) {
  const t = useWords('ui')
  return (
    <View role="row" className="flex-row border-b-2 border-line">
      {visible.map((column) => {
        const sorted = table.getColumn(column.id)?.getIsSorted() ?? false
        return (
          <View
            key={column.id}
            role="columnheader"
            {...{ 'aria-sort': sorted === false ? 'none' : sorted === 'asc' ? 'ascending' : 'descending' }}
            style={widthOf(column)}
          >
            <Pressable
              role="button"
              aria-label={t('table.sortBy', { column: column.title })}
              onPress={() => table.getColumn(column.id)?.toggleSorting()}
              className={`ring-focus min-h-11 flex-row items-center gap-1 px-1.5 ${column.isNumber ? 'justify-end' : ''}`}
            >
              <Text size="small" weight="bold" tone="ash" stretch="narrow" numberOfLines={1}>
                {column.title}
              </Text>
              {sorted !== false && <Icon as={sorted === 'asc' ? ArrowUp : ArrowDown} sizePx={14} />}
            </Pressable>
          </View>
        )
      })}
    </View>
  )
}

const widthOf = ({ widthPx, isGrowing }: { widthPx: number; isGrowing?: boolean }) =>
  isGrowing ? { minWidth: widthPx, flexGrow: 1, flexShrink: 1, flexBasis: widthPx } : { width: widthPx }

function TableRow<Row>(props: {
  row: Row
  columns: readonly DataColumn<Row>[]
  index: number
  topPx: number
  heightPx: number
  isChosen: boolean
  onChoose: ((row: Row) => void) | undefined
}) {
  const { row, columns, index, topPx, heightPx, isChosen, onChoose } = props
  return (
    <Pressable
      role="row"
      aria-rowindex={index + 2}
      aria-selected={isChosen}
      tabIndex={onChoose ? 0 : -1}
      disabled={!onChoose}
      onPress={() => onChoose?.(row)}
      style={{ position: 'absolute', top: topPx, left: 0, right: 0, height: heightPx }}
      className={`ring-focus flex-row items-center border-b border-edge ${isChosen ? 'bg-plate' : 'active:bg-plate'}`}
    >
      {columns.map((column) => (
        <View
          key={column.id}
          {...({ role: 'gridcell' } as object)}
          style={widthOf(column)}
          className={`justify-center px-1.5 ${column.isNumber ? 'items-end' : ''}`}
        >
          {column.cell ? (
            column.cell(row)
          ) : (
            <Text stretch="slim" numberOfLines={1}>
              {String(column.value(row) ?? '–')}
            </Text>
          )}
        </View>
      ))}
    </Pressable>
  )
}
