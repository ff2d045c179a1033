import type { Evening } from 'contract/evening'
import type { Station } from 'contract/kitchen'
import type { EveningPlan } from 'core/line/past/eveningAgain'
import type { LateTicket } from 'core/line/past/lateTickets'
import { scaleLinear } from 'd3-scale'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg'
import { clockTicks } from '../../ui/chart'
import { Text } from '../../ui/Text'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'

const LANE_PX = 46
/** Half of a time as it is written under its tick. */
const HALF_TIME_PX = 17
const BAR_PX = 18
const NAME_PX = 82
const BOTTOM_PX = 22
/** The least that an hour takes, so that a batch is still a bar. */
const HOUR_PX = 280
const HOUR_MS = 3_600_000
const TICK_MIN = 15

type BesidePlanProps = {
  evening: Evening
  stations: readonly Station[]
  plan: EveningPlan | null
  late: readonly LateTicket[]
  zone: string
}

/** Every station on one clock: above what was fried, edged where a ticket of it was late; below what the plan would have had. */
export function BesidePlan({ evening, stations, plan, late, zone }: BesidePlanProps) {
  const t = useWords('record')
  const { runs } = evening
  const [seenPx, setSeenPx] = useState(0)
  const lanes = stations.filter(
    ({ id }) =>
      runs.some(({ stationId }) => stationId === id) || plan?.batches.some(({ stationId }) => stationId === id),
  )
  const fromMs = Math.min(...runs.map(({ firedAtMs }) => firedAtMs), ...(plan?.batches ?? []).map((one) => one.startMs))
  const toMs = Math.max(...runs.map(({ endedAtMs }) => endedAtMs), ...(plan?.batches ?? []).map((one) => one.upMs))
  const widthPx = Math.max(seenPx, NAME_PX + ((toMs - fromMs) / HOUR_MS) * HOUR_PX)
  const heightPx = lanes.length * LANE_PX + BOTTOM_PX
  return (
    <View className="gap-1">
      <Text size="small" tone="ash">
        {t('evening.chart')}
      </Text>
      <ScrollView horizontal tabIndex={0} onLayout={(event) => setSeenPx(event.nativeEvent.layout.width)}>
        <View
          role="img"
          aria-label={t('evening.chartName', { count: runs.length })}
          style={{ width: widthPx, height: heightPx }}
        >
          {seenPx > 0 && <Lanes {...{ evening, lanes, plan, late, zone, fromMs, toMs, widthPx, heightPx }} />}
        </View>
      </ScrollView>
    </View>
  )
}

type LanesProps = Omit<BesidePlanProps, 'stations'> & {
  lanes: readonly Station[]
  fromMs: number
  toMs: number
  widthPx: number
  heightPx: number
}

function Lanes({ evening, lanes, plan, late, zone, fromMs, toMs, widthPx, heightPx }: LanesProps) {
  const { runs } = evening
  const x = scaleLinear([fromMs, Math.max(toMs, fromMs + HOUR_MS / 6)], [NAME_PX, Math.max(NAME_PX + 1, widthPx - 4)])
  const lateIds = new Set(late.map(({ id }) => id))
  const lateItems = new Set(
    evening.tickets.filter(({ id }) => lateIds.has(id)).flatMap(({ items }) => items.map(({ id }) => id)),
  )
  return (
    <Svg width={widthPx} height={heightPx} aria-hidden>
      {lanes.map(({ id, name }, i) => (
        <G key={id}>
          <Rect
            x={NAME_PX}
            y={i * LANE_PX}
            width={widthPx - NAME_PX - 4}
            height={LANE_PX - 6}
            fill="rgb(var(--channel))"
          />
          <SvgText x={0} y={i * LANE_PX + 24} fontSize={14} fontFamily="Archivo Variable" fill="rgb(var(--ash))">
            {name}
          </SvgText>
        </G>
      ))}
      {clockTicks(fromMs, toMs, TICK_MIN, zone).map((ms) => (
        <G key={ms}>
          <Line x1={x(ms)} x2={x(ms)} y1={0} y2={heightPx - BOTTOM_PX} stroke="rgb(var(--edge))" strokeWidth={1} />
          <SvgText
            x={x(ms)}
            y={heightPx - 6}
            fontSize={12}
            textAnchor={widthPx - x(ms) < HALF_TIME_PX ? 'end' : 'middle'}
            fontFamily="Archivo Variable"
            fill="rgb(var(--ash))"
          >
            {formatTime(ms, zone)}
          </SvgText>
        </G>
      ))}
      {lanes.map(({ id }, i) => (
        <G key={id}>
          {runs
            .filter(({ stationId }) => stationId === id)
            .map((run) => (
              <Rect
                key={run.id}
                x={x(run.firedAtMs)}
                y={i * LANE_PX + 2}
                width={Math.max(3, x(run.endedAtMs) - x(run.firedAtMs) - 1)}
                height={BAR_PX}
                fill="rgb(168 66 46)"
                opacity={run.isStopped ? 0.5 : 1}
                stroke="rgb(var(--in-channel))"
                strokeWidth={run.parts.some(({ itemId }) => lateItems.has(itemId)) ? 2.4 : 0}
              />
            ))}
          {plan?.batches
            .filter(({ stationId }) => stationId === id)
            .map((batch) => (
              <Rect
                key={batch.startMs}
                x={x(batch.startMs)}
                y={i * LANE_PX + BAR_PX + 4}
                width={Math.max(3, x(batch.upMs) - x(batch.startMs) - 1)}
                height={BAR_PX - 4}
                fill="none"
                stroke="rgb(var(--in-channel))"
                strokeWidth={1.4}
              />
            ))}
        </G>
      ))}
    </Svg>
  )
}
