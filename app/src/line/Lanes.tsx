import { Pressable, View } from 'react-native'
import Svg, { Circle, G, Line as SvgLine, Path, Rect, Text as SvgText } from 'react-native-svg'
import type { Kitchen } from 'contract/kitchen'
import { projectedStartsMs } from 'core/wok/run'
import { Channel, Score } from '../score/Score'
import { plannedSpans, scoreDrawing, type ScoreDrawing } from '../score/scoreDrawing'
import { formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import type { ShownBatch, ShownRun, Line } from './useLinePlan'

export type LaneGeometry = {
  timesPx: number
  channelPx: number
  gapPx: number
  pxPerS: number
  /** The line of now [px from the top]. */
  nowLinePx: number
  /** Seconds of future shown. */
  aheadS: number
}

const CELADON = 'rgb(var(--celadon))'
const IN_CHANNEL = 'rgb(var(--in-channel))'
const MINUTE_MS = 60_000

export const laneX = (geometry: LaneGeometry, index: number) =>
  geometry.timesPx + index * (geometry.channelPx + geometry.gapPx)
export const yAt = (geometry: LaneGeometry, nowMs: number, ms: number) =>
  geometry.nowLinePx + ((ms - nowMs) / 1000) * geometry.pxPerS

export type LanesProps = {
  line: Line
  nowMs: number
  geometry: LaneGeometry
  heightPx: number
  chosenKey: string | null
  hasTitles: boolean
  onBatch: (batch: ShownBatch) => void
  onRun: (run: ShownRun) => void
}

/** Every station as a score on one clock: what is cooking, then what is proposed; washes are dashed boxes. */
export function Lanes({ line, nowMs, geometry, heightPx, chosenKey, hasTitles, onBatch, onRun }: LanesProps) {
  const t = useWords('line')
  const { stations } = line.kitchen
  const widthPx = laneX(geometry, stations.length) - geometry.gapPx + 6
  const y = (ms: number) => yAt(geometry, nowMs, ms)
  return (
    <View style={{ width: widthPx, height: heightPx }} aria-label={t('scoresName')} role="group">
      <Svg width={widthPx} height={heightPx} aria-hidden>
        {stations.map((station, index) => (
          <Channel key={station.id} x={laneX(geometry, index)} y={0} widthPx={geometry.channelPx} heightPx={heightPx} />
        ))}
        <Minutes nowMs={nowMs} geometry={geometry} kitchen={line.kitchen} widthPx={widthPx} />
        {line.runs.map((shown) => (
          <RunLane
            key={shown.run.id}
            shown={shown}
            nowMs={nowMs}
            geometry={geometry}
            x={laneOf(line, geometry, shown.run.stationId)}
            hasTitle={hasTitles}
          />
        ))}
        {line.batches.map((batch) => (
          <BatchLane
            key={batch.key}
            batch={batch}
            geometry={geometry}
            x={laneOf(line, geometry, batch.stationId)}
            topY={y(batch.startMs)}
            setUpY={y(batch.setUpStartMs)}
            isChosen={batch.key === chosenKey}
            setUpWord={batch.setUp === 'wash' ? t('wash') : batch.setUp === 'wipe' ? t('wipe') : ''}
            hasTitle={hasTitles}
          />
        ))}
        <SvgLine
          x1={geometry.timesPx - 4}
          x2={widthPx}
          y1={geometry.nowLinePx}
          y2={geometry.nowLinePx}
          stroke={CELADON}
          strokeWidth={3.5}
        />
      </Svg>
      {line.runs.map((shown) => (
        <Target
          key={shown.run.id}
          x={laneOf(line, geometry, shown.run.stationId)}
          topPx={Math.max(0, y(shown.run.firedAtMs))}
          bottomPx={y(shown.state.upMs)}
          widthPx={geometry.channelPx}
          name={`${t('openRun', { dish: shown.run.dishName })}, ${shown.station?.name ?? ''}, ${t('up', { time: formatTime(shown.state.upMs, line.kitchen.timeZone) })}`}
          onPress={() => onRun(shown)}
        />
      ))}
      {line.batches.map((batch) => (
        <Target
          key={batch.key}
          x={laneOf(line, geometry, batch.stationId)}
          topPx={y(batch.startMs)}
          bottomPx={y(batch.upMs)}
          widthPx={geometry.channelPx}
          name={`${t('amountsOf', { dish: batch.dish.name, portions: t('portions', { count: batch.portions }) })}, ${batch.station.name}, ${t('up', { time: formatTime(batch.upMs, line.kitchen.timeZone) })}`}
          isChosen={batch.key === chosenKey}
          onPress={() => onBatch(batch)}
        />
      ))}
    </View>
  )
}

function laneOf(line: Line, geometry: LaneGeometry, stationId: string): number {
  return laneX(
    geometry,
    line.kitchen.stations.findIndex((one) => one.id === stationId),
  )
}

type TargetProps = {
  x: number
  topPx: number
  bottomPx: number
  widthPx: number
  name: string
  isChosen?: boolean
  onPress: () => void
}

function Target({ x, topPx, bottomPx, widthPx, name, isChosen, onPress }: TargetProps) {
  return (
    <Pressable
      role="button"
      aria-label={name}
      aria-pressed={isChosen}
      onPress={onPress}
      className="ring-focus absolute"
      style={{ left: x, top: topPx, width: widthPx, height: Math.max(24, bottomPx - topPx) }}
    />
  )
}

function Minutes({
  nowMs,
  geometry,
  kitchen,
  widthPx,
}: {
  nowMs: number
  geometry: LaneGeometry
  kitchen: Kitchen
  widthPx: number
}) {
  const first = Math.floor((nowMs - (geometry.nowLinePx / geometry.pxPerS) * 1000) / MINUTE_MS) + 1
  const count = Math.ceil(geometry.aheadS / 60) + 2
  return (
    <G>
      {Array.from({ length: count }, (_, index) => (first + index) * MINUTE_MS).map((ms) => {
        const y = yAt(geometry, nowMs, ms)
        const isNearNow = Math.abs(y - geometry.nowLinePx) < 12
        return (
          <G key={ms}>
            <SvgLine x1={geometry.timesPx - 6} x2={widthPx} y1={y} y2={y} stroke="rgb(var(--edge))" strokeWidth={1} />
            {!isNearNow && (
              <SvgText x={0} y={y + 4.5} fontSize={13} fontFamily="Archivo Variable" fill="rgb(var(--ash))" {...NARROW}>
                {formatTime(ms, kitchen.timeZone)}
              </SvgText>
            )}
          </G>
        )
      })}
    </G>
  )
}

const NARROW = { style: { fontStretch: '75%' } } as object
const HALO = { style: { fontStretch: '75%', paintOrder: 'stroke' } } as object

function RunLane({
  shown,
  nowMs,
  geometry,
  x,
  hasTitle,
}: {
  shown: ShownRun
  nowMs: number
  geometry: LaneGeometry
  x: number
  hasTitle: boolean
}) {
  const { run, state } = shown
  const at = (ms: number) => (ms - run.firedAtMs) / 1000
  const spans = projectedStartsMs(run, state, nowMs).map(({ stepId, startMs, endMs }) => ({
    stepId,
    startS: at(startMs),
    endS: at(endMs),
  }))
  const topY = yAt(geometry, nowMs, run.firedAtMs)
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

function BatchLane({ batch, geometry, x, topY, setUpY, isChosen, setUpWord, hasTitle }: BatchLaneProps) {
  const { channelPx, pxPerS } = geometry
  const middle = x + channelPx / 2
  const drawing: ScoreDrawing = scoreDrawing(batch.score, plannedSpans(batch.score))
  const bottomY = topY + batch.score.totalS * pxPerS
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
