import type { RunComparison } from 'contract/faults'
import type { Run } from 'contract/run'
import type { Verdict } from 'core/book/taste/correct'
import { COMPLAINTS, rankCauses, type Complaint, type Ranked } from 'core/record/faults/rank'
import { tryNext, type TryNext } from 'core/record/faults/tryNext'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { useDishes } from '../../book/useDishes'
import { useTastings } from '../../book/useShelf'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Frame } from '../../ui/Frame'
import { PageHeading } from '../../ui/PageHeading'
import { Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { useWords } from '../../words/i18n'
import { useRun } from '../../wok/useRuns'
import { Evidence } from './Evidence'
import { useComparison } from './useComparison'
import { faultWords } from './words.en'
import { useMassWords } from '../../setup/useMassWords'

/** From a complaint of a run to its likely causes with their evidence, and one change to try. */
export function FaultScreen({ id }: { id: string }) {
  const t = useWords('record')
  const { run, error: runError, refetch } = useRun(id)
  const comparison = useComparison(id)
  const error = runError ?? comparison.error
  if (run && comparison.data) return <Finder run={run} comparison={comparison.data} />
  return (
    <Frame stage="record">
      {error ? (
        <Problem error={error} onRetry={() => [refetch(), comparison.refetch()]} />
      ) : (
        <Loading what={t('fault.loading')} />
      )}
    </Frame>
  )
}

const WIDE_PX = 460
const PHONE_PX = 350
const SHOWN = 4
/** What was tasted in the run is what is asked about first. */
const COMPLAINT_OF: Partial<Record<Verdict, Complaint>> = {
  salty: 'tooSalty',
  bland: 'bland',
  greasy: 'greasy',
  wet: 'soggy',
}
const BAR_PX = 110
const DO = faultWords.try.do

function Finder({ run, comparison }: { run: Run; comparison: RunComparison }) {
  const t = useWords('record')
  const isWide = useIsWide()
  const dish = useDishes().data?.dishes.find((one) => one.id === run.dishId)
  const tasted = useTastings().data?.tastings.find(({ runId }) => runId === run.id)
  const [chosen, setComplaint] = useState<Complaint | 'none' | null>(null)
  const complaint = chosen === 'none' ? null : (chosen ?? (tasted && COMPLAINT_OF[tasted.verdict]) ?? null)
  const ranked = complaint && rankCauses(complaint, comparison.run, comparison.good)
  const portions = run.parts.reduce((sum, part) => sum + part.portions, 0)
  const portionRiceG = dish?.portionRiceG ?? run.score.riceMassG / portions
  const change = ranked && tryNext(ranked.causes[0], run.score, portionRiceG)
  const bar = change ? <Try change={change} run={run} /> : null
  return (
    <Frame stage="record" bar={bar ?? undefined}>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-5xl gap-3 self-center p-4">
          <PageHeading size="title" weight="bold" stretch="slim">
            {t('fault.title')}
          </PageHeading>
          <Text tone="ash">{`${run.dishName}, ${portions} · ${t('fault.good', { count: comparison.good.length })}`}</Text>
          <Text weight="bold">{t('fault.ask')}</Text>
          <View role="radiogroup" aria-label={t('fault.ask')} className="-mx-2 flex-row flex-wrap">
            {COMPLAINTS.filter((one) => isWide || complaint === null || one === complaint).map((one) => (
              <Choice
                key={one}
                role="radio"
                label={t(`fault.complaints.${one}`)}
                isChosen={one === complaint}
                onChoose={() => setComplaint(one)}
              />
            ))}
            {!isWide && complaint !== null && (
              <Button size="body" label={t('fault.another')} onPress={() => setComplaint('none')} />
            )}
          </View>
          {ranked && (
            <View aria-live="polite" className="gap-5 md:flex-row md:gap-8">
              <View className="min-w-0 flex-1 gap-2">
                <Causes ranked={ranked} />
                <View className="hidden pt-2 md:flex">{bar}</View>
              </View>
              {ranked.causes.length > 0 && (
                <View className="gap-3">
                  {ranked.causes.slice(0, SHOWN).map((likely, i) => (
                    <Evidence
                      key={likely.cause}
                      likely={likely}
                      good={comparison.good}
                      rank={i + 1}
                      widthPx={isWide ? WIDE_PX : PHONE_PX}
                    />
                  ))}
                </View>
              )}
            </View>
          )}
        </View>
      </ScrollView>
    </Frame>
  )
}

function Causes({ ranked }: { ranked: Ranked }) {
  const t = useWords('record')
  const { causes, cleared, isThin } = ranked
  if (causes.length === 0) return <Text size="step">{t('fault.none')}</Text>
  return (
    <View className="gap-1">
      <View className="flex-row items-baseline justify-between">
        <Text role="heading" aria-level={2} weight="bold">
          {t('fault.likely')}
        </Text>
        <Text size="small" tone="ash">
          {t('fault.bar')}
        </Text>
      </View>
      {causes.slice(0, SHOWN).map(({ cause, share }, i) => (
        <View key={cause} className="min-h-9 flex-row items-center gap-3">
          <Text weight="bold">{String(i + 1)}</Text>
          <Text size={i === 0 ? 'step' : 'body'} weight={i === 0 ? 'bold' : 'medium'} className="min-w-0 flex-1">
            {t(`fault.causes.${cause}`)}
          </Text>
          <View style={{ width: BAR_PX }} className="items-end">
            <View style={{ width: Math.max(3, share * BAR_PX) }} className="h-2 bg-inverse" />
          </View>
        </View>
      ))}
      {cleared.length > 0 && (
        <Text size="small" tone="ash">
          {t('fault.notIt', { list: cleared.map((one) => t(`fault.causes.${one}`).toLowerCase()).join(', ') })}
        </Text>
      )}
      <Text size="small" tone="ash">
        {t(isThin ? 'fault.thin' : 'fault.one')}
      </Text>
    </View>
  )
}

/** The one change: a draft of the dish, a smaller batch at the station, or something to do. */
function Try({ change, run }: { change: TryNext; run: Run }) {
  const { mass } = useMassWords()
  const t = useWords('record')
  const router = useRouter()
  switch (change.kind) {
    case 'amount':
      return (
        <Button
          kind="main"
          isTall
          label={t('fault.try.amount', { to: mass(change.toG), name: change.name })}
          detail={t('fault.try.amountDetail', { from: mass(change.fromG) })}
          className="flex-1"
          onPress={() => router.push(`/book/${run.dishId}/edit?set=${change.componentId}&to=${change.toG}`)}
        />
      )
    case 'smaller':
      return (
        <Button
          kind="main"
          isTall
          label={t('fault.try.smaller', { mass: mass(change.riceG) })}
          detail={t('fault.try.smallerDetail')}
          className="flex-1"
          onPress={() => router.push(`/setup/station/${run.stationId}`)}
        />
      )
    case 'do': {
      const key = change.cause in DO ? (change.cause as keyof typeof DO) : 'other'
      return (
        <View className="flex-1 justify-center rounded-lg border border-edge p-3">
          <Text size="step" weight="bold" stretch="slim">
            {t(`fault.try.do.${key}`)}
          </Text>
        </View>
      )
    }
  }
}
