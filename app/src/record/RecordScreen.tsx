import type { RunRow } from 'contract/run'
import { localDay } from 'core/time/localTime'
import { useRouter } from 'expo-router'
import { Pressable, View } from 'react-native'
import { useKitchen } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Frame } from '../ui/Frame'
import { Diamond, SlashDisc } from '../ui/icons'
import { Empty, Loading, Problem } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useIsWide } from '../ui/useIsWide'
import { VirtualList } from '../ui/VirtualList'
import { formatClock, formatDay, formatLate, formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { download } from '../device/download'
import { LookBack } from './evening/LookBack'
import { useRecord } from './useRecord'
import { WideRecord } from './WideRecord'

const LATE_SHOWN_S = 30

/** Past runs: a list on a phone, a table with the chosen run beside it on a wide screen. */
export function RecordScreen() {
  return useIsWide() ? <WideRecord /> : <PhoneRecord />
}

function PhoneRecord() {
  const t = useWords('record')
  const record = useRecord()
  const zone = useKitchen().data?.timeZone ?? 'UTC'
  const rows = record.data?.pages.flatMap((page) => page.runs) ?? []
  const csv = (
    <Button
      kind="main"
      isTall
      label={t('download')}
      detail={t('downloadDetail')}
      onPress={() => download('/api/record/runs.csv', 'okazu-runs.csv')}
    />
  )
  return (
    <Frame stage="record" bar={csv}>
      <View className="flex-row items-center justify-between border-b border-edge bg-plate px-4 py-3">
        <PageHeading size="title" weight="bold" stretch="wide">
          {t('title')}
        </PageHeading>
      </View>
      {record.isPending && <Loading what={t('loading')} />}
      {record.error && rows.length === 0 && <Problem error={record.error} onRetry={() => void record.refetch()} />}
      {record.data && rows.length === 0 && <Empty title={t('empty')} detail={t('emptyDetail')} />}
      {rows.length > 0 && (
        <VirtualList<RecordLine>
          items={byDay(rows, zone)}
          keyOf={(line) => (line.kind === 'day' ? line.day : line.run.id)}
          estimatePx={(line) => (line.kind === 'day' ? 64 : 72)}
          render={(line) =>
            line.kind === 'day' ? (
              <View className="flex-row items-end justify-between gap-3 px-4 pb-1 pt-3">
                <Text role="heading" aria-level={2} weight="bold" tone="ash" className="min-w-0 flex-1">
                  {t('runsOn', { day: line.day })}
                </Text>
                <LookBack day={line.localDay} zone={zone} />
              </View>
            ) : (
              <RunLine row={line.run} zone={zone} />
            )
          }
          footer={
            record.hasNextPage && (
              <Button
                label={t('more')}
                isBusy={record.isFetchingNextPage}
                onPress={() => void record.fetchNextPage()}
                className="m-4"
              />
            )
          }
        />
      )}
    </Frame>
  )
}

type RecordLine = { kind: 'day'; day: string; localDay: string } | { kind: 'run'; run: RunRow }

/** Runs newest first, under the day in the kitchen's zone on which they were fired. */
function byDay(rows: readonly RunRow[], zone: string): RecordLine[] {
  let before = ''
  return rows.flatMap((run): RecordLine[] => {
    const day = formatDay(run.firedAtMs, zone)
    const isNew = day !== before
    before = day
    return isNew
      ? [
          { kind: 'day', day, localDay: localDay(run.firedAtMs, zone) },
          { kind: 'run', run },
        ]
      : [{ kind: 'run', run }]
  })
}

/** A run in a line: when, what, and how late as a bar beside the plan's length. */
function RunLine({ row, zone }: { row: RunRow; zone: string }) {
  const t = useWords('record')
  const router = useRouter()
  const overS = row.actualS === null ? 0 : row.actualS - row.plannedS
  const isLate = (row.afterPromiseS ?? 0) > LATE_SHOWN_S
  return (
    <View className="px-4">
      <Pressable
        role="link"
        onPress={() => router.push(`/record/${row.id}`)}
        className="ring-focus min-h-16 flex-row items-center gap-3 border-b border-edge py-2 active:bg-plate"
      >
        <Text weight="bold" stretch="narrow" className="w-12">
          {formatTime(row.firedAtMs, zone)}
        </Text>
        <View className="min-w-0 flex-1">
          <View className="flex-row items-center gap-2">
            {row.hasAllergy && <SlashDisc sizePx={16} color="rgb(var(--rice))" />}
            <Text weight="bold" stretch="slim" numberOfLines={1} className="min-w-0 flex-shrink">
              {row.dishName}
            </Text>
          </View>
          <Text size="small" tone="ash" stretch="slim" numberOfLines={1}>
            {[
              t('portions', { count: row.portions }),
              t('tickets', { count: row.tickets.length, list: row.tickets.join(', ') }),
              row.lots.join(' + '),
            ]
              .filter(Boolean)
              .join(' · ')}
          </Text>
          <View className="mt-1 h-1.5 flex-row" aria-hidden>
            <View className="h-1.5 bg-line" style={{ width: `${Math.min(80, row.plannedS / 5)}%` }} />
            {overS > 0 && <View className="h-1.5 bg-rice" style={{ width: `${Math.min(20, overS / 5)}%` }} />}
          </View>
        </View>
        <View className="items-end">
          <Text weight="bold" stretch="narrow">
            {row.state === 'stopped' ? t('stopped') : row.actualS === null ? '' : formatClock(row.actualS)}
          </Text>
          <View className="flex-row items-center gap-1">
            {isLate && <Diamond sizePx={10} />}
            <Text size="small" tone="ash" stretch="narrow">
              {row.state === 'stopped'
                ? ''
                : isLate
                  ? `${t('late')} ${formatLate(row.afterPromiseS ?? 0)}`
                  : formatLate(overS)}
            </Text>
          </View>
        </View>
      </Pressable>
    </View>
  )
}
