import type { RunFilter, RunRow } from 'contract/run'
import { localDay } from 'core/time/localTime'
import { useRouter } from 'expo-router'
import { useMemo, useState } from 'react'
import { ScrollView, View } from 'react-native'
import { useDishes } from '../book/useDishes'
import { download } from '../device/download'
import { useKitchen } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Choice } from '../ui/Choice'
import { Frame } from '../ui/Frame'
import { PageHeading } from '../ui/PageHeading'
import { Pick } from '../ui/Pick'
import { Empty, Loading, Problem } from '../ui/states'
import { nameOfStaff } from '../people/nameOfStaff'
import { DataTable } from '../ui/table/DataTable'
import { Text } from '../ui/Text'
import { formatDay } from '../words/format'
import { useWords } from '../words/i18n'
import { useRun } from '../wok/useRuns'
import { EveningStrip } from './EveningStrip'
import { LookBack } from './evening/LookBack'
import { RunBody } from './RunBody'
import { runColumns } from './runColumns'
import { useRecord } from './useRecord'

const ROW_PX = 48
const PICKED = ['day', 'dish', 'station', 'cook'] as const

/** The record at a wide screen: filters, the evening as a strip, a table of runs, and the chosen run beside it. */
export function WideRecord() {
  const t = useWords('record')
  const [filter, setFilter] = useState<RunFilter>({})
  const [chosenId, setChosenId] = useState<string | null>(null)
  const record = useRecord(filter)
  const kitchen = useKitchen().data
  const zone = kitchen?.timeZone ?? 'UTC'
  const rows = useMemo(() => record.data?.pages.flatMap((page) => page.runs) ?? [], [record.data])
  const columns = useMemo(
    () =>
      runColumns(t, zone, {
        station: (id) => nameOf(kitchen?.stations, id),
        cook: (id) => nameOfStaff(kitchen, id) ?? t('noCook'),
      }),
    [t, zone, kitchen],
  )
  const stripDay = filter.day ?? (rows[0] && localDay(rows[0].firedAtMs, zone))
  const evening = rows.filter((run) => localDay(run.firedAtMs, zone) === stripDay)
  const chosen = rows.find((run) => run.id === chosenId) ?? rows[0]
  return (
    <Frame stage="record">
      <View className="min-h-0 flex-1 flex-row">
        <View className="min-h-0 min-w-0 flex-1 gap-2 p-4">
          <Heading record={record} />
          {evening.length > 0 && stripDay && (
            <View className="flex-row items-center gap-3">
              <View className="min-w-0 flex-1">
                <EveningStrip
                  runs={evening}
                  stationName={(id) => nameOf(kitchen?.stations, id)}
                  timeZone={zone}
                  chosenId={chosen?.id ?? null}
                />
              </View>
              <LookBack day={stripDay} zone={zone} />
            </View>
          )}
          {record.isPending ? (
            <Loading what={t('loading')} />
          ) : record.error && rows.length === 0 ? (
            <Problem error={record.error} onRetry={() => void record.refetch()} />
          ) : (
            <DataTable<RunRow>
              label={t('title')}
              rows={rows}
              columns={columns}
              rowId={(run) => run.id}
              rowPx={ROW_PX}
              chosenId={chosen?.id ?? null}
              onChoose={(run) => setChosenId(run.id)}
              filters={<Filters filter={filter} onFilter={setFilter} />}
              empty={Object.keys(filter).length === 0 ? t('emptyDetail') : t('none')}
            />
          )}
        </View>
        <View className="w-[430px] border-l border-edge">
          {chosen ? (
            <Chosen key={chosen.id} row={chosen} zone={zone} />
          ) : (
            rows.length > 0 && <Empty title={t('choose')} detail={t('chooseDetail')} />
          )}
        </View>
      </View>
    </Frame>
  )
}

function Heading({ record }: { record: ReturnType<typeof useRecord> }) {
  const t = useWords('record')
  return (
    <View className="flex-row items-center justify-between gap-3">
      <PageHeading size="title" weight="bold" stretch="wide">
        {t('title')}
      </PageHeading>
      <View className="flex-row gap-2">
        {record.hasNextPage && (
          <Button
            size="body"
            label={t('more')}
            isBusy={record.isFetchingNextPage}
            onPress={() => void record.fetchNextPage()}
          />
        )}
        <Button
          size="body"
          label={t('download')}
          detail={t('downloadDetail')}
          onPress={() => download('/api/record/runs.csv', 'okazu-runs.csv')}
        />
      </View>
    </View>
  )
}

/** Which runs the table shows: of a day, a dish, a station, a cook, or with trouble. */
function Filters({ filter, onFilter }: { filter: RunFilter; onFilter: (filter: RunFilter) => void }) {
  const t = useWords('record')
  const kitchen = useKitchen().data
  const dishes = useDishes().data?.dishes ?? []
  const zone = kitchen?.timeZone ?? 'UTC'
  const runs = useRecord().data?.pages.flatMap((page) => page.runs) ?? []
  const days = new Map(runs.map((run) => [localDay(run.firedAtMs, zone), formatDay(run.firedAtMs, zone)]))
  const narrow = (part: { [K in keyof RunFilter]?: RunFilter[K] | null }) => {
    const next = Object.entries({ ...filter, ...part }).filter(([, value]) => value !== null && value !== undefined)
    onFilter(Object.fromEntries(next))
  }
  const picks = {
    day: [...days].map(([id, name]) => ({ id, name })),
    dish: dishes.map(({ id, name }) => ({ id, name })),
    station: kitchen?.stations ?? [],
    cook: kitchen?.staff ?? [],
  }
  return (
    <>
      {PICKED.map((by) => (
        <Pick
          key={by}
          label={t(`filter.${by}`)}
          all={t('filter.all')}
          of={picks[by]}
          picked={filter[by] ?? null}
          onPick={(id) => narrow({ [by]: id })}
        />
      ))}
      <Choice
        role="checkbox"
        label={t('filter.trouble')}
        isChosen={filter.trouble !== undefined}
        onChoose={() => narrow({ trouble: filter.trouble ? null : '1' })}
      />
    </>
  )
}

const nameOf = (list: readonly { id: string; name: string }[] | undefined, id: string | null) =>
  list?.find((one) => one.id === id)?.name ?? id ?? '–'

/** The chosen run beside the table. */
function Chosen({ row, zone }: { row: RunRow; zone: string }) {
  const t = useWords('record')
  const router = useRouter()
  const { run, error, refetch } = useRun(row.id)
  if (!run) return error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />
  return (
    <ScrollView tabIndex={0} className="min-h-0 flex-1">
      <View className="flex-row items-center justify-between gap-2 border-b border-edge bg-plate px-4 py-2">
        <Text role="heading" aria-level={2} size="step" weight="bold" stretch="slim" className="min-w-0 flex-1">
          {`${row.dishName}, ${row.portions}`}
        </Text>
        <Button
          size="body"
          label={t('downloadRun')}
          onPress={() => download(`/api/runs/${row.id}/steps.csv`, `okazu-run-${row.id}.csv`)}
        />
      </View>
      <RunBody run={run} zone={zone} />
      <Button size="body" label={t('openRun')} className="m-4" onPress={() => router.push(`/record/${row.id}`)} />
    </ScrollView>
  )
}
