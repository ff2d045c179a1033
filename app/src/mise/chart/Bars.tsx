import { G, Path, Text as SvgText } from 'react-native-svg'
import { ChartText } from './ChartText'
import { barPath, type PlanAxis } from './planAxis'
import type { LaneTask } from './planLanes'

const TASK = 'rgb(var(--task))'
const TAUT = 'rgb(var(--rice))'
const PAST = 'rgb(var(--task-past))'
const ASH = 'rgb(var(--ash))'
const GROUND = 'rgb(var(--ground))'
const CELADON = 'rgb(var(--celadon))'
const FONT = 'Archivo Variable'
const HORIZONTAL_PX = 66
const LETTER_PX = 6.3

type BarProps = { axis: PlanAxis; one: LaneTask; nowMs: number; isTaut: boolean; isOpen: boolean; label: string }

/** One task: a block where hands are at it, dashed where it goes on without. */
export function Bar({ axis, one, isTaut, isOpen, label }: BarProps) {
  const { task, fromMs, toMs, top, bottom } = one
  const isWait = task.hands === 0
  const isDone = task.status === 'done'
  const fill = isWait ? 'rgb(var(--channel))' : isDone ? PAST : isTaut ? TAUT : TASK
  const x = axis.x(fromMs)
  const wide = axis.x(toMs) - x
  const d = barPath(axis, fromMs, toMs, top, bottom)
  return (
    <G>
      <Path
        d={d}
        fill={fill}
        stroke={isOpen ? CELADON : isWait ? (isTaut ? TAUT : ASH) : GROUND}
        strokeWidth={isOpen ? 4 : isWait ? 1.4 : 1.2}
        {...(isWait && { strokeDasharray: '4 4' })}
      />
      <BarLabel
        {...{ axis, one, label, wide }}
        ink={isWait || isDone ? 'rgb(var(--in-channel))' : isTaut ? GROUND : 'rgb(var(--on-task))'}
      />
    </G>
  )
}

function BarLabel({
  axis,
  one,
  label,
  wide,
  ink,
}: {
  axis: PlanAxis
  one: LaneTask
  label: string
  wide: number
  ink: string
}) {
  const { fromMs, toMs, top, bottom } = one
  const middleMs =
    axis.x(toMs) > axis.x(fromMs) && fromMs < axis.nearMs && toMs > axis.nearMs ? axis.nearMs : (fromMs + toMs) / 2
  const isFar = toMs <= axis.nearMs
  const tall = axis.y(middleMs, bottom) - axis.y(middleMs, top)
  const common = { fontSize: 12.5, fontFamily: FONT, fontWeight: '600', fill: ink, textAnchor: 'middle' as const }
  const cut = (px: number) =>
    label.length * LETTER_PX <= px ? label : `${label.slice(0, Math.max(1, Math.floor(px / LETTER_PX) - 1))}.`
  const x = (axis.x(fromMs) + axis.x(toMs)) / 2
  const y = (axis.y(middleMs, top) + axis.y(middleMs, bottom)) / 2
  if (wide >= HORIZONTAL_PX && tall >= 14) {
    return (
      <SvgText {...common} x={x} y={y + 4.5}>
        {cut(wide - 8)}
      </SvgText>
    )
  }
  if (wide < 13 || tall < 34 || isFar) return null
  return (
    <SvgText {...common} x={x} y={y + 4.5} rotation={-90} origin={`${x}, ${y}`}>
      {cut(tall - 4)}
    </SvgText>
  )
}

/** From the end of a task to where it is wanted at the latest, hanging the lower the more slack there is. */
export function SlackString({
  axis,
  one,
  serviceMs,
  label,
}: {
  axis: PlanAxis
  one: LaneTask
  serviceMs: number
  label: string
}) {
  const { task, toMs, bottom } = one
  const slackMs = task.at!.slackS * 1000
  if (slackMs < 60_000) return null
  const fromX = axis.x(toMs)
  const toX = axis.x(Math.min(serviceMs, toMs + slackMs))
  const y = axis.y(toMs, bottom) - 3
  const sag = Math.min(64, 8 + 0.215 * (slackMs / 60_000) * 2)
  const middle = (fromX + toX) / 2
  return (
    <>
      <Path d={`M${fromX} ${y} Q${middle} ${y + 2 * sag} ${toX} ${y}`} stroke={CELADON} strokeWidth={2} fill="none" />
      <ChartText x={middle} y={y + sag + 4} sizePx={13} anchor="middle">
        {label}
      </ChartText>
    </>
  )
}

/** The chain that decides, taut from each end to the next start. */
export function Chain({ axis, tasks, ids }: { axis: PlanAxis; tasks: readonly LaneTask[]; ids: readonly string[] }) {
  const chain = ids.flatMap((id) => tasks.find((one) => one.task.id === id) ?? [])
  const at = (ms: number, one: LaneTask) => `${axis.x(ms)} ${axis.y(ms, (one.top + one.bottom) / 2)}`
  return chain.slice(1).map((one, i) => {
    const before = chain[i]!
    return (
      <Path
        key={one.task.id}
        d={`M${at(before.toMs, before)} L${at(one.fromMs, one)}`}
        stroke={TAUT}
        strokeWidth={3.5}
        fill="none"
      />
    )
  })
}
