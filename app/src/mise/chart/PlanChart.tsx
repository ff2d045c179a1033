import { View } from 'react-native'
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg'
import { valueOf } from '../../device/worked'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMiseWords } from '../miseWords'
import type { Mise } from '../useKitchenPlan'
import { ChartText } from './ChartText'
import { Bar, Chain, SlackString } from './Bars'
import { planAxis, ticksOf, type PlanAxis } from './planAxis'
import { planLanes } from './planLanes'
import { Targets } from './Targets'

const TAUT = 'rgb(var(--rice))'
const ASH = 'rgb(var(--ash))'
const EDGE = 'rgb(var(--edge))'
const CELADON = 'rgb(var(--celadon))'
const FONT = 'Archivo Variable'
const TOP_PX = 64
/** Names of the lanes stand where far becomes near. */
const NAME_PX = 84
const RIGHT_PX = 18
const HOUR_MS = 3_600_000

type Props = {
  mise: Mise
  widthPx: number
  openId: string | null
  onOpen: (id: string) => void
}

/** The plan back from the service: days recede, the last hours are near; a lane a person; slack hangs as a string. */
export function PlanChart({ mise, widthPx, openId, onOpen }: Props) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const { next, kitchen, nowMs } = mise
  if (!next) return null
  const serviceMs = next.fromMs
  const tasks = mise.tasks.filter((task) => task.at !== null && task.at.startMs < serviceMs)
  const people = mise.house.policy.people.map((one) => one.staffId)
  const lanes = planLanes(tasks, people, TOP_PX)
  const heightPx = TOP_PX + lanes.heightPx + 16
  const firstMs = Math.min(nowMs - HOUR_MS, ...tasks.map((task) => task.at!.startMs))
  const axis = planAxis({
    firstMs,
    serviceMs,
    leftPx: 26,
    rightPx: widthPx - RIGHT_PX,
    middlePx: TOP_PX + lanes.heightPx / 2,
  })
  const ordered = [...lanes.tasks].sort((a, b) => a.fromMs - b.fromMs || a.top - b.top)
  const chain = new Set(valueOf(mise.plan)?.schedule.chain ?? [])
  const bottom = TOP_PX + lanes.heightPx
  const ticks = ticksOf(axis, serviceMs, kitchen.timeZone)
  const open = ordered.find((one) => one.task.id === openId)
  return (
    <View style={{ width: widthPx, height: heightPx }}>
      <Svg width={widthPx} height={heightPx} aria-hidden>
        {ticks.near.map((ms) => (
          <Tick key={ms} {...{ axis, ms, nowMs, serviceMs, bottom }} words={formatTime(ms, kitchen.timeZone)} />
        ))}
        {lanes.lanes.map((lane) => (
          <LaneGround key={lane.id} axis={axis} {...lane} serviceMs={serviceMs} />
        ))}
        {nowMs < serviceMs && nowMs > axis.farMs && <NowLine {...{ axis, nowMs, bottom }} zone={kitchen.timeZone} />}
        <Chain axis={axis} tasks={ordered} ids={valueOf(mise.plan)?.schedule.chain ?? []} />
        {ordered.map((one) => (
          <Bar
            key={one.task.id}
            {...{ axis, one, nowMs }}
            isTaut={chain.has(one.task.id)}
            isOpen={one.task.id === openId}
            label={one.task.kind === 'rails' ? words.task(one.task) : one.task.name}
          />
        ))}
        {open && <SlackString axis={axis} one={open} serviceMs={serviceMs} label={words.span(open.task.at!.slackS)} />}
        {ticks.days.map((ms) => (
          <ChartText key={ms} x={axis.x(ms)} y={axis.y(ms, TOP_PX - 16)} sizePx={13} anchor="middle">
            {formatDay(ms, kitchen.timeZone).slice(0, 3)}
          </ChartText>
        ))}
        {lanes.lanes.map((lane) => (
          <ChartText
            key={lane.id}
            x={axis.x(axis.nearMs) - 8}
            y={(lane.top + lane.bottom) / 2 + 5}
            sizePx={16}
            anchor="end"
          >
            {lane.kind === 'waits' ? t('chart.noHands') : words.person(lane.id)}
          </ChartText>
        ))}
        <Line
          x1={axis.x(serviceMs)}
          x2={axis.x(serviceMs)}
          y1={TOP_PX - 28}
          y2={bottom}
          stroke={TAUT}
          strokeWidth={4}
        />
        <SvgText
          x={axis.x(serviceMs) + 4}
          y={16}
          fontSize={15}
          fontWeight="700"
          fontFamily={FONT}
          fill={TAUT}
          textAnchor="end"
        >
          {t('chart.first', { time: formatTime(serviceMs, kitchen.timeZone) })}
        </SvgText>
      </Svg>
      <Targets {...{ axis, ordered, mise, onOpen }} />
    </View>
  )
}

type TickProps = { axis: PlanAxis; ms: number; nowMs: number; serviceMs: number; bottom: number; words: string }

function Tick({ axis, ms, nowMs, serviceMs, bottom, words }: TickProps) {
  const x = axis.x(ms)
  const isHour = ms < axis.nearMs || new Date(ms).getUTCMinutes() === 0
  const isHidden =
    Math.abs(x - axis.x(nowMs)) < 34 || ms === serviceMs || (ms < axis.nearMs && axis.x(axis.nearMs) - x < NAME_PX)
  return (
    <>
      <Line
        x1={x}
        x2={x}
        y1={axis.y(ms, TOP_PX - 10)}
        y2={axis.y(ms, bottom)}
        stroke={EDGE}
        strokeWidth={isHour ? 1.2 : 0.6}
      />
      {isHour && !isHidden && (
        <SvgText
          x={x}
          y={axis.y(ms, TOP_PX - 16)}
          fontSize={13}
          fontFamily={FONT}
          fontWeight="600"
          fill={ASH}
          textAnchor="middle"
        >
          {words}
        </SvgText>
      )}
    </>
  )
}

function LaneGround({
  axis,
  top,
  bottom,
  serviceMs,
}: {
  axis: PlanAxis
  top: number
  bottom: number
  serviceMs: number
}) {
  const middle = (top + bottom) / 2
  return (
    <Path
      d={`M${axis.x(axis.farMs)} ${axis.y(axis.farMs, middle)} L${axis.x(axis.nearMs)} ${middle} L${axis.x(serviceMs)} ${middle}`}
      stroke={EDGE}
      strokeWidth={1}
      fill="none"
    />
  )
}

function NowLine({ axis, nowMs, bottom, zone }: { axis: PlanAxis; nowMs: number; bottom: number; zone: string }) {
  const x = axis.x(nowMs)
  const y = axis.y(nowMs, TOP_PX - 18)
  return (
    <>
      <Line x1={x} x2={x} y1={y} y2={axis.y(nowMs, bottom)} stroke={CELADON} strokeWidth={4} />
      <Path d={`M${x - 29} ${y - 24} h58 v24 h-58 z`} fill={CELADON} />
      <SvgText
        x={x}
        y={y - 6}
        fontSize={15}
        fontWeight="700"
        fontFamily={FONT}
        textAnchor="middle"
        fill="rgb(var(--ink))"
      >
        {formatTime(nowMs, zone)}
      </SvgText>
    </>
  )
}
