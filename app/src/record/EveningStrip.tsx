import type { RunRow } from 'contract/run'
import { extent, group } from 'd3-array'
import { scaleBand, scaleLinear } from 'd3-scale'
import { useState } from 'react'
import { View } from 'react-native'
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg'
import { clockTicks } from '../ui/chart'
import { formatDay, formatTime } from '../words/format'
import { useWords } from '../words/i18n'

const LANE_PX = 34
const NAME_PX = 76
const BOTTOM_PX = 20
const LATE_S = 30

type StripProps = {
  runs: readonly RunRow[]
  stationName: (id: string) => string
  timeZone: string
  chosenId: string | null
}

/** An evening as one strip: a lane a station, each run as long as it took, its plan as a line beneath, late ones edged. */
export function EveningStrip({ runs, stationName, timeZone, chosenId }: StripProps) {
  const t = useWords('record')
  const [widthPx, setWidthPx] = useState(0)
  const ended = (run: RunRow) => run.endedAtMs ?? run.firedAtMs + run.plannedS * 1000
  const [fromMs = 0] = extent(runs, (run) => run.firedAtMs)
  const [, toMs = 1] = extent(runs, ended)
  const lanes = [...group(runs, (run) => run.stationId)].sort(([a], [b]) => a.localeCompare(b))
  const x = scaleLinear([fromMs, Math.max(toMs, fromMs + 600_000)], [NAME_PX, Math.max(NAME_PX + 1, widthPx - 4)])
  const y = scaleBand(
    lanes.map(([id]) => id),
    [0, lanes.length * LANE_PX],
  ).paddingInner(0.2)
  const heightPx = lanes.length * LANE_PX + BOTTOM_PX
  return (
    <View
      role="img"
      aria-label={t('strip', { day: formatDay(fromMs, timeZone), count: runs.length })}
      onLayout={(event) => setWidthPx(event.nativeEvent.layout.width)}
      style={{ height: heightPx }}
    >
      {widthPx > 0 && (
        <Svg width={widthPx} height={heightPx} aria-hidden>
          {clockTicks(fromMs, toMs, 30, timeZone).map((ms) => (
            <G key={ms}>
              <Line x1={x(ms)} x2={x(ms)} y1={0} y2={heightPx - BOTTOM_PX} stroke="rgb(var(--edge))" strokeWidth={1} />
              <SvgText
                x={x(ms)}
                y={heightPx - 5}
                fontSize={12}
                textAnchor="middle"
                fontFamily="Archivo Variable"
                fill="rgb(var(--ash))"
              >
                {formatTime(ms, timeZone)}
              </SvgText>
            </G>
          ))}
          {lanes.map(([id, own]) => (
            <G key={id}>
              <SvgText x={0} y={y(id)! + 18} fontSize={14} fontFamily="Archivo Variable" fill="rgb(var(--ash))">
                {stationName(id)}
              </SvgText>
              <Rect
                x={NAME_PX}
                y={y(id)!}
                width={widthPx - NAME_PX - 4}
                height={y.bandwidth()}
                fill="rgb(var(--channel))"
              />
              {own.map((run) => (
                <G key={run.id}>
                  <Rect
                    x={x(run.firedAtMs)}
                    y={y(id)! + 3}
                    width={Math.max(3, x(ended(run)) - x(run.firedAtMs))}
                    height={y.bandwidth() - 10}
                    fill={run.id === chosenId ? 'rgb(var(--celadon))' : 'rgb(168 66 46)'}
                    stroke="rgb(var(--in-channel))"
                    strokeWidth={(run.afterPromiseS ?? 0) > LATE_S ? 2.4 : 0}
                  />
                  <Rect
                    x={x(run.firedAtMs)}
                    y={y(id)! + y.bandwidth() - 5}
                    width={Math.max(2, x(run.firedAtMs + run.plannedS * 1000) - x(run.firedAtMs))}
                    height={3}
                    fill="rgb(147 160 166)"
                  />
                </G>
              ))}
            </G>
          ))}
        </Svg>
      )}
    </View>
  )
}
