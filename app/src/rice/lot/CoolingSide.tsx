import { stepAtRisk, type StepForecast } from 'core/rice/lot/lotForecast'
import { View } from 'react-native'
import Svg, { Line, Path, Rect } from 'react-native-svg'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { formatTemp, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { centimetres, useLotWords } from '../lotWords'
import type { WatchedLot } from 'core/rice/lot/watchLot'
import { sayOfLot } from '../useLots'
import { DoubtfulReadings } from './DoubtfulReadings'
import type { LotPage, LotSheet } from './lotPage'
import { UnprovenLot } from './UnprovenLot'
import { useProbe } from './useProbe'

type SideProps = LotPage & { watched: WatchedLot | null; onOpen: (sheet: LotSheet) => void }

/** Beside the chart: the pace in figures, whether it is inside the rule, and what to do. */
export function CoolingSide(props: SideProps) {
  const { shown, kitchen, house, watched, onOpen } = props
  const t = useWords('rice')
  const words = useLotWords(kitchen, house)
  const { state } = shown
  const air = state.airTempC
  return (
    <View className="gap-3 pb-4">
      {watched && <Pace {...props} watched={watched} />}
      {state.judged === 'overdue' && <Notice kind="hazard" isSmall title={t('cool.overdue')} />}
      {state.judged === 'unproven' && <UnprovenLot {...props} />}
      {state.logs.length > 1 && <Notice kind="conflict" isSmall title={t('cool.both')} />}
      {watched && <Doing {...props} watched={watched} />}
      <DoubtfulReadings {...props} />
      <Tray
        depthM={state.depthM}
        words={
          air === null
            ? words.placeName(state)
            : t('cool.air', { place: words.placeName(state), temp: formatTemp({ tempC: air }, kitchen.readsIn) })
        }
      />
      <SilentProbe {...props} />
      <View className="flex-row flex-wrap gap-2">
        <Button label={t('cool.move')} size="body" className="min-w-28 flex-1" onPress={() => onOpen('move')} />
        {props.kitchen.instruments.includes('probe') && (
          <Button label={t('cool.probe')} size="body" className="min-w-20 flex-1" onPress={() => onOpen('probe')} />
        )}
        <Button label={t('lot.more')} size="body" className="min-w-20 flex-1" onPress={() => onOpen('more')} />
      </View>
      {watched && (
        <Text size="small" tone="ash" stretch="slim">
          {[
            t('cool.loss', { percent: (watched.forecast.massLossFraction * 100).toFixed(1) }),
            t('cool.growth', { times: (10 ** watched.forecast.growth.bacillusCereus).toPrecision(2) }),
          ].join('; ')}
        </Text>
      )}
      <Text size="small" tone="ash" stretch="slim">
        {t('local')}
      </Text>
    </View>
  )
}

function Pace({ watched, kitchen, nowMs }: SideProps & { watched: WatchedLot }) {
  const t = useWords('rice')
  const time = (ms: number | null) => (ms === null ? '–' : formatTime(ms, kitchen.timeZone))
  const { steps } = watched.forecast
  const last = steps.at(-1)
  if (!last) return null
  const first = steps.length > 1 ? steps[0] : undefined
  const minutes =
    last.soonestMs !== null && last.latestMs !== null ? Math.round((last.latestMs - last.soonestMs) / 120_000) : null
  const limit = time(last.limitMs)
  const temp = (step: StepForecast) => formatTemp(step, kitchen.readsIn)
  const isUnread = (step: StepForecast) => !step.isRead && step.reachedMs !== null && step.reachedMs <= nowMs
  return (
    <View>
      <Text tone="ash">
        {t(last.reachedMs === null ? 'cool.never' : isUnread(last) ? 'cool.crossed' : 'cool.pace', {
          temp: temp(last),
        })}
      </Text>
      {last.reachedMs !== null && (
        <Text size="action" weight="bold" stretch="narrow">
          {time(last.reachedMs)}
        </Text>
      )}
      <Text stretch="slim">
        {minutes === null ? t('cool.limit', { limit }) : t('cool.band', { min: minutes, limit })}
      </Text>
      {isUnread(last) && <Text weight="bold">{t('cool.unread')}</Text>}
      {first && (
        <Text tone="ash" stretch="slim">
          {t(first.isRead ? 'cool.met' : isUnread(first) ? 'cool.firstUnread' : 'cool.first', {
            temp: temp(first),
            time: time(first.reachedMs),
            limit: time(first.limitMs),
          })}
        </Text>
      )}
    </View>
  )
}

const NOTABLE = 0.1

/** Inside the rule or not, in a sentence; and what would bring it back. */
function Doing({ watched, shown, kitchen, house }: SideProps & { watched: WatchedLot }) {
  const t = useWords('rice')
  const { steps, fit } = watched.forecast
  const risk = stepAtRisk(steps)
  const off = fit.surfaceFactor - 1
  const time = (ms: number) => formatTime(ms, kitchen.timeZone)
  const pace =
    shown.state.readings.length < 2 || Math.abs(off) < NOTABLE
      ? t('cool.asPlanned')
      : off < 0
        ? t('cool.slower', { percent: Math.round(-off * 100) })
        : t('cool.faster', { percent: Math.round(off * 100) })
  if (!risk) {
    return (
      <View className="border-t border-edge pt-2">
        <Text weight="bold">{t('cool.inside')}</Text>
        <Text tone="ash" stretch="slim">
          {pace}
        </Text>
      </View>
    )
  }
  const { advice } = watched
  const sentence =
    risk.reachedMs === null
      ? t('cool.riskNever', { temp: formatTemp(risk, kitchen.readsIn) })
      : t('cool.risk', {
          temp: formatTemp(risk, kitchen.readsIn),
          time: time(risk.reachedMs),
          limit: time(risk.limitMs ?? 0),
        })
  const follow = () => {
    if (!advice) return
    const { remedy } = advice
    const place = house.places.find((one) => one.kind === remedy.place)
    sayOfLot(shown.lot.id, {
      kind: 'moved',
      place: remedy.place,
      placeId: remedy.place === shown.state.place ? shown.state.placeId : (place?.id ?? null),
      covered: false,
      airTempC: remedy.place === shown.state.place ? shown.state.airTempC : (place?.airTempC ?? null),
      depthM: remedy.depthM,
    })
  }
  return (
    <View className="gap-1">
      <Notice kind="hazard" isSmall title={sentence} />
      <Text tone="ash" stretch="slim">
        {pace}
      </Text>
      {advice ? (
        <View className="mt-1 gap-1 border-t border-edge pt-2">
          <Text tone="ash">{t('cool.doNow')}</Text>
          <Text size="title" weight="bold" stretch="slim">
            {t(`cool.remedy.${advice.remedy.kind}`, {
              cm: centimetres(advice.remedy.depthM),
              place: t(`places.${advice.remedy.place}`),
            })}
          </Text>
          <Text stretch="slim">
            {t('cool.then', {
              temp: formatTemp(steps.at(-1) ?? { tempC: 5 }, kitchen.readsIn),
              time: time(advice.reachedMs.at(-1) ?? 0),
            })}
          </Text>
          <Button label={t('cool.done')} onPress={follow} />
        </View>
      ) : (
        <Notice kind="conflict" isSmall title={t('cool.hopeless')}>
          {t('cool.hopelessDetail')}
        </Notice>
      )}
    </View>
  )
}

/** The tray from the side with its depth. */
function Tray({ depthM, words }: { depthM: number | null; words: string }) {
  if (depthM === null) return null
  const fillPx = Math.min(34, depthM * 500)
  return (
    <View className="flex-row items-center gap-3">
      <Svg width={84} height={44} aria-hidden>
        <Rect x={10} y={40 - fillPx} width={64} height={fillPx} fill="rgb(216 207 188)" />
        <Path d="M2 6 H6 L10 40 H74 L78 6 H82" stroke="rgb(var(--rice))" strokeWidth={2} fill="none" />
        <Line x1={42} x2={42} y1={40 - fillPx} y2={2} stroke="rgb(var(--rice))" strokeWidth={1.4} />
      </Svg>
      <View className="min-w-0 flex-1">
        <Text weight="bold" stretch="narrow">
          {`${centimetres(depthM)} cm`}
        </Text>
        <Text tone="ash" stretch="slim">
          {words}
        </Text>
      </View>
    </View>
  )
}

const SILENT_MS = 6 * 60_000

/** A probe in the tray that has sent nothing for a while, whatever the reason. */
function SilentProbe({ shown, kitchen, nowMs }: LotPage) {
  const t = useWords('rice')
  const probe = useProbe().data
  if (probe?.lotId !== shown.lot.id) return null
  const lastMs = shown.state.readings.filter((one) => one.source === 'probe').at(-1)?.atMs ?? 0
  const heardMs = Math.max(lastMs, probe.sinceMs ?? 0)
  if (nowMs - heardMs < SILENT_MS) return null
  return (
    <Notice kind="conflict" isSmall title={t('probe.silentSince', { time: formatTime(heardMs, kitchen.timeZone) })} />
  )
}
