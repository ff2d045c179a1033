import { type LotRow } from 'contract/rice'
import type { DataColumn } from '../../ui/table/useDataTable'
import { Text } from '../../ui/Text'
import { formatDay, formatTime } from '../../words/format'
import type { useWords } from '../../words/i18n'

type RiceWords = ReturnType<typeof useWords<'rice'>>

/** How a lot ended, with its reason where it was refused or thrown away. */
export const endOf = (row: LotRow, t: RiceWords) =>
  row.reason ? `${t(`stages.${row.stage}`)}: ${t(`lot.reasons.${row.reason}`)}` : t(`stages.${row.stage}`)

/** The columns of past lots. */
export const pastColumns = (t: RiceWords, zone: string): DataColumn<LotRow>[] => [
  {
    id: 'name',
    title: t('past.columns.name'),
    value: (row) => row.name,
    cell: (row) => (
      <Text weight="bold" stretch="narrow">
        {row.name}
      </Text>
    ),
    widthPx: 76,
  },
  { id: 'end', title: t('past.columns.end'), value: (row) => endOf(row, t), widthPx: 180, isGrowing: true },
  {
    id: 'ended',
    title: t('past.columns.ended'),
    value: (row) => row.endedAtMs,
    cell: (row) => (
      <Text stretch="narrow">
        {row.endedAtMs === null ? '–' : `${formatDay(row.endedAtMs, zone)} ${formatTime(row.endedAtMs, zone)}`}
      </Text>
    ),
    widthPx: 130,
  },
  {
    id: 'cooked',
    title: t('past.columns.cooked'),
    value: (row) => row.cookedAtMs ?? row.bornAtMs,
    cell: (row) => <Text stretch="narrow">{formatDay(row.cookedAtMs ?? row.bornAtMs, zone)}</Text>,
    widthPx: 110,
  },
  { id: 'grain', title: t('past.columns.grain'), value: (row) => row.grain, widthPx: 90 },
  {
    id: 'origin',
    title: t('past.columns.origin'),
    value: (row) => (row.origin === 'cooked' ? t('past.cookedHere') : t(`lot.${row.origin}`)),
    widthPx: 130,
    isExtra: true,
  },
]
