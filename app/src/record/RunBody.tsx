import { coreOf } from 'core/safety/limits'
import type { ComplaintSubject } from 'contract/faults'
import type { Run } from 'contract/run'
import { runRecord } from 'core/record/runSummary'
import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { kitchenNowMs } from '../device/clock'
import { useTastings } from '../book/useShelf'
import { useReadsIn } from '../setup/useKitchen'
import { useMassWords } from '../setup/useMassWords'
import { Notice } from '../ui/Notice'
import { Button } from '../ui/Button'
import { Text } from '../ui/Text'
import { formatLate, formatTemp, formatTimeS } from '../words/format'
import { useWords } from '../words/i18n'
import { NotedComplaints } from './fault/NotedComplaints'
import { useComplaints } from './fault/useComplaints'
import { PlanBesideRun } from './PlanBesideRun'

/** A run in the record: plan beside run, its figures, the checks and who answered them, and what was noted. */
export function RunBody({ run, zone }: { run: Run; zone: string }) {
  const { mass } = useMassWords()
  const t = useWords('record')
  const name = useWords('ui')
  const record = runRecord(run, run.events, run.endedAtMs ?? kitchenNowMs())
  const portions = run.parts.reduce((sum, part) => sum + part.portions, 0)
  const afterPromiseS = run.endedAtMs === null ? null : (run.endedAtMs - run.promisedAtMs) / 1000
  return (
    <>
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
          small={run.lots.length > 0 ? t('rice', { mass: mass(run.score.riceMassG) }) : t('noLot')}
        />
        <Figure big={mass(run.score.batchMassG)} small={t('batch', { mass: t('portions', { count: portions }) })} />
        {afterPromiseS !== null && run.state === 'finished' && (
          <Figure big={formatLate(afterPromiseS)} small={afterPromiseS > 0 ? t('after') : t('before')} />
        )}
      </View>
      <Said run={run} zone={zone} />
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
  const { mass } = useMassWords()
  const t = useWords('record')
  const router = useRouter()
  const readsIn = useReadsIn()
  const record = runRecord(run, run.events, run.endedAtMs ?? kitchenNowMs())
  const checks = record.steps.filter(({ step, checks }) => step.check !== null || checks.length > 0)
  const { riceReading } = run
  const tastings = (useTastings().data?.tastings ?? []).filter(({ runId }) => runId === run.id).reverse()
  const tickets = new Map(run.parts.map(({ ticketId, ticketNumber }) => [ticketId, ticketNumber]))
  const { data: heard, complaints: known } = useComplaints()
  const complaints = known.filter(({ of }) =>
    of.kind === 'run' ? of.runId === run.id : of.kind === 'ticket' && tickets.has(of.ticketId),
  )
  const ofWhat = (of: ComplaintSubject) =>
    of.kind === 'ticket' ? t('fault.of.ticket', { number: tickets.get(of.ticketId) ?? '' }) : t('fault.of.run')
  const nameOf = (componentId: string | null) =>
    record.state.steps.flatMap((step) => step.entries).find((entry) => entry.componentId === componentId)?.name ?? ''
  return (
    <View className="gap-1 border-t border-edge p-4">
      <Text role="heading" aria-level={2} tone="ash">
        {t('checks')}
      </Text>
      {checks.map(({ step, actualEndS, checks: answers }) => {
        const check = step.check ?? step.offered
        const what = check ? t(`checkFood.${check.food}`, { core: formatTemp(coreOf(check.limit), readsIn) }) : ''
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
      {riceReading && <Text tone="ash">{t(`riceReading.${riceReading.why}`)}</Text>}
      <Text size="small" tone="ash">
        {t('local')}
      </Text>
      <Text role="heading" aria-level={2} tone="ash" className="mt-3">
        {t('noted')}
      </Text>
      {record.state.troubles.map((one) => (
        <Text key={one.eventId}>
          {`${formatTimeS(one.atMs, zone)} ${t(`troubles.${one.standIn ? 'standIn' : one.trouble}`, {
            name: nameOf(one.componentId),
            standIn: one.standIn?.name ?? '',
          })}`}
        </Text>
      ))}
      {tastings.map((one) => (
        <Text key={one.id}>
          {t('tasted', { time: formatTimeS(one.atMs, zone), verdict: t(`taste.verdicts.${one.verdict}`) })}
          {one.added.map(({ name, massG }) => `, ${mass(massG)} ${name}`).join('')}
        </Text>
      ))}
      {record.state.addedS > 0 && <Text>{t('added', { n: record.state.addedS })}</Text>}
      {run.isUnconfirmed && <Text>{t('unconfirmed')}</Text>}
      {(run.marks ?? []).map((mark) => (
        <Text key={mark}>{t(`marks.${mark}`)}</Text>
      ))}
      {run.washedAtMs && <Text>{t('washed', { time: formatTimeS(run.washedAtMs, zone) })}</Text>}
      {run.twicePortions > 0 && <Text>{t('twice', { count: run.twicePortions })}</Text>}
      <NotedComplaints complaints={complaints} nameOf={ofWhat} />
      {heard &&
        complaints.length === 0 &&
        tastings.length === 0 &&
        record.state.troubles.length === 0 &&
        record.state.addedS === 0 && <Text>{t('noTrouble')}</Text>}
      <View className="mt-2 flex-row flex-wrap gap-2">
        <Button label={t('fault.open')} onPress={() => router.push(`/record/fault/${run.id}`)} />
        {[...tickets].map(([id, number]) => (
          <Button
            key={id}
            size="body"
            label={t('fault.openTicket', { number })}
            onPress={() => router.push(`/record/fault/ticket/${id}`)}
          />
        ))}
      </View>
    </View>
  )
}
