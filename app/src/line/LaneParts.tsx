import { projectedStartsMs } from 'core/wok/projectedStarts'
import { useNowMs } from '../device/clock'
import { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg'
import { Score } from '../score/Score'
import { plannedSpans, scoreDrawing, type ScoreDrawing } from 'core/wok/drawing/scoreDrawing'
import type { LaneGeometry } from './laneGeometry'
import type { ShownBatch, ShownRun } from './useLinePlan'

const IN_CHANNEL = 'rgb(var(--in-channel))'
export const NARROW = { style: { fontStretch: '75%' } } as object
const HALO = { style: { fontStretch: '75%', paintOrder: 'stroke' } } as object

/** A run at its station: what was, dimmed, and what is to come. */
export function RunLane({
  shown,
  topY,
  geometry,
  x,
  hasTitle,
}: {
  shown: ShownRun
  topY: number
  geometry: LaneGeometry
  x: number
  hasTitle: boolean
}) {
  const nowMs = useNowMs()
  const { run, state } = shown
  const at = (ms: number) => (ms - run.firedAtMs) / 1000
  const spans = projectedStartsMs(run, state, nowMs).map(({ stepId, startMs, endMs }) => ({
    stepId,
    startS: at(startMs),
    endS: at(endMs),
  }))
  const portions = run.parts.reduce((sum, part) => sum + part.portions, 0)
  const titleY = Math.max(topY, geometry.nowLinePx + 3)
  return (
    <G>
      <Score
        drawing={scoreDrawing(run.score, spans)}
        x={x}
        y={topY}
        channelPx={geometry.channelPx}
        pxPerS={geometry.pxPerS}
        topS={0}
        hasLabels={false}
        pastUntilS={at(nowMs)}
      />
      {hasTitle && <LaneTitle x={x + geometry.channelPx / 2} y={titleY} text={`${run.dishId} ${portions}`} />}
    </G>
  )
}

type BatchLaneProps = {
  batch: ShownBatch
  geometry: LaneGeometry
  x: number
  topY: number
  setUpY: number
  isChosen: boolean
  setUpWord: string
  hasTitle: boolean
}

/** A proposed batch, with the set-up before it. */
export function BatchLane({ batch, geometry, x, topY, setUpY, isChosen, setUpWord, hasTitle }: BatchLaneProps) {
  const { channelPx, pxPerS } = geometry
  const middle = x + channelPx / 2
  const takesS = (batch.upMs - batch.startMs) / 1000
  const drawing: ScoreDrawing | null =
    batch.score && scoreDrawing(batch.score, plannedSpans(batch.score, batch.score.totalS - takesS))
  const bottomY = topY + takesS * pxPerS
  const setUpPx = topY - setUpY
  return (
    <G>
      {setUpPx > 8 && (
        <Rect
          x={x + 3}
          y={setUpY + 2}
          width={channelPx - 6}
          height={setUpPx - 4}
          fill="none"
          stroke={IN_CHANNEL}
          strokeWidth={1.5}
          strokeDasharray="4 4"
        />
      )}
      {setUpPx > 20 && (
        <SvgText
          x={middle}
          y={(setUpY + topY) / 2 + 4.5}
          textAnchor="middle"
          fontSize={13}
          fontWeight="600"
          fontFamily="Archivo Variable"
          fill={IN_CHANNEL}
          {...NARROW}
        >
          {setUpWord}
        </SvgText>
      )}
      {drawing ? (
        <Score
          drawing={drawing}
          x={x}
          y={topY}
          channelPx={channelPx}
          pxPerS={pxPerS}
          topS={0}
          hasLabels={false}
          isForecast={!isChosen}
        />
      ) : (
        <Rect
          x={x + 6}
          y={topY}
          width={channelPx - 12}
          height={bottomY - topY}
          rx={4}
          fill={IN_CHANNEL}
          opacity={0.14}
        />
      )}
      {batch.allergies.length > 0 && <AllergySign x={middle} y={(topY + bottomY) / 2} />}
      {isChosen && (
        <Rect
          x={x}
          y={topY}
          width={channelPx}
          height={bottomY - topY}
          fill="none"
          stroke={IN_CHANNEL}
          strokeWidth={2}
        />
      )}
      {hasTitle && <LaneTitle x={middle} y={topY} text={`${batch.dish.shortName} ${batch.portions}`} />}
    </G>
  )
}

function LaneTitle({ x, y, text }: { x: number; y: number; text: string }) {
  return (
    <SvgText
      x={x}
      y={y + 15}
      textAnchor="middle"
      fontSize={14}
      fontWeight="700"
      fontFamily="Archivo Variable"
      fill={IN_CHANNEL}
      stroke="rgb(var(--channel))"
      strokeWidth={3.5}
      {...HALO}
    >
      {text.length > 13 ? `${text.slice(0, 6)}… ${text.slice(text.lastIndexOf(' ') + 1)}` : text}
    </SvgText>
  )
}

function AllergySign({ x, y }: { x: number; y: number }) {
  return (
    <G x={x} y={y}>
      <Rect x={-14} y={-14} width={28} height={28} rx={3} fill="rgb(244 239 228)" />
      <Circle r={8.5} fill="none" stroke="rgb(23 26 28)" strokeWidth={2.4} />
      <Path d="M -6 -6 L 6 6" stroke="rgb(23 26 28)" strokeWidth={2.4} />
    </G>
  )
}
