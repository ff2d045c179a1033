import { expectedC } from 'core/rice/lot/lotForecast'
import { doubtReading, type DoubtedReading } from 'core/rice/lot/doubtReading'
import { usualAirTempC } from 'core/rice/cooling/coolingPlace'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { useAwake } from '../../device/awake'
import { kitchenNowMs } from '../../device/clock'
import { ToastPlace } from '../../ui/Toast'
import { toast } from '../../ui/Toast'
import { useIsWide } from '../../ui/useIsWide'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { kilos, useLotWords } from '../lotWords'
import { sayOfLot } from '../useLots'
import { useWatchedLot } from '../useRiceWork'
import { AskReading } from './AskReading'
import { CoolingChart } from './CoolingChart'
import { CoolingSide } from './CoolingSide'
import { LotHead } from './LotHead'
import type { LotPage, LotSheet } from './lotPage'
import { ReadingBar } from './ReadingBar'

const CHART_PX = { phone: 194, wide: 420 } as const

type Asked = { tempC: number; doubted: DoubtedReading }

/** A lot while it cools: where it goes, what to do, and a dial to log what the probe says. */
export function CoolingLot({ onOpen, ...page }: LotPage & { onOpen: (sheet: LotSheet) => void }) {
  useAwake()
  const { shown, kitchen, house, nowMs } = page
  const t = useWords('rice')
  const words = useLotWords(kitchen, house)
  const isWide = useIsWide()
  const [heightPx, setHeightPx] = useState(0)
  const [asked, setAsked] = useState<Asked | null>(null)
  const watched = useWatchedLot(shown, house, nowMs)
  const { lot, state } = shown
  const last = state.readings.filter((one) => one.doubt === null).at(-1) ?? null
  const expected = watched ? expectedC(watched.forecast, nowMs) : (state.lastTempC ?? 57)
  const say = (tempC: number, doubted: DoubtedReading | null) => {
    const read = { kind: 'read', tempC, source: 'dial', doubt: doubted?.doubt ?? null } as const
    const ids = doubted
      ? sayOfLot(lot.id, read, ([eventId]) => ({ kind: 'confirmed', eventId: eventId as never }))
      : sayOfLot(lot.id, read)
    toast(t('lot.says.read', { tempC }), () => sayOfLot(lot.id, { kind: 'undone', eventId: ids[0] as never }))
  }
  const log = (tempC: number) => {
    const place = state.place
    const coldestC =
      state.airTempC ?? (place === null || place === 'bench' || place === 'freezer' ? -25 : usualAirTempC(place))
    const doubted = doubtReading({
      tempC,
      atMs: kitchenNowMs(),
      last,
      coldestC: place === 'ice-bath' ? 0 : coldestC,
      expectedC: watched ? expected : null,
      isOut: false,
    })
    if (doubted) setAsked({ tempC, doubted })
    else say(tempC, null)
  }
  const chartPx = isWide ? CHART_PX.wide : CHART_PX.phone
  return (
    <View role="main" className="min-h-0 flex-1 bg-ground">
      <LotHead
        title={`${lot.name}, ${t(`stages.${state.stage}`)}`}
        about={t('lot.about', { kg: kilos(state.massG), grain: lot.grain, place: words.placeName(state) })}
        big={formatTime(nowMs, kitchen.timeZone)}
        small={t('next.readSoon', { time: formatTime(last?.atMs ?? nowMs, kitchen.timeZone) })}
      />
      <View className="min-h-0 flex-1 flex-row">
        <View
          style={{ width: chartPx }}
          className="overflow-hidden"
          onLayout={(event) => setHeightPx(Math.round(event.nativeEvent.layout.height))}
        >
          {watched && heightPx > 0 && (
            <CoolingChart
              name={lot.name}
              forecast={watched.forecast}
              readings={state.readings}
              timeZone={kitchen.timeZone}
              nowMs={nowMs}
              widthPx={chartPx}
              heightPx={heightPx}
            />
          )}
        </View>
        <ScrollView tabIndex={0} className="min-h-0 flex-1 px-4 pt-2">
          <CoolingSide {...page} watched={watched} onOpen={onOpen} />
        </ScrollView>
      </View>
      <View className="border-t border-edge bg-plate px-3 pb-3 pt-1">
        <View className="w-full max-w-2xl self-center">
          <ReadingBar
            expectedC={expected}
            detail={t('cool.logDetail', {
              time: formatTime(nowMs, kitchen.timeZone),
              n: state.readings.length + 1,
            })}
            onLog={log}
          />
        </View>
      </View>
      <AskReading asked={asked} fromC={last?.tempC ?? null} onSay={say} onClose={() => setAsked(null)} />
      <ToastPlace />
    </View>
  )
}
