import { handsThreads } from 'core/line/plan/handsThread'
import { useMemo } from 'react'
import { G, Path } from 'react-native-svg'
import { laneX, yAt, type LaneGeometry } from './laneGeometry'
import type { Line } from './useLinePlan'

type HandsThreadProps = {
  line: Line
  geometry: LaneGeometry
  isSeen: (fromPx: number, toPx: number) => boolean
}

/** Threads lie so far apart where they share a lane [px]. */
const APART_PX = 5
/** What was is not drawn. */
const PAST_PX = 20

/** Each pair of hands as a thread that runs down the lanes and crosses between them. */
export function HandsThread({ line, geometry, isSeen }: HandsThreadProps) {
  const threads = useMemo(
    () =>
      handsThreads([
        ...line.runs.map(({ run, state }) => ({ stationId: run.stationId, fromMs: run.firedAtMs, toMs: state.upMs })),
        ...line.batches.flatMap(({ hands }) => hands),
      ]),
    [line.runs, line.batches],
  )
  const y = (ms: number) => yAt(geometry, line.atMs, ms)
  return (
    <G opacity={0.75}>
      {threads.map((thread, cook) => {
        const x = (stationId: string) => {
          const index = line.kitchen.stations.findIndex(({ id }) => id === stationId)
          return laneX(geometry, index) + geometry.channelPx + 3 + cook * APART_PX
        }
        const points = thread
          .filter(({ fromMs, toMs }) => y(toMs) > geometry.nowLinePx - PAST_PX && isSeen(y(fromMs), y(toMs)))
          .flatMap(({ stationId, fromMs, toMs }): [number, number][] => [
            [x(stationId), Math.max(geometry.nowLinePx, y(fromMs))],
            [x(stationId), y(toMs)],
          ])
        return (
          <Path
            key={cook}
            d={threadPath(points)}
            fill="none"
            stroke="rgb(var(--rice))"
            strokeWidth={2}
            strokeLinecap="round"
          />
        )
      })}
    </G>
  )
}

/** A thread through points from above to below: it leaves and arrives upright, and crosses halfway. */
const threadPath = (points: readonly [number, number][]): string =>
  points
    .map(([x, y], i) => {
      const [beforeX, beforeY] = points[i - 1] ?? [x, y]
      const halfway = (beforeY + y) / 2
      return i === 0 ? `M${x},${y}` : `C${beforeX},${halfway},${x},${halfway},${x},${y}`
    })
    .join('')
