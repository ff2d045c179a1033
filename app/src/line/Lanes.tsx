import { use } from 'react'
import { Pressable, View } from 'react-native'
import Svg, { G, Line as SvgLine, Text as SvgText } from 'react-native-svg'
import type { Kitchen } from 'contract/kitchen'
import { Channel } from '../score/Score'
import { formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { laneX, yAt, type LaneGeometry } from './laneGeometry'
import { HandsThread } from './HandsThread'
import { DragOf } from './hand/dragOf'
import { BatchLane, NARROW, RunLane } from './LaneParts'
import type { ShownBatch, ShownRun, Line } from './useLinePlan'

const CELADON = 'rgb(var(--celadon))'
const MINUTE_MS = 60_000

type LanesProps = {
  line: Line
  geometry: LaneGeometry
  heightPx: number
  chosenKey: string | null
  hasTitles: boolean
  /** Whether any of this part of the drawing is on the screen [px from its top]. */
  isSeen: (fromPx: number, toPx: number) => boolean
  onBatch: (batch: ShownBatch) => void
  onRun: (run: ShownRun) => void
}

/**
 * Every station as a score on one clock, as at the instant of the plan: what is cooking, then what is proposed; washes are dashed
 * boxes.
 */
export function Lanes({ line, geometry, heightPx, chosenKey, hasTitles, isSeen, onBatch, onRun }: LanesProps) {
  const t = useWords('line')
  const { stations } = line.kitchen
  const { atMs } = line
  const widthPx = laneX(geometry, stations.length) - geometry.gapPx + 6
  const y = (ms: number) => yAt(geometry, atMs, ms)
  const batches = line.batches.filter((batch) => isSeen(y(batch.setUpStartMs), y(batch.upMs)))
  return (
    <View style={{ width: widthPx, height: heightPx }} aria-label={t('scoresName')} role="group">
      <Svg width={widthPx} height={heightPx} aria-hidden>
        {stations.map((station, index) => (
          <Channel key={station.id} x={laneX(geometry, index)} y={0} widthPx={geometry.channelPx} heightPx={heightPx} />
        ))}
        <Minutes
          atMs={atMs}
          geometry={geometry}
          kitchen={line.kitchen}
          widthPx={widthPx}
          heightPx={heightPx}
          isSeen={isSeen}
        />
        {line.runs.map((shown) => (
          <RunLane
            key={shown.run.id}
            shown={shown}
            topY={y(shown.run.firedAtMs)}
            geometry={geometry}
            x={laneOf(line, geometry, shown.run.stationId)}
            hasTitle={hasTitles}
          />
        ))}
        {batches.map((batch) => (
          <BatchLane
            key={batch.key}
            batch={batch}
            geometry={geometry}
            x={laneOf(line, geometry, batch.stationId)}
            topY={y(batch.startMs)}
            setUpY={y(batch.setUpStartMs)}
            isChosen={batch.key === chosenKey}
            setUpWord={batch.setUp === 'none' ? '' : t(batch.setUp)}
            hasTitle={hasTitles}
          />
        ))}
        {!hasTitles && <HandsThread line={line} geometry={geometry} isSeen={isSeen} />}
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
      {batches.map((batch) => (
        <BatchTarget
          key={batch.key}
          batchKey={batch.key}
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

/** Now, across all stations; the lanes run up under it. */
export function NowLine({ line, geometry }: { line: Line; geometry: LaneGeometry }) {
  const { stations } = line.kitchen
  const widthPx = laneX(geometry, stations.length) - geometry.gapPx + 6
  const y = NOW_PX / 2
  return (
    <View className="pointer-events-none absolute left-0" style={{ top: geometry.nowLinePx - y }}>
      <Svg width={widthPx} height={NOW_PX} aria-hidden>
        <SvgLine x1={geometry.timesPx - 4} x2={widthPx} y1={y} y2={y} stroke={CELADON} strokeWidth={3.5} />
        {stations.map((station, index) => (
          <SvgLine
            key={station.id}
            x1={laneX(geometry, index)}
            x2={laneX(geometry, index) + geometry.channelPx}
            y1={y}
            y2={y}
            stroke="rgb(var(--now-in-channel))"
            strokeWidth={3.5}
          />
        ))}
      </Svg>
    </View>
  )
}
const NOW_PX = 4

function laneOf(line: Line, geometry: LaneGeometry, stationId: string): number {
  return laneX(
    geometry,
    line.kitchen.stations.findIndex((one) => one.id === stationId),
  )
}

function BatchTarget({ batchKey, ...target }: TargetProps & { batchKey: string }) {
  const draggable = use(DragOf)
  return draggable({ batchKey, draw: (drag) => <Target {...target} {...(drag && { drag })} /> })
}

type TargetProps = {
  x: number
  topPx: number
  bottomPx: number
  widthPx: number
  name: string
  isChosen?: boolean
  drag?: object
  onPress: () => void
}

function Target({ x, topPx, bottomPx, widthPx, name, isChosen, drag, onPress }: TargetProps) {
  return (
    <Pressable
      {...drag}
      role="button"
      aria-label={name}
      aria-pressed={isChosen}
      onPress={onPress}
      className={`ring-focus absolute ${drag ? 'cursor-grab' : ''}`}
      style={{ left: x, top: topPx, width: widthPx, height: Math.max(24, bottomPx - topPx) }}
    />
  )
}

function Minutes({
  atMs,
  geometry,
  kitchen,
  widthPx,
  heightPx,
  isSeen,
}: Pick<LanesProps, 'geometry' | 'heightPx' | 'isSeen'> & { atMs: number; kitchen: Kitchen; widthPx: number }) {
  const first = Math.floor((atMs - (geometry.nowLinePx / geometry.pxPerS) * 1000) / MINUTE_MS) + 1
  const shownS = Math.max(geometry.aheadS, heightPx / geometry.pxPerS)
  const minutes = Array.from({ length: Math.ceil(shownS / 60) + 2 }, (_, index) => (first + index) * MINUTE_MS).filter(
    (ms) => isSeen(yAt(geometry, atMs, ms), yAt(geometry, atMs, ms)),
  )
  return (
    <G>
      {minutes.map((ms) => {
        const y = yAt(geometry, atMs, ms)
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
