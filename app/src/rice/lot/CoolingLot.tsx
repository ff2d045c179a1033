import { expectedC, readingDecides } from 'core/rice/lot/lotForecast'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { useAwake } from '../../device/awake'
import { ToastPlace } from '../../ui/Toast'
import { useIsWide } from '../../ui/useIsWide'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useLotWords } from '../lotWords'
import { useWatchedLot } from '../useRiceWork'
import { CoolingChart } from './CoolingChart'
import { CoolingSide } from './CoolingSide'
import { LotHead } from './LotHead'
import type { LotPage, LotSheet } from './lotPage'
import { NONE, valueOf } from '../../device/worked'
import { ReadingBar } from './ReadingBar'
import { useSayReading } from './useSayReading'
import { useMassWords } from '../../setup/useMassWords'

const CHART_PX = { phone: 194, wide: 420 } as const
const USUAL_START_C = 57

/** A lot while it cools: where it goes, what to do, and a dial to log what the probe says. */
export function CoolingLot({ onOpen, ...page }: LotPage & { onOpen: (sheet: LotSheet) => void }) {
  useAwake()
  const { shown, kitchen, house, nowMs } = page
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const words = useLotWords(kitchen, house)
  const isWide = useIsWide()
  const [heightPx, setHeightPx] = useState(0)
  const work = useWatchedLot(shown, house, nowMs)
  const watched = valueOf(work)
  const { lot, state } = shown
  const last = state.readings.filter((one) => one.doubt === null).at(-1) ?? null
  const modelC = watched ? expectedC(watched.forecast, nowMs) : null
  const { log, ask } = useSayReading(page, modelC)
  const isHinted = watched !== null && modelC !== null && !readingDecides(state, watched.forecast.steps, nowMs)
  const chartPx = isWide ? CHART_PX.wide : CHART_PX.phone
  return (
    <View role="main" className="min-h-0 flex-1 bg-ground">
      <LotHead
        title={`${lot.name}, ${t(`stages.${state.stage}`)}`}
        about={t('lot.about', { mass: bulk(state.massG), grain: lot.grain, place: words.placeName(state) })}
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
              readsIn={kitchen.readsIn}
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
            readsIn={kitchen.readsIn}
            aroundC={last?.tempC ?? USUAL_START_C}
            expectedC={work.kind === 'working' ? work : isHinted ? { kind: 'value', value: modelC } : NONE}
            detail={t('cool.logDetail', {
              time: formatTime(nowMs, kitchen.timeZone),
              n: state.readings.length + 1,
            })}
            onLog={log}
          />
        </View>
      </View>
      {ask}
      <ToastPlace />
    </View>
  )
}
