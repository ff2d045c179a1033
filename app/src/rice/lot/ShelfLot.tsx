import { waterFractionOf } from 'core/rice/waterBalance'
import { HOLDING_LIMITS } from 'core/safety/coolingLimits'
import type { ReactNode } from 'react'
import { ScrollView, View } from 'react-native'
import { Button } from '../../ui/Button'
import { Frame } from '../../ui/Frame'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useIsWide } from '../../ui/useIsWide'
import { formatClock, formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { kilos, useLotWords } from '../lotWords'
import { sayOfLot, type SaidHere } from '../useLots'
import { DoubtfulReadings } from './DoubtfulReadings'
import { LotHead } from './LotHead'
import type { LotPage, LotSheet } from './lotPage'

type ShelfLotProps = LotPage & { onOpen: (sheet: LotSheet) => void }

/** A lot that is cold, frozen or over: how much, how long yet, and what can be done with it. */
export function ShelfLot(props: ShelfLotProps) {
  const { shown, kitchen, house, nowMs } = props
  const t = useWords('rice')
  const words = useLotWords(kitchen, house)
  const isWide = useIsWide()
  const { lot, state } = shown
  const main = <MainAct {...props} />
  const zone = kitchen.timeZone
  const cookedMs = state.cookedAtMs
  const ended = state.end
  const big = state.useByMs === null ? '' : formatDay(state.useByMs, zone)
  return (
    <Frame stage="rice" bar={main}>
      <LotHead
        title={`${lot.name}, ${t(`stages.${state.stage}`)}`}
        about={[
          cookedMs === null
            ? ''
            : t('lot.cooked', { time: `${formatDay(cookedMs, zone)} ${formatTime(cookedMs, zone)}` }),
          lot.origin === 'cooked' ? '' : t(`lot.${lot.origin}`),
        ]
          .filter(Boolean)
          .join(', ')}
        big={big}
        small={big ? t('useByOf', { day: words.dayOf(shown, nowMs) }) : ''}
      />
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-2xl gap-4 self-center p-4">
          {ended && (
            <Notice
              kind="conflict"
              isSmall
              title={t('lot.over', {
                stage: ended.reason
                  ? `${t(`stages.${ended.kind}`)}: ${t(`lot.reasons.${ended.reason}`)}`
                  : t(`stages.${ended.kind}`),
                time: `${formatDay(ended.atMs, zone)} ${formatTime(ended.atMs, zone)}`,
              })}
            />
          )}
          {!ended && !state.isUsable && state.stage !== 'frozen' && (
            <Notice kind="hazard" title={t('lot.notUsable')}>
              {t(`why.${(state.useByMs ?? Infinity) < nowMs ? 'old' : 'out'}`)}
            </Notice>
          )}
          {state.overdrawnG > 1 && (
            <Notice kind="conflict" isSmall title={t('lot.overdrawn', { g: Math.round(state.overdrawnG) })} />
          )}
          {state.afterEnd.length > 0 && <Text>{t('lot.afterEnd', { count: state.afterEnd.length })}</Text>}
          <DoubtfulReadings {...props} />
          <View className="flex-row flex-wrap gap-y-3">
            <Figure big={kilos(state.massG)} unit={t('kilograms')} small={t('lot.left')} />
            <Figure
              big={state.lastTempC === null ? '–' : String(Math.round(state.lastTempC))}
              unit={t('celsius')}
              small={words.placeName(state)}
            />
            {state.outByMs !== null && (
              <Figure
                big={formatClock(Math.max(0, (state.outByMs - nowMs) / 60_000))}
                unit=""
                small={t('useByTime', { time: formatTime(state.outByMs, zone) })}
              />
            )}
          </View>
          {lot.load && state.spreadMassG !== null && (
            <Text tone="ash">
              {t('lot.moisture', {
                percent: Math.round(waterFractionOf(lot.load.dryMassG, state.spreadMassG) * 100),
              })}
            </Text>
          )}
          {isWide && main}
          <Acts {...props} />
          <Text size="small" tone="ash">
            {t('local')}
          </Text>
        </View>
      </ScrollView>
    </Frame>
  )
}

function Figure({ big, unit, small }: { big: string; unit: string; small: string }) {
  return (
    <View className="min-w-[33%] flex-1">
      <View className="flex-row items-baseline gap-1">
        <Text size="action" weight="bold" stretch="narrow">
          {big}
        </Text>
        <Text size="step" weight="semi">
          {unit}
        </Text>
      </View>
      <Text stretch="slim">{small}</Text>
    </View>
  )
}

/** What usually comes next for a lot in this state. */
function MainAct({ shown, house, kitchen, nowMs, onOpen }: ShelfLotProps): ReactNode {
  const t = useWords('rice')
  const { lot, state } = shown
  const bench = house.places.find((place) => place.kind === 'bench')
  const fridge = house.places.find((place) => place.kind === 'fridge')
  const move = (place: typeof bench, kind: 'bench' | 'fridge'): SaidHere => ({
    kind: 'moved',
    place: kind,
    placeId: place?.id ?? null,
    covered: true,
    airTempC: place?.airTempC ?? null,
    depthM: null,
  })
  const say = (said: SaidHere, words: string) => {
    const [id] = sayOfLot(lot.id, said)
    toast(words, () => sayOfLot(lot.id, { kind: 'undone', eventId: id as never }))
  }
  if (state.end) return <Button isTall label={t('lot.trace')} onPress={() => onOpen('trace')} />
  const isPast = (state.useByMs ?? Infinity) < nowMs || (state.outByMs ?? Infinity) < nowMs
  if (isPast) return <Button kind="main" isTall label={t('lot.throwAway')} onPress={() => onOpen('throw')} />
  if (state.stage === 'ready') {
    const outS = HOLDING_LIMITS[kitchen.ruleSet].outS - state.outS
    return (
      <Button
        kind="main"
        isTall
        label={t('lot.carry')}
        detail={t('lot.carryDetail', { time: formatClock(outS / 60) })}
        onPress={() => say(move(bench, 'bench'), t('lot.says.moved', { place: bench?.name ?? t('places.bench') }))}
      />
    )
  }
  if (state.stage === 'frozen')
    return (
      <Button
        kind="main"
        isTall
        label={t('lot.thaw')}
        onPress={() => say(move(fridge, 'fridge'), t('lot.says.moved', { place: fridge?.name ?? t('places.fridge') }))}
      />
    )
  return (
    <Button
      kind="main"
      isTall
      label={t('lot.finish')}
      onPress={() => say({ kind: 'finished' }, t('lot.finishDone', { name: lot.name }))}
    />
  )
}

/** Everything else, in the order of how often it is wanted. */
function Acts({ shown, house, onOpen }: ShelfLotProps) {
  const t = useWords('rice')
  const { lot, state } = shown
  const place = (kind: 'fridge' | 'freezer') => house.places.find((one) => one.kind === kind)
  const move = (kind: 'fridge' | 'freezer') =>
    sayOfLot(lot.id, {
      kind: 'moved',
      place: kind,
      placeId: place(kind)?.id ?? null,
      covered: true,
      airTempC: place(kind)?.airTempC ?? null,
      depthM: null,
    })
  const isOpen = state.end === null
  const acts: { label: string; onPress: () => void; isShown: boolean }[] = [
    { label: t('lot.back'), onPress: () => move('fridge'), isShown: isOpen && state.stage === 'tempering' },
    { label: t('lot.count'), onPress: () => onOpen('count'), isShown: isOpen },
    { label: t('lot.read'), onPress: () => onOpen('read'), isShown: isOpen },
    { label: t('lot.label'), onPress: () => onOpen('label'), isShown: true },
    { label: t('lot.trace'), onPress: () => onOpen('trace'), isShown: isOpen },
    { label: t('lot.log'), onPress: () => onOpen('log'), isShown: true },
    { label: t('lot.split'), onPress: () => onOpen('split'), isShown: isOpen && state.massG > 200 },
    { label: t('lot.merge'), onPress: () => onOpen('merge'), isShown: isOpen },
    { label: t('lot.freeze'), onPress: () => move('freezer'), isShown: state.stage === 'ready' && state.freezes === 0 },
    { label: t('lot.throwAway'), onPress: () => onOpen('throw'), isShown: isOpen },
  ]
  return (
    <View className="flex-row flex-wrap gap-2.5">
      {acts
        .filter((act) => act.isShown)
        .map((act) => (
          <Button key={act.label} label={act.label} className="min-w-[46%] flex-1" onPress={act.onPress} />
        ))}
    </View>
  )
}
