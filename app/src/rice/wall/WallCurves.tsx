import type { LotUse } from 'core/rice/plan/tonight'
import { tempAtC } from 'core/rice/cooling/fitCooling'
import type { LotForecast } from 'core/rice/lot/lotForecast'
import { ticks } from 'd3-array'
import { scaleLinear, type ScaleLinear } from 'd3-scale'
import { area, line } from 'd3-shape'
import Svg, { G, Line, LinearGradient, Path, Pattern, Rect, Stop, Text as SvgText } from 'react-native-svg'
import { clockTicks } from '../../ui/chart'
import { Definitions } from '../../ui/Definitions'
import { formatTime } from '../../words/format'

/** A column as it is drawn: its left edge, what cools in it, what it reads, and from when it is cold and kept. */
export type DrawnColumn = {
  id: string
  xPx: number
  forecast: LotForecast | null
  tempC: number | null
  /** Before this there was no lot. */
  bornMs: number
}

type WallCurvesProps = {
  columns: readonly DrawnColumn[]
  uses: readonly LotUse[]
  columnPx: number
  widthPx: number
  heightPx: number
  fromMs: number
  toMs: number
  nowMs: number
  timeZone: string
}

const TIME_PX = 54
const HOTTEST_C = 105
const POINTS = 60
const IN_CHANNEL = 'rgb(var(--in-channel))'
const EMBER = [
  [95, 'rgb(138 58 47)'],
  [60, 'rgb(168 66 46)'],
  [40, 'rgb(150 60 48)'],
  [21, 'rgb(112 78 74)'],
  [5, 'rgb(75 85 90)'],
] as const

/** The cooling of every lot on one clock that runs down: ribbons as wide as the core is warm, limits hatched, tonight's use as one line across. */
export function WallCurves(props: WallCurvesProps) {
  const { columns, uses, columnPx, widthPx, heightPx, fromMs, toMs, nowMs, timeZone } = props
  const y = scaleLinear([fromMs, toMs], [0, heightPx]).clamp(true)
  const widthOf = scaleLinear([0, HOTTEST_C], [3, columnPx]).clamp(true)
  const middleOf = new Map(columns.map((one) => [one.id, one.xPx + columnPx / 2]))
  return (
    <Svg width={widthPx} height={heightPx} aria-hidden>
      <Definitions>
        <Pattern id="wall-limit" width={8} height={8} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <Rect width={8} height={8} fill="rgb(var(--channel))" />
          <Line x1={0} y1={0} x2={0} y2={8} stroke="rgb(102 114 122)" strokeWidth={2.4} />
        </Pattern>
      </Definitions>
      {columns.map((column) => (
        <Column key={column.id} {...{ column, y, widthOf, columnPx, heightPx, fromMs, toMs }} />
      ))}
      {clockTicks(fromMs, toMs, 60, timeZone).map((ms) =>
        Math.abs(y(ms) - y(nowMs)) < 14 ? null : (
          <G key={ms}>
            <SvgText x={0} y={y(ms) + 5} fontSize={14} fontFamily="Archivo Variable" fill="rgb(var(--ash))">
              {formatTime(ms, timeZone)}
            </SvgText>
            <Line x1={TIME_PX - 8} x2={TIME_PX} y1={y(ms)} y2={y(ms)} stroke="rgb(var(--ash))" strokeWidth={1.4} />
          </G>
        ),
      )}
      <Path d={usePath(uses, middleOf, y, toMs)} stroke={IN_CHANNEL} strokeWidth={6} fill="none" opacity={0.9} />
      <Line x1={TIME_PX} x2={widthPx} y1={y(nowMs)} y2={y(nowMs)} stroke="rgb(var(--celadon))" strokeWidth={2.6} />
      <Rect x={0} y={y(nowMs) - 13} width={TIME_PX} height={26} rx={3} fill="rgb(var(--celadon))" />
      <SvgText
        x={TIME_PX / 2}
        y={y(nowMs) + 6}
        fontSize={16}
        fontWeight="700"
        textAnchor="middle"
        fontFamily="Archivo Variable"
        fill="rgb(var(--ink))"
      >
        {formatTime(nowMs, timeZone)}
      </SvgText>
    </Svg>
  )
}

type Scale = ScaleLinear<number, number>
type ColumnProps = {
  column: DrawnColumn
  y: Scale
  widthOf: Scale
  columnPx: number
  heightPx: number
  fromMs: number
  toMs: number
}

function Column({ column, y, widthOf, columnPx, heightPx, fromMs, toMs }: ColumnProps) {
  const { xPx, forecast, tempC, bornMs } = column
  const beginsMs = Math.max(fromMs, forecast?.fromMs ?? bornMs)
  const instants = ticks(0, 1, POINTS).map((share) => beginsMs + share * (toMs - beginsMs))
  const tempAt = (ms: number) => (forecast ? tempAtC(forecast.curve, (ms - forecast.fromMs) / 1000) : (tempC ?? 0))
  const right = (ms: number) => xPx + widthOf(tempAt(ms))
  const ribbon = area<number>().x0(xPx).x1(right).y(y)(instants) ?? ''
  const steps = (forecast?.steps ?? []).filter((step) => step.limitMs !== null && step.limitMs < toMs)
  return (
    <>
      <Definitions>
        <LinearGradient id={`wall-${column.id}`} x1="0" y1="0" x2="0" y2="1">
          {EMBER.map(([hotC, hue]) => (
            <Stop key={hotC} offset={shareCooledTo(hotC, tempAt, instants)} stopColor={hue} />
          ))}
        </LinearGradient>
      </Definitions>
      <Rect x={xPx} y={0} width={columnPx} height={heightPx} fill="rgb(var(--channel))" />
      {(forecast !== null || tempC !== null) && (
        <>
          <Path d={ribbon} fill={forecast ? `url(#wall-${column.id})` : 'rgb(75 85 90)'} />
          <Path d={line<number>().x(right).y(y)(instants) ?? ''} stroke={IN_CHANNEL} strokeWidth={2} fill="none" />
        </>
      )}
      {steps.map((step, i) => {
        const top = y(step.limitMs!)
        const next = steps[i + 1]
        const bottom = next ? y(next.limitMs!) : heightPx
        const left = xPx + widthOf(step.tempC)
        return (
          <G key={step.tempC}>
            <Rect x={left} y={top} width={xPx + columnPx - left} height={bottom - top} fill="url(#wall-limit)" />
            <Path
              d={`M${xPx + columnPx} ${top} H${left} V${bottom}`}
              stroke={IN_CHANNEL}
              strokeWidth={1.4}
              fill="none"
            />
          </G>
        )
      })}
      {forecast?.steps.map(({ reachedMs, tempC: limitC }) =>
        reachedMs === null || reachedMs > toMs || reachedMs < fromMs ? null : (
          <Line
            key={limitC}
            x1={xPx}
            x2={xPx + columnPx * 0.4}
            y1={y(reachedMs)}
            y2={y(reachedMs)}
            stroke={IN_CHANNEL}
            strokeWidth={2}
          />
        ),
      )}
    </>
  )
}

function shareCooledTo(hotC: number, tempAt: (ms: number) => number, instants: readonly number[]): number {
  const i = instants.findIndex((ms) => tempAt(ms) <= hotC)
  return i < 0 ? 1 : i / Math.max(1, instants.length - 1)
}

/** From column to column: down while a lot is fried, across to the next when it is used up. */
function usePath(uses: readonly LotUse[], middleOf: ReadonlyMap<string, number>, y: Scale, toMs: number): string {
  return uses
    .flatMap(({ lotId, fromMs, untilMs }, i) => {
      const x = middleOf.get(lotId)
      if (x === undefined) return []
      const last = untilMs ?? Math.min(toMs, fromMs + 30 * 60_000)
      return [`${i === 0 ? 'M' : 'L'}${x} ${y(fromMs)}`, `L${x} ${y(last)}`]
    })
    .join(' ')
}
