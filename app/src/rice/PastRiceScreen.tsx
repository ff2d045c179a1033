import { useQuery } from '@tanstack/react-query'
import ChevronRight from 'lucide-react-native/icons/chevron-right'
import { Trace, type LotRow } from 'contract/rice'
import { useRouter } from 'expo-router'
import { useMemo, useState } from 'react'
import { Pressable, TextInput, View } from 'react-native'
import { getJson } from '../device/http'
import { download } from '../device/download'
import { useKitchen } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Frame } from '../ui/Frame'
import { Icon } from '../ui/icons'
import { Sheet } from '../ui/Sheet'
import { Empty, Loading, Problem, useProblemSentence } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { DataTable } from '../ui/table/DataTable'
import { Text } from '../ui/Text'
import { useIsWide } from '../ui/useIsWide'
import { VirtualList } from '../ui/VirtualList'
import { formatDay, formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { TracedRuns } from './lot/sheets/PaperSheets'
import { ChosenLot } from './past/ChosenLot'
import { endOf, pastColumns } from './past/pastColumns'
import { usePastLots } from './usePastLots'

/** Lots that are over, the log for the inspector, and from a ticket back to its rice. */
export function PastRiceScreen() {
  const t = useWords('rice')
  const isWide = useIsWide()
  const zone = useKitchen().data?.timeZone ?? 'UTC'
  const [isFinding, setIsFinding] = useState(false)
  const past = usePastLots()
  const rows = useMemo(() => past.data?.pages.flatMap((page) => page.lots) ?? [], [past.data])
  const columns = useMemo(() => pastColumns(t, zone), [t, zone])
  const [chosenId, setChosenId] = useState<string | null>(null)
  const chosen = rows.find((row) => row.id === chosenId) ?? rows[0]
  if (isWide && rows.length > 0)
    return (
      <Frame stage="rice">
        <View className="min-h-0 flex-1 flex-row">
          <View className="min-h-0 min-w-0 flex-1 p-4">
            <PageHeading size="title" weight="bold" stretch="wide">
              {t('past.title')}
            </PageHeading>
            <DataTable<LotRow>
              label={t('past.title')}
              rows={rows}
              columns={columns}
              rowId={(row) => row.id}
              rowPx={46}
              chosenId={chosen?.id ?? null}
              onChoose={(row) => setChosenId(row.id)}
              empty={t('past.noneDetail')}
            />
          </View>
          <View className="w-[380px] gap-3 border-l border-edge bg-plate p-4">
            <LogFiles />
            <Button size="body" label={t('past.ticket')} onPress={() => setIsFinding(true)} />
            {past.hasNextPage && (
              <Button
                size="body"
                label={t('past.more')}
                isBusy={past.isFetchingNextPage}
                onPress={() => void past.fetchNextPage()}
              />
            )}
            {chosen && <ChosenLot row={chosen} zone={zone} />}
          </View>
        </View>
        {isFinding && <FindTicket zone={zone} onClose={() => setIsFinding(false)} />}
      </Frame>
    )
  return (
    <Frame stage="rice" bar={<LogFiles />}>
      <View className="flex-row items-center justify-between gap-3 border-b border-edge bg-plate px-4 py-2">
        <PageHeading size="step" weight="bold">
          {t('past.title')}
        </PageHeading>
        <Button size="body" label={t('past.ticket')} onPress={() => setIsFinding(true)} />
      </View>
      {past.isPending ? (
        <Loading what={t('past.loading')} />
      ) : past.error && rows.length === 0 ? (
        <Problem error={past.error} onRetry={() => void past.refetch()} />
      ) : rows.length === 0 ? (
        <Empty title={t('past.none')} detail={t('past.noneDetail')} />
      ) : (
        <VirtualList<LotRow>
          items={rows}
          keyOf={(row) => row.id}
          estimatePx={() => 68}
          render={(row) => <PastLot row={row} zone={zone} />}
          footer={
            past.hasNextPage && (
              <View className="px-4 py-3">
                <Button
                  label={t('past.more')}
                  isBusy={past.isFetchingNextPage}
                  onPress={() => void past.fetchNextPage()}
                />
              </View>
            )
          }
        />
      )}
      {isFinding && <FindTicket zone={zone} onClose={() => setIsFinding(false)} />}
    </Frame>
  )
}

/** The log of all lots as paper and as a table. */
function LogFiles() {
  const t = useWords('rice')
  return (
    <View className="flex-row gap-2.5">
      <Button
        kind="main"
        isTall
        size="step"
        label={t('past.pdf')}
        detail={t('past.pdfDetail')}
        className="min-w-0 flex-1"
        onPress={() => download('/api/rice/log.pdf', 'okazu-cooling.pdf')}
      />
      <Button
        isTall
        size="step"
        label={t('past.csv')}
        detail={t('past.csvDetail')}
        className="min-w-0 flex-1"
        onPress={() => download('/api/rice/log.csv', 'okazu-cooling.csv')}
      />
    </View>
  )
}

function PastLot({ row, zone }: { row: LotRow; zone: string }) {
  const t = useWords('rice')
  const router = useRouter()
  return (
    <Pressable
      role="link"
      onPress={() => router.push(`/rice/${row.id}`)}
      className="ring-focus mx-4 min-h-16 flex-row items-center gap-3 border-b border-edge py-2 active:bg-plate"
    >
      <Text weight="bold" stretch="narrow" className="w-14">
        {row.name}
      </Text>
      <View className="min-w-0 flex-1">
        <Text weight="bold" stretch="slim" numberOfLines={1}>
          {endOf(row, t)}
        </Text>
        <Text size="small" tone="ash" stretch="slim" numberOfLines={1}>
          {[
            row.endedAtMs === null ? '' : `${formatDay(row.endedAtMs, zone)} ${formatTime(row.endedAtMs, zone)}`,
            t('lot.cooked', { time: formatDay(row.cookedAtMs ?? row.bornAtMs, zone) }),
            row.grain,
            row.origin === 'cooked' ? '' : t(`lot.${row.origin}`),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Text>
      </View>
      <Icon as={ChevronRight} sizePx={20} />
    </Pressable>
  )
}

/** From a ticket to its lots, and to everybody else who got of them. */
function FindTicket({ zone, onClose }: { zone: string; onClose: () => void }) {
  const t = useWords('rice')
  const [number, setNumber] = useState('')
  const [input, setAsked] = useState<number | null>(null)
  const trace = useQuery({
    queryKey: ['rice', 'trace', 'ticket', input],
    enabled: input !== null,
    queryFn: ({ signal }) => getJson(`/rice/trace?ticket=${input}`, Trace, signal),
  })
  const problem = useProblemSentence(trace.error)
  const find = () => {
    if (/^\d{1,7}$/.test(number.trim())) setAsked(Number(number))
  }
  return (
    <Sheet title={t('past.ticket')} isOpen onClose={onClose}>
      <View className="gap-3">
        <Text tone="ash">{t('past.ticketDetail')}</Text>
        <TextInput
          aria-label={t('past.ticketDetail')}
          inputMode="numeric"
          value={number}
          onChangeText={setNumber}
          onSubmitEditing={find}
          className="ring-focus min-h-14 rounded-lg border border-line bg-ground px-3 font-sans text-title text-rice"
        />
        <Button kind="main" label={t('past.find')} isBusy={trace.isFetching} onPress={find} />
        {problem !== '' && <Text weight="bold">{problem}</Text>}
        {trace.data && (
          <>
            <Text size="step" weight="bold">
              {trace.data.lots.map((lot) => lot.name).join(', ') || t('lot.traceNone')}
            </Text>
            <TracedRuns runs={trace.data.runs} timeZone={zone} />
          </>
        )}
      </View>
    </Sheet>
  )
}
