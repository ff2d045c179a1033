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
import { degrees, formatClock, formatDay, formatTemp, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useLotWords } from '../lotWords'
import { sayOfLot, type SaidHere } from '../useLots'
import { DoubtfulReadings } from './DoubtfulReadings'
import { LotHead } from './LotHead'
import type { LotPage, LotSheet } from './lotPage'
import { useMoveTo, usePlaceOf } from './moveTo'
import { useMassWords } from '../../setup/useMassWords'

type ShelfLotProps = LotPage & { onOpen: (sheet: LotSheet) => void }

/** A lot that is cold, frozen or over: how much, how long yet, and what can be done with it. */
export function ShelfLot(props: ShelfLotProps) {
  const { shown, kitchen, house, nowMs } = props
  const { mass, bulkParts } = useMassWords()
  const left = bulkParts(props.shown.state.massG)
  const t = useWords('rice')
  const words = useLotWords(kitchen, house)
  const isWide = useIsWide()
  const { lot, state } = shown
  const main = <MainAct {...props} />
  const zone = kitchen.timeZone
  const cookedMs = state.cookedAtMs
  const ended = state.end
  const last = state.readings.filter((one) => one.doubt === null).at(-1)
  const late = state.log.filter(({ why }) => why === 'saidTooLate' || why === 'afterEnd').length
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
          <WhyNot {...props} />
          {state.overdrawnG > 1 && (
            <Notice kind="conflict" isSmall title={t('lot.overdrawn', { mass: mass(state.overdrawnG) })} />
          )}
          {late > 0 && <Text>{t('lot.late', { count: late })}</Text>}
          <DoubtfulReadings {...props} />
          <View className="flex-row flex-wrap gap-y-3">
            <Figure big={left.figures} unit={left.unit} small={t('lot.left')} />
            <Figure
              big={last === undefined ? '–' : String(Math.round(degrees(last, kitchen.readsIn)))}
              unit={t(`degrees.${kitchen.readsIn}`)}
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
          {state.looseness !== null && <Text tone="ash">{t(`lot.looseness.${state.looseness}.name`)}</Text>}
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

/** Why it may not be fried now, and what makes it fit again where anything does. */
function WhyNot({ shown, kitchen }: ShelfLotProps) {
  const t = useWords('rice')
  const { notUsable } = shown.state
  if (!notUsable) return null
  switch (notUsable.kind) {
    case 'over':
    case 'frozen':
    case 'cooking':
    case 'cooling':
      return null
    case 'held': {
      const { reading } = notUsable
      return (
        <Notice kind="hazard" title={t('lot.notUsable')}>
          {t('lot.held', {
            temp: formatTemp(reading, kitchen.readsIn),
            time: formatTime(reading.atMs, kitchen.timeZone),
          })}
        </Notice>
      )
    }
    case 'tooOld':
    case 'outTooLong':
    case 'unproven':
    case 'overdue':
    case 'empty':
      return (
        <Notice kind="hazard" title={t('lot.notUsable')}>
          {t(`why.${WHY[notUsable.kind]}`)}
        </Notice>
      )
  }
}

const WHY = { tooOld: 'old', outTooLong: 'out', unproven: 'unproven', overdue: 'overdue', empty: 'empty' } as const

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
function MainAct({ onOpen, ...page }: ShelfLotProps): ReactNode {
  const { shown, kitchen } = page
  const t = useWords('rice')
  const moveTo = useMoveTo(page)
  const placeOf = usePlaceOf(page)
  const { lot, state } = shown
  const say = (said: SaidHere, words: string) => {
    const [id] = sayOfLot(lot.id, said)
    toast(words, () => sayOfLot(lot.id, { kind: 'undone', eventId: id }))
  }
  if (state.end) return <Button isTall label={t('lot.trace')} onPress={() => onOpen('trace')} />
  const isPast = state.notUsable?.kind === 'tooOld' || state.notUsable?.kind === 'outTooLong'
  if (isPast) return <Button kind="main" isTall label={t('lot.throwAway')} onPress={() => onOpen('throw')} />
  if (state.stage === 'ready') {
    const outS = HOLDING_LIMITS[kitchen.ruleSet].outS - state.outS
    return (
      <Button
        kind="main"
        isTall
        label={t('lot.carry')}
        detail={t('lot.carryDetail', { time: formatClock(outS / 60) })}
        onPress={() => say(moveTo('bench'), t('lot.says.moved', { place: placeOf('bench') }))}
      />
    )
  }
  if (state.stage === 'frozen')
    return (
      <Button
        kind="main"
        isTall
        label={t('lot.thaw')}
        onPress={() => say(moveTo('fridge'), t('lot.says.moved', { place: placeOf('fridge') }))}
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
function Acts({ onOpen, ...page }: ShelfLotProps) {
  const t = useWords('rice')
  const moveTo = useMoveTo(page)
  const { lot, state } = page.shown
  const isOpen = state.end === null
  const acts: { label: string; onPress: () => void; isShown: boolean }[] = [
    { label: t('lot.back'), onPress: () => onOpen('back'), isShown: isOpen && state.stage === 'tempering' },
    { label: t('lot.count'), onPress: () => onOpen('count'), isShown: isOpen },
    { label: t('lot.loosen'), onPress: () => onOpen('loosen'), isShown: isOpen && state.stage !== 'frozen' },
    { label: t('lot.read'), onPress: () => onOpen('read'), isShown: isOpen },
    { label: t('lot.label'), onPress: () => onOpen('label'), isShown: true },
    { label: t('lot.trace'), onPress: () => onOpen('trace'), isShown: isOpen },
    { label: t('lot.log'), onPress: () => onOpen('log'), isShown: true },
    { label: t('lot.split'), onPress: () => onOpen('split'), isShown: isOpen && state.massG > 200 },
    { label: t('lot.merge'), onPress: () => onOpen('merge'), isShown: isOpen },
    {
      label: t('lot.freeze'),
      onPress: () => sayOfLot(lot.id, moveTo('freezer')),
      isShown: state.stage === 'ready' && state.freezes === 0,
    },
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
