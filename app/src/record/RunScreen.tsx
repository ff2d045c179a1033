import type { Run } from 'contract/run'
import { runRecord } from 'core/record/runSummary'
import { useRouter } from 'expo-router'
import { ScrollView, View } from 'react-native'
import { kitchenNowMs } from '../device/clock'
import { useKitchen } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Frame } from '../ui/Frame'
import { Loading, Problem } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { nameOfStaff } from '../people/nameOfStaff'
import { Text } from '../ui/Text'
import { formatDay, formatLate, formatTimeS } from '../words/format'
import { useWords } from '../words/i18n'
import { useRun } from '../wok/useRuns'
import { download } from '../device/download'
import { RunBody } from './RunBody'

export function RunScreen({ id }: { id: string }) {
  const t = useWords('record')
  const { run, error, isPending, refetch } = useRun(id)
  const csv = (
    <Button
      kind="main"
      isTall
      label={t('downloadRun')}
      onPress={() => download(`/api/runs/${id}/steps.csv`, `okazu-run-${id}.csv`)}
    />
  )
  return (
    <Frame stage="record" bar={run && csv}>
      {run ? (
        <RunPage run={run} csv={csv} />
      ) : error && !isPending ? (
        <Problem error={error} onRetry={() => void refetch()} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

function RunPage({ run, csv }: { run: Run; csv: React.ReactNode }) {
  const t = useWords('record')
  const name = useWords('ui')
  const router = useRouter()
  const kitchen = useKitchen().data
  const zone = kitchen?.timeZone ?? 'UTC'
  const record = runRecord(run, run.events, run.endedAtMs ?? kitchenNowMs())
  const portions = run.parts.reduce((sum, part) => sum + part.portions, 0)
  const numbers = [...new Set(run.parts.map((part) => part.ticketNumber))]
  const station = kitchen?.stations.find((one) => one.id === run.stationId)?.name ?? run.stationId
  const cook = nameOfStaff(kitchen, run.cookId) ?? t('noCook')
  const lateS = record.lateS
  const about = [
    `${formatDay(run.firedAtMs, zone)} ${formatTimeS(run.firedAtMs, zone)}`,
    cook,
    t('tickets', { count: numbers.length, list: numbers.join(', ') }),
  ]
  return (
    <>
      <View className="flex-row items-center justify-between gap-3 border-b border-edge bg-plate px-4 py-2">
        <View className="min-w-0 flex-1">
          <PageHeading weight="bold" numberOfLines={1}>
            {`${run.dishName}, ${portions}, ${station}`}
          </PageHeading>
          <Text size="small" tone="ash" stretch="slim" numberOfLines={1}>
            {about.join(' · ')}
          </Text>
        </View>
        <View className="items-end">
          <Text size="title" weight="bold" stretch="narrow">
            {run.state === 'stopped' ? t('stopped') : lateS === null ? '' : formatLate(lateS)}
          </Text>
          {run.endedAtMs !== null && (
            <Text size="small" tone="ash" stretch="narrow">
              {t('up', { time: formatTimeS(run.endedAtMs, zone) })}
            </Text>
          )}
        </View>
      </View>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-4xl self-center">
          <RunBody run={run} zone={zone} />
          <View className="hidden flex-row gap-3 px-4 pb-6 md:flex">
            {csv}
            <Button label={name('back')} onPress={() => router.push('/record')} className="w-32" />
          </View>
        </View>
      </ScrollView>
    </>
  )
}
