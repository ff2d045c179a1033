import { coreOf } from 'core/safety/limits'
import type { Run } from 'contract/run'
import { runRecord } from 'core/record/runSummary'
import { useRouter } from 'expo-router'
import { ScrollView, View } from 'react-native'
import { kitchenNowMs } from '../device/clock'
import { useKitchen, useReadsIn } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Frame } from '../ui/Frame'
import { Notice } from '../ui/Notice'
import { Loading, Problem } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { formatDay, formatLate, formatMassG, formatTemp, formatTimeS } from '../words/format'
import { useWords } from '../words/i18n'
import { useRun } from '../wok/useRuns'
import { download } from '../device/download'
import { PlanBesideRun } from './PlanBesideRun'

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
  const cook = kitchen?.staff.find((one) => one.id === run.cookId)?.name ?? t('noCook')
  const lateS = record.lateS
  const afterPromiseS = run.endedAtMs === null ? null : (run.endedAtMs - run.promisedAtMs) / 1000
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
          {run.allergies.length > 0 && (
            <View className="px-4 pt-3">
              <Notice
                kind="allergy"
                isSmall
                title={t('allergy', { allergen: run.allergies.map((one) => name(`allergens.${one}`)).join(', ') })}
              />
            </View>
          )}
          <PlanBesideRun record={record} run={run} />
          <View className="flex-row flex-wrap gap-y-4 border-t border-edge p-4">
            <Figure
              big={run.lots.map((lot) => lot.name).join(' + ') || '–'}
              small={run.lots.length > 0 ? t('rice', { mass: formatMassG(run.score.riceMassG) }) : t('noLot')}
            />
            <Figure
              big={formatMassG(run.score.batchMassG)}
              small={t('batch', { mass: t('portions', { count: portions }) })}
            />
            {afterPromiseS !== null && run.state === 'finished' && (
              <Figure big={formatLate(afterPromiseS)} small={afterPromiseS > 0 ? t('after') : t('before')} />
            )}
          </View>
          <Said run={run} zone={zone} />
          <View className="hidden flex-row gap-3 px-4 pb-6 md:flex">
            {csv}
            <Button label={name('back')} onPress={() => router.push('/record')} className="w-32" />
          </View>
        </View>
      </ScrollView>
    </>
  )
}

function Figure({ big, small }: { big: string; small: string }) {
  return (
    <View className="min-w-[33%] flex-1 pr-3">
      <Text size="figure" weight="bold" stretch="narrow">
        {big}
      </Text>
      <Text stretch="slim">{small}</Text>
    </View>
  )
}

/** The checks and who answered them when, and what was noted. */
function Said({ run, zone }: { run: Run; zone: string }) {
  const t = useWords('record')
  const readsIn = useReadsIn()
  const record = runRecord(run, run.events, run.endedAtMs ?? kitchenNowMs())
  const checks = record.steps.filter(({ step }) => step.check !== null)
  const nameOf = (componentId: string | null) =>
    record.state.steps.flatMap((step) => step.entries).find((entry) => entry.componentId === componentId)?.name ?? ''
  return (
    <View className="gap-1 border-t border-edge p-4">
      <Text role="heading" aria-level={2} tone="ash">
        {t('checks')}
      </Text>
      {checks.map(({ step, actualEndS, checks: answers }) => {
        const what = step.check
          ? t(`checkFood.${step.check.food}`, { core: formatTemp(coreOf(step.check.limit), readsIn) })
          : ''
        if (answers.length === 0)
          return (
            <Text key={step.id}>
              {actualEndS === null
                ? t('checkNot', { what })
                : t('checkSaid', { what, time: formatTimeS(run.firedAtMs + actualEndS * 1000, zone) })}
            </Text>
          )
        return answers.map(({ eventId, ok, tempC, tempF, atMs }) => (
          <Text key={eventId}>
            {t(ok ? 'checkYes' : 'checkNo', {
              what,
              time: formatTimeS(atMs, zone),
              read: tempC === null ? t('checkSeen') : formatTemp({ tempC, tempF }, tempF === null ? 'C' : 'F'),
            })}
          </Text>
        ))
      })}
      <Text size="small" tone="ash">
        {t('local')}
      </Text>
      <Text role="heading" aria-level={2} tone="ash" className="mt-3">
        {t('noted')}
      </Text>
      {record.state.troubles.map((one) => (
        <Text key={one.eventId}>
          {`${formatTimeS(one.atMs, zone)} ${t(`troubles.${one.trouble}`, { name: nameOf(one.componentId) })}`}
        </Text>
      ))}
      {record.state.addedS > 0 && <Text>{t('added', { n: record.state.addedS })}</Text>}
      {run.isUnconfirmed && <Text>{t('unconfirmed')}</Text>}
      {(run.marks ?? []).map((mark) => (
        <Text key={mark}>{t(`marks.${mark}`)}</Text>
      ))}
      {run.washedAtMs && <Text>{t('washed', { time: formatTimeS(run.washedAtMs, zone) })}</Text>}
      {run.twicePortions > 0 && <Text>{t('twice', { count: run.twicePortions })}</Text>}
      {record.state.troubles.length === 0 && record.state.addedS === 0 && <Text>{t('noTrouble')}</Text>}
    </View>
  )
}
