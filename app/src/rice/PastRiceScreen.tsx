import { useQuery } from '@tanstack/react-query'
import ChevronRight from 'lucide-react-native/icons/chevron-right'
import { Trace, type LotRow } from 'contract/rice'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { Pressable, ScrollView, TextInput, View } from 'react-native'
import { getJson } from '../device/http'
import { download } from '../device/download'
import { useKitchen } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Frame } from '../ui/Frame'
import { Icon } from '../ui/icons'
import { Sheet } from '../ui/Sheet'
import { Empty, Loading, Problem, useProblemSentence } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useIsWide } from '../ui/useIsWide'
import { formatDay, formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { TracedRuns } from './lot/sheets/PaperSheets'
import { usePastLots } from './usePastLots'

/** Lots that are over, the log for the inspector, and from a ticket back to its rice. */
export function PastRiceScreen() {
  const t = useWords('rice')
  const isWide = useIsWide()
  const zone = useKitchen().data?.timeZone ?? 'UTC'
  const [isFinding, setIsFinding] = useState(false)
  const past = usePastLots()
  const rows = past.data?.pages.flatMap((page) => page.lots) ?? []
  const files = (
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
  return (
    <Frame stage="rice" bar={files}>
      <View className="flex-row items-center justify-between gap-3 border-b border-edge bg-plate px-4 py-2">
        <PageHeading size="step" weight="bold">
          {t('past.title')}
        </PageHeading>
        <Button size="body" label={t('past.ticket')} onPress={() => setIsFinding(true)} />
      </View>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-3xl self-center px-4">
          {isWide && <View className="py-3">{files}</View>}
          {past.isPending ? (
            <Loading what={t('past.loading')} />
          ) : past.error && rows.length === 0 ? (
            <Problem error={past.error} onRetry={() => void past.refetch()} />
          ) : rows.length === 0 ? (
            <Empty title={t('past.none')} detail={t('past.noneDetail')} />
          ) : (
            rows.map((row) => <PastLot key={row.id} row={row} zone={zone} />)
          )}
          {past.hasNextPage && (
            <View className="py-3">
              <Button
                label={t('past.more')}
                isBusy={past.isFetchingNextPage}
                onPress={() => void past.fetchNextPage()}
              />
            </View>
          )}
        </View>
      </ScrollView>
      {isFinding && <FindTicket zone={zone} onClose={() => setIsFinding(false)} />}
    </Frame>
  )
}

function PastLot({ row, zone }: { row: LotRow; zone: string }) {
  const t = useWords('rice')
  const router = useRouter()
  const end = row.reason ? t(`lot.reasons.${row.reason}`) : t(`stages.${row.stage}`)
  return (
    <Pressable
      role="link"
      onPress={() => router.push(`/rice/${row.id}`)}
      className="ring-focus min-h-16 flex-row items-center gap-3 border-b border-edge py-2 active:bg-plate"
    >
      <Text weight="bold" stretch="narrow" className="w-14">
        {row.name}
      </Text>
      <View className="min-w-0 flex-1">
        <Text weight="bold" stretch="slim" numberOfLines={1}>
          {row.reason ? `${t(`stages.${row.stage}`)}: ${end}` : end}
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
  const [asked, setAsked] = useState<number | null>(null)
  const trace = useQuery({
    queryKey: ['rice', 'trace', 'ticket', asked],
    enabled: asked !== null,
    queryFn: ({ signal }) => getJson(`/rice/trace?ticket=${asked}`, Trace, signal),
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
