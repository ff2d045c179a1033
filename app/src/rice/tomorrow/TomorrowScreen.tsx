import type { NewLot } from 'contract/rice'
import { startBy } from 'core/rice/plan/planRice'
import type { DayRicePlan } from 'core/rice/plan/ricePlanFor'
import { heldCold } from 'core/rice/lot/lotHolding'
import { dayAfter, instantOf, localDay } from 'core/time/localTime'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { ScrollView, useWindowDimensions, View } from 'react-native'
import { kitchenNowMs, useNowMs } from '../../device/clock'
import { newId } from '../../device/ids'
import { valueOf } from '../../device/worked'
import { download } from '../../device/download'
import { useKitchen } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Frame } from '../../ui/Frame'
import { Notice } from '../../ui/Notice'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { PageHeading } from '../../ui/PageHeading'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { beginLot, useLots, useRiceHouse } from '../useLots'
import { useEditPlan, useRicePlan, useTonight } from '../useRicePlan'
import { Crests } from './Crests'
import { EditEvent, EditService } from './EditPlan'
import { LoadFigures } from './LoadFigures'
import { LoadTimes } from './LoadTimes'
import { NoVessel } from './NoVessel'
import { PolicySheet } from './PolicySheet'
import { useDayRice } from './useDayRice'
import { Wanted } from './Wanted'

const MINUTE_MS = 60_000
const DAYS_AHEAD = ['today', 'tomorrow', 'after'] as const
const COLUMN_PX = 760
const PADDING_PX = 32
const RAIL_PX = 88
const NOON_MIN = 720

type Open = { kind: 'service'; id: string } | { kind: 'event' } | { kind: 'policy' } | null

/** Tomorrow's rice: what is expected, how much to cook, each load, and when the last is cold. */
export function TomorrowScreen() {
  const t = useWords('rice')
  const kitchen = useKitchen().data
  const house = useRiceHouse().data
  const nowMs = useNowMs(MINUTE_MS)
  const [ahead, setAhead] = useState(1)
  const day = kitchen ? dayAfter(localDay(nowMs, kitchen.timeZone), ahead) : null
  const plan = useRicePlan(day)
  const { lots: shown, isReady } = useLots()
  const lots = isReady ? shown : null
  if (!kitchen || !house || !plan.data) {
    return (
      <Frame stage="rice">
        {plan.error ? (
          <Problem error={plan.error} onRetry={() => void plan.refetch()} />
        ) : (
          <Loading what={t('loading')} />
        )}
      </Frame>
    )
  }
  return <TomorrowPage {...{ kitchen, house, lots, nowMs, ahead, setAhead, plan: plan.data }} />
}

type PageProps = {
  kitchen: NonNullable<ReturnType<typeof useKitchen>['data']>
  house: NonNullable<ReturnType<typeof useRiceHouse>['data']>
  plan: NonNullable<ReturnType<typeof useRicePlan>['data']>
  lots: ReturnType<typeof useLots>['lots'] | null
  nowMs: number
  ahead: number
  setAhead: (days: number) => void
}

function TomorrowPage(props: PageProps) {
  const { kitchen, house, plan, lots, nowMs } = props
  const t = useWords('rice')
  const isWide = useIsWide()
  const { width } = useWindowDimensions()
  const [open, setOpen] = useState<Open>(null)
  const edit = useEditPlan()
  const problem = useProblemSentence(edit.error)
  const tonight = useTonight().data
  const rice = valueOf(useDayRice({ plan, tonight, lots, kitchen, house, nowMs }))
  const columnPx = Math.min(COLUMN_PX, width - (isWide ? RAIL_PX : 0)) - PADDING_PX
  const names = new Map(house.policy.services.map((one) => [one.id, one.name]))
  const close = () => setOpen(null)
  const keep = (edits: typeof plan.edits) => {
    edit.mutate({ day: plan.day, version: plan.version, edits })
    close()
  }
  const service = open?.kind === 'service' ? plan.services.find((one) => one.serviceId === open.id) : undefined
  const start = rice && <StartButton {...props} rice={rice} />
  return (
    <Frame stage="rice" bar={start}>
      <Head {...props} />
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-[760px] gap-4 self-center p-4">
          {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
          <Crests plan={plan} names={names} widthPx={columnPx} onEdit={(id) => setOpen({ kind: 'service', id })} />
          {rice ? (
            <>
              <Wanted rice={rice} house={house} kitchen={kitchen} isWide={isWide} />
              <LoadFigures rice={rice} house={house} kitchen={kitchen} />
              <LoadTimes day={rice} kitchen={kitchen} cold={heldCold([kitchen.ruleSet])} widthPx={columnPx} />
            </>
          ) : house.vessels.length === 0 ? (
            <NoVessel />
          ) : (
            <Loading what={t('loading')} />
          )}
          {isWide && start}
          <View className="flex-row flex-wrap gap-2.5">
            <Button
              label={t('tomorrow.event')}
              detail={
                plan.edits.event ? `${plan.edits.event.name} ${plan.edits.event.percent} %` : t('tomorrow.eventNone')
              }
              size="body"
              className="min-w-[46%] flex-1"
              onPress={() => setOpen({ kind: 'event' })}
            />
            <Button
              label={t('tomorrow.house')}
              size="body"
              className="min-w-[46%] flex-1"
              onPress={() => setOpen({ kind: 'policy' })}
            />
            <Button
              label={t('tomorrow.paper')}
              size="body"
              className="min-w-[46%] flex-1"
              onPress={() => download(`/api/rice/plan/${plan.day}/plan.pdf`, `okazu-rice-${plan.day}.pdf`)}
            />
            <Button
              label={t('tomorrow.sheet')}
              size="body"
              className="min-w-[46%] flex-1"
              onPress={() => download(`/api/rice/plan/${plan.day}/plan.ics`, `okazu-rice-${plan.day}.ics`)}
            />
          </View>
          <Text size="small" tone="ash">
            {t('local')}
          </Text>
        </View>
      </ScrollView>
      {service && (
        <EditService
          service={service}
          name={names.get(service.serviceId) ?? service.serviceId}
          plan={plan}
          kitchen={kitchen}
          onKeep={keep}
          onClose={close}
        />
      )}
      {open?.kind === 'event' && <EditEvent plan={plan} onKeep={keep} onClose={close} />}
      {open?.kind === 'policy' && <PolicySheet house={house} onClose={close} />}
    </Frame>
  )
}

function Head({ kitchen, plan, nowMs, ahead, setAhead }: PageProps) {
  const t = useWords('rice')
  const noonMs = instantOf(plan.day, NOON_MIN, kitchen.timeZone)
  return (
    <View className="border-b border-edge bg-plate px-4 pt-2">
      <View className="flex-row items-center justify-between gap-3">
        <PageHeading size="step" weight="bold" className="flex-1">
          {t('tomorrow.title', { day: formatDay(noonMs, kitchen.timeZone) })}
        </PageHeading>
        <Text size="title" weight="bold" stretch="narrow">
          {formatTime(nowMs, kitchen.timeZone)}
        </Text>
      </View>
      <View role="radiogroup" aria-label={t('tomorrow.title', { day: '' })} className="-ml-3 flex-row">
        {DAYS_AHEAD.map((word, days) => (
          <Choice
            key={word}
            role="radio"
            label={t(`tomorrow.${word}`)}
            isChosen={days === ahead}
            onChoose={() => setAhead(days)}
          />
        ))}
      </View>
    </View>
  )
}

/** Begins the next load of the plan: from here on it is a lot. */
function StartButton({ rice, house, lots, kitchen }: PageProps & { rice: DayRicePlan }) {
  const t = useWords('rice')
  const router = useRouter()
  const load = rice.plan.loads[0]
  const onHeat = lots?.find(({ state }) => state.stage === 'cooking')
  if (!load) {
    return onHeat ? (
      <Button
        kind="main"
        isTall
        label={t('tomorrow.onHeat', { name: onHeat.lot.name })}
        onPress={() => router.push(`/rice/${onHeat.lot.id}`)}
      />
    ) : (
      <Button
        isTall
        label={t('tomorrow.enough')}
        detail={t('tomorrow.enoughDetail')}
        onPress={() => router.push('/rice')}
      />
    )
  }
  const time = (ms: number) => formatTime(ms, kitchen.timeZone)
  const latest = startBy(rice.plan.latestStartMs, kitchenNowMs())
  const by = time(rice.coldByMs)
  const detail =
    latest.kind === 'by' ? t('tomorrow.startBy', { time: time(latest.atMs), by }) : t(`tomorrow.${latest.kind}`, { by })
  const start = () => {
    const id = newId()
    const begun: NewLot = {
      id,
      origin: 'cooked',
      atMs: Math.round(kitchenNowMs()),
      load: {
        vesselId: rice.vessel.id,
        method: rice.vessel.method,
        blend: house.policy.blend,
        wash: house.policy.wash,
        dryMassG: load.dryMassG,
        waterG: Math.round(load.waterG),
        targetWaterFraction: load.waterFraction,
      },
    }
    beginLot(begun)
    router.push(`/rice/${id}`)
  }
  return (
    <Button
      kind="main"
      isTall
      label={t('tomorrow.start', { count: rice.plan.loads.length })}
      detail={detail}
      onPress={start}
    />
  )
}
