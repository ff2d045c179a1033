import { tempAtC } from 'core/rice/cooling/fitCooling'
import type { Curve } from 'core/rice/cooling/judgeCurve'
import type { LotForecast } from 'core/rice/lot/lotForecast'
import type { ShownReading } from 'core/rice/lot/lotEvent'
import Svg, { G, Line, LinearGradient, Path, Pattern, Rect, Stop, Text as SvgText } from 'react-native-svg'
import { View } from 'react-native'
import { ticks } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { area, line } from 'd3-shape'
import { clockTicks } from '../../ui/chart'
import { Definitions } from '../../ui/Definitions'
import type { TempUnit } from 'core/measure/temperature'
import { degrees, formatTemp, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'

type CoolingChartProps = {
  name: string
  forecast: LotForecast
  readings: readonly ShownReading[]
  timeZone: string
  readsIn: TempUnit
  nowMs: number
  widthPx: number
  heightPx: number
}

const TIME_PX = 50
const HOTTEST_C = 112
const COLDEST_C = 0
const HOUR_MS = 3_600_000
const TOP_PX = 8
const POINTS = 80
const IN_CHANNEL = 'rgb(var(--in-channel))'
/** Ember to steel by temperature, so that the ribbon's colour says what its width says. */
const HUES: readonly [number, string][] = [
  [95, 'rgb(138 58 47)'],
  [60, 'rgb(168 66 46)'],
  [40, 'rgb(150 60 48)'],
  [21, 'rgb(112 78 74)'],
  [5, 'rgb(75 85 90)'],
]

/** Time runs down; the ribbon is as wide as the core is warm. Limits are hatched ground that it must not reach. */
export function CoolingChart(props: CoolingChartProps) {
  const { name, forecast, readings, timeZone, readsIn, nowMs, widthPx, heightPx } = props
  const t = useWords('rice')
  const { fromMs } = forecast
  const endMs = endOf(props)
  const y = scaleLinear([fromMs, endMs], [TOP_PX, heightPx])
  const x = scaleLinear([COLDEST_C, HOTTEST_C], [TIME_PX, widthPx]).clamp(true)
  const instants = ticks(0, 1, POINTS).map((share) => fromMs + share * (endMs - fromMs))
  const at = (curve: Curve) => (ms: number) => x(tempAtC(curve, (ms - fromMs) / 1000))
  const lineOf = (curve: Curve) => line<number>().x(at(curve)).y(y)(instants) ?? ''
  const areaOf = (from: number | ((ms: number) => number), to: Curve) =>
    area<number>()
      .x0(typeof from === 'number' ? () => from : from)
      .x1(at(to))
      .y(y)(instants) ?? ''
  const shown = readings.filter((one) => one.doubt === null && one.atMs >= fromMs)
  const said = shown.map((one) =>
    t('cool.reading', { temp: formatTemp(one, readsIn), time: formatTime(one.atMs, timeZone) }),
  )
  const ahead = forecast.steps.map((step) =>
    step.reachedMs === null
      ? t('cool.never', { temp: formatTemp(step, readsIn) })
      : t(step.isRead || step.reachedMs > nowMs ? 'cool.reading' : 'cool.chartUnread', {
          temp: formatTemp(step, readsIn),
          time: formatTime(step.reachedMs, timeZone),
        }),
  )
  return (
    <View role="img" aria-label={t('cool.chart', { name, readings: said.join(', '), forecast: ahead.join(', ') })}>
      <Svg width={widthPx} height={heightPx} aria-hidden>
        <Definitions>
          <LinearGradient id="cool-heat" x1="0" y1="0" x2="0" y2="1">
            {HUES.map(([tempC, hue]) => (
              <Stop key={tempC} offset={shareAt(forecast.curve, tempC, fromMs, endMs)} stopColor={hue} />
            ))}
          </LinearGradient>
          <Pattern id="cool-limit" width={8} height={8} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <Rect width={8} height={8} fill="rgb(var(--channel))" />
            <Line x1={0} y1={0} x2={0} y2={8} stroke="rgb(102 114 122)" strokeWidth={2.4} />
          </Pattern>
        </Definitions>
        <Rect x={TIME_PX} y={0} width={widthPx - TIME_PX} height={heightPx} fill="rgb(var(--channel))" />
        <Path d={areaOf(TIME_PX, forecast.curve)} fill="url(#cool-heat)" />
        <Limits {...props} x={x} y={y} />
        <Path d={areaOf(at(forecast.fast), forecast.slow)} fill={IN_CHANNEL} opacity={0.28} />
        <Path d={lineOf(forecast.planned)} stroke={IN_CHANNEL} strokeWidth={1.6} strokeDasharray="2 4" fill="none" />
        <Path d={lineOf(forecast.curve)} stroke={IN_CHANNEL} strokeWidth={2.4} fill="none" />
        {clockTicks(fromMs, endMs, 60, timeZone).map((ms) => (
          <G key={ms}>
            <SvgText x={0} y={y(ms) + 5} fontSize={13} fontFamily="Archivo Variable" fill="rgb(var(--ash))">
              {formatTime(ms, timeZone)}
            </SvgText>
            <Line x1={TIME_PX - 6} x2={TIME_PX} y1={y(ms)} y2={y(ms)} stroke="rgb(var(--ash))" strokeWidth={1.4} />
          </G>
        ))}
        {thinned(shown, y).map((one) => (
          <G key={one.eventId}>
            <Line
              x1={TIME_PX}
              x2={x(one.tempC)}
              y1={y(one.atMs)}
              y2={y(one.atMs)}
              stroke={IN_CHANNEL}
              strokeWidth={2.6}
            />
            <SvgText
              x={Math.min(x(one.tempC) + 5, widthPx - 24)}
              y={y(one.atMs) + 5}
              fontSize={15}
              fontWeight="700"
              fontFamily="Archivo Variable"
              fill={IN_CHANNEL}
            >
              {Math.round(degrees(one, readsIn))}
            </SvgText>
          </G>
        ))}
        <Line x1={0} x2={widthPx} y1={y(nowMs)} y2={y(nowMs)} stroke="rgb(var(--celadon))" strokeWidth={2.6} />
        <Path
          d={`M${widthPx - 10} ${y(nowMs) - 8} L${widthPx} ${y(nowMs)} L${widthPx - 10} ${y(nowMs) + 8} Z`}
          fill="rgb(var(--celadon))"
        />
      </Svg>
    </View>
  )
}

/** From its limit on, a step's temperature is ground the ribbon must not reach. */
function Limits({
  forecast,
  timeZone,
  readsIn,
  widthPx,
  heightPx,
  x,
  y,
}: CoolingChartProps & { x: (tempC: number) => number; y: (ms: number) => number }) {
  const t = useWords('rice')
  const known = forecast.steps.filter((step) => step.limitMs !== null && y(step.limitMs) < heightPx)
  return (
    <>
      {known.map((step, i) => {
        const top = y(step.limitMs!)
        const next = known[i + 1]
        const bottom = next ? y(next.limitMs!) : heightPx
        return (
          <G key={step.tempC}>
            <Rect
              x={x(step.tempC)}
              y={top}
              width={widthPx - x(step.tempC)}
              height={bottom - top}
              fill="url(#cool-limit)"
            />
            <Path
              d={`M${widthPx} ${top} H${x(step.tempC)} V${bottom}`}
              stroke={IN_CHANNEL}
              strokeWidth={1.6}
              fill="none"
            />
            <Plate
              right={widthPx}
              y={Math.min(top - 22, heightPx - 48)}
              words={t('cool.by', { time: formatTime(step.limitMs!, timeZone) })}
            />
            <Plate
              right={widthPx}
              y={Math.min(top + 4, heightPx - 22)}
              words={t('cool.over', { temp: formatTemp(step, readsIn) })}
            />
          </G>
        )
      })}
    </>
  )
}

const LETTER_PX = 6.9

function Plate({ right, y, words }: { right: number; y: number; words: string }) {
  const width = words.length * LETTER_PX + 8
  return (
    <>
      <Rect x={right - width} y={y} width={width} height={19} fill="rgb(var(--channel))" />
      <SvgText
        x={right - 4}
        y={y + 14}
        fontSize={13}
        fontWeight="600"
        textAnchor="end"
        fontFamily="Archivo Variable"
        fill={IN_CHANNEL}
      >
        {words}
      </SvgText>
    </>
  )
}

/** The chart ends when the rule is decided, one way or the other. */
function endOf({ forecast, nowMs }: CoolingChartProps): number {
  const last = forecast.steps.at(-1)
  const decided = Math.max(last?.limitMs ?? 0, Math.min(last?.reachedMs ?? 0, (last?.limitMs ?? 0) + 2 * HOUR_MS))
  return Math.max(decided + 0.4 * HOUR_MS, nowMs + 0.5 * HOUR_MS, forecast.fromMs + 2 * HOUR_MS)
}

function shareAt(curve: Curve, tempC: number, fromMs: number, endMs: number): number {
  const i = curve.coreC.findIndex((one) => one <= tempC)
  const timeS = i < 0 ? (endMs - fromMs) / 1000 : curve.timesS[i]!
  return Math.min(1, (timeS * 1000) / (endMs - fromMs))
}

const READING_PX = 17

/** Of readings closer than their figures are high, the later stands. */
function thinned(readings: readonly ShownReading[], y: (ms: number) => number): ShownReading[] {
  const kept: ShownReading[] = []
  for (const one of [...readings].reverse())
    if (kept.every((other) => Math.abs(y(other.atMs) - y(one.atMs)) >= READING_PX)) kept.push(one)
  return kept
}
