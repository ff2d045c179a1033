import { extent } from 'd3-array'
import { scaleBand, scaleLinear } from 'd3-scale'
import { localDay, weekdayOf, instantOf } from 'core/time/localTime'
import { useState } from 'react'
import { View } from 'react-native'
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg'
import { clockTicks } from '../../ui/chart'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMiseWords } from '../miseWords'
import type { Mise } from '../useKitchenPlan'

const NAME_PX = 84
const LANE_PX = 26
const TOP_PX = 24
const MIN_MS = 60_000
const HOUR_MS = 3_600_000

/** The times of the next service's day as a line: services as bands, and who preps when beneath them. */
export function DayLine({ mise }: { mise: Mise }) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const [widthPx, setWidthPx] = useState(0)
  const zone = mise.kitchen.timeZone
  const first = mise.next ?? mise.plans[0]
  if (!first) return null
  const day = localDay(first.fromMs, zone)
  const services = mise.plans.filter((plan) => localDay(plan.fromMs, zone) === day)
  const midnightMs = instantOf(day, 0, zone)
  const people = mise.house.policy.people.flatMap(({ staffId, shifts }) =>
    shifts
      .filter((shift) => shift.weekdays.includes(weekdayOf(day)))
      .map((shift) => ({
        staffId,
        fromMs: midnightMs + shift.fromMin * MIN_MS,
        toMs: midnightMs + shift.toMin * MIN_MS,
      })),
  )
  const all = [...services, ...people]
  const [fromMs = midnightMs] = extent(all, (one) => one.fromMs)
  const [, toMs = midnightMs + HOUR_MS] = extent(all, (one) => one.toMs)
  const names = [...new Set(people.map((one) => one.staffId))]
  const heightPx = TOP_PX + names.length * LANE_PX + 22
  const span = (one: { fromMs: number; toMs: number }) =>
    `${formatTime(one.fromMs, zone)}–${formatTime(one.toMs, zone)}`
  return (
    <View
      role="img"
      aria-label={t('services.dayLine', {
        day: formatDay(first.fromMs, zone),
        services: services.map((one) => `${one.serviceName} ${span(one)}`).join(', '),
        people: people.map((one) => `${words.person(one.staffId)} ${span(one)}`).join(', '),
      })}
      onLayout={(event) => setWidthPx(event.nativeEvent.layout.width)}
      style={{ height: heightPx }}
      className="mb-2"
    >
      {widthPx > 0 && <Drawing {...{ mise, services, people, names, fromMs, toMs, widthPx, heightPx }} />}
    </View>
  )
}

type Shift = { staffId: string; fromMs: number; toMs: number }
type DrawingProps = {
  mise: Mise
  services: Mise['plans']
  people: readonly Shift[]
  names: readonly string[]
  fromMs: number
  toMs: number
  widthPx: number
  heightPx: number
}

function Drawing({ mise, services, people, names, fromMs, toMs, widthPx, heightPx }: DrawingProps) {
  const words = useMiseWords(mise.kitchen)
  const zone = mise.kitchen.timeZone
  const x = scaleLinear([fromMs - HOUR_MS / 2, toMs + HOUR_MS / 2], [NAME_PX, Math.max(NAME_PX + 1, widthPx)])
  const y = scaleBand(names, [TOP_PX, TOP_PX + names.length * LANE_PX]).paddingInner(0.3)
  return (
    <Svg width={widthPx} height={heightPx} aria-hidden>
      {services.map((one) => (
        <G key={one.id}>
          <Rect
            x={x(one.fromMs)}
            y={0}
            width={x(one.toMs) - x(one.fromMs)}
            height={heightPx - 22}
            fill="rgb(var(--plate))"
            stroke="rgb(var(--edge))"
          />
          <SvgText
            x={x(one.fromMs) + 6}
            y={16}
            fontSize={14}
            fontWeight="700"
            fontFamily="Archivo Variable"
            fill="rgb(var(--rice))"
          >
            {one.serviceName}
          </SvgText>
        </G>
      ))}
      {people.map((one) => (
        <Rect
          key={`${one.staffId} ${one.fromMs}`}
          x={x(one.fromMs)}
          y={y(one.staffId)!}
          width={Math.max(2, x(one.toMs) - x(one.fromMs))}
          height={y.bandwidth()}
          rx={3}
          fill="rgb(var(--ash))"
        />
      ))}
      {names.map((id) => (
        <SvgText key={id} x={0} y={y(id)! + 14} fontSize={14} fontFamily="Archivo Variable" fill="rgb(var(--ash))">
          {words.person(id)}
        </SvgText>
      ))}
      {clockTicks(fromMs, toMs, 120, zone).map((ms) => (
        <SvgText
          key={ms}
          x={x(ms)}
          y={heightPx - 6}
          fontSize={12}
          textAnchor="middle"
          fontFamily="Archivo Variable"
          fill="rgb(var(--ash))"
        >
          {formatTime(ms, zone)}
        </SvgText>
      ))}
      {mise.nowMs > fromMs && mise.nowMs < toMs && (
        <Line
          x1={x(mise.nowMs)}
          x2={x(mise.nowMs)}
          y1={0}
          y2={heightPx - 22}
          stroke="rgb(var(--celadon))"
          strokeWidth={2.4}
        />
      )}
    </Svg>
  )
}
