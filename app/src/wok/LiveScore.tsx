import type { Run } from 'contract/run'
import { projectedStartsMs } from 'core/wok/projectedStarts'
import { type RunState } from 'core/wok/run'
import { memo, useDeferredValue, useEffect, useMemo, useRef } from 'react'
import { View } from 'react-native'
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg'
import { kitchenNowMs } from '../device/clock'
import { Channel, Score } from '../score/Score'
import { scoreDrawing, type ScoreDrawing } from 'core/wok/drawing/scoreDrawing'
import { evenSeconds, scoreShapes } from 'core/wok/drawing/scoreShapes'

/** So many letters stand in the disc of what is set aside. */
const DISC_SIGNS = 4
const MINUTE_PX = 30
const THREAD_PX = 26
const CELADON = 'rgb(var(--now-in-channel))'

type LiveScoreProps = {
  run: Run
  state: RunState
  nowMs: number
  channelPx: number
  pxPerS: number
  /** How far down the line of now lies [px]. */
  nowLinePx: number
  name: string
}

/** The score sliding up under the line of now. Motion is one transform a frame; React draws only when the run moves. */
export function LiveScore({ run, state, nowMs, channelPx, pxPerS, nowLinePx, name }: LiveScoreProps) {
  const slide = useRef<View>(null)
  const widthPx = MINUTE_PX + channelPx + THREAD_PX
  const waitingMs = state.status === 'waiting' ? nowMs : 0
  const changes = [...state.troubles, ...state.flames, ...(state.retimed ? [state.retimed] : [])]
    .map(({ eventId }) => eventId)
    .join(' ')
  const drawing = useMemo(() => {
    const at = (ms: number) => (ms - run.firedAtMs) / 1000
    const spans = projectedStartsMs(run, state, Math.max(waitingMs, run.firedAtMs))
    return scoreDrawing(
      { ...run.score, steps: state.steps },
      spans.map(({ stepId, startMs, endMs }) => ({ stepId, startS: at(startMs), endS: at(endMs) })),
    )
    // The drawing changes when a step begins or ends, when time is added, when the rest becomes another one, and each second
    // while a check waits.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [run.id, state.stepIndex, state.dueMs, state.status, waitingMs, changes])

  // What a tap says stands there first; its ribbon comes a frame later.
  const shown = useDeferredValue(drawing)

  useEffect(() => {
    let frame = 0
    const move = () => {
      const nowS = ((state.endedMs ?? kitchenNowMs()) - run.firedAtMs) / 1000
      const element = slide.current as unknown as HTMLElement | null
      if (element) element.style.transform = `translateY(${(nowLinePx - nowS * pxPerS).toFixed(1)}px)`
      if (state.endedMs === null) frame = requestAnimationFrame(move)
    }
    move()
    return () => cancelAnimationFrame(frame)
  }, [run.firedAtMs, state.endedMs, nowLinePx, pxPerS])

  const pastS = Math.max(
    0,
    (state.steps[state.stepIndex] ? (state.times.at(-1)?.startMs ?? run.firedAtMs) - run.firedAtMs : 0) / 1000,
  )
  return (
    <View role="img" aria-label={name} className="h-full overflow-hidden bg-channel" style={{ width: widthPx }}>
      <View ref={slide}>
        <Ribbon drawing={shown} channelPx={channelPx} pxPerS={pxPerS} pastUntilS={pastS} />
      </View>
      <View className="absolute left-0" style={{ top: nowLinePx - 10 }}>
        <Svg width={widthPx} height={20} aria-hidden>
          <Line x1={0} x2={MINUTE_PX + channelPx + 4} y1={10} y2={10} stroke={CELADON} strokeWidth={3.5} />
          <Path d={`M ${widthPx - 2} 1 L ${widthPx - 15} 10 L ${widthPx - 2} 19 Z`} fill={CELADON} />
        </Svg>
      </View>
    </View>
  )
}

type RibbonProps = { drawing: ScoreDrawing; channelPx: number; pxPerS: number; pastUntilS: number }

const Ribbon = memo(function Ribbon({ drawing, channelPx, pxPerS, pastUntilS }: RibbonProps) {
  const heightPx = drawing.totalS * pxPerS + 40
  const minutes = Array.from({ length: Math.floor(drawing.totalS / 30) + 1 }, (_, index) => index * 30)
  const { threads } = scoreShapes(drawing, { channelPx, yOf: evenSeconds(pxPerS) })
  return (
    <Svg width={MINUTE_PX + channelPx + THREAD_PX} height={heightPx} aria-hidden>
      <Channel x={MINUTE_PX} y={0} widthPx={channelPx} heightPx={heightPx} />
      {minutes.map((second) => (
        <SvgText
          key={second}
          x={2}
          y={second * pxPerS + 4}
          fontSize={12}
          fontFamily="Archivo Variable"
          fill="rgb(147 160 166)"
        >
          {`${Math.floor(second / 60)}:${String(second % 60).padStart(2, '0')}`}
        </SvgText>
      ))}
      <Score
        drawing={drawing}
        x={MINUTE_PX}
        y={0}
        channelPx={channelPx}
        pxPerS={pxPerS}
        topS={0}
        hasLabels
        pastUntilS={pastUntilS}
      />
      <G x={MINUTE_PX}>
        {threads.map(({ label, labelY }, index) => (
          <G key={label} x={channelPx + 12 + index * 3} y={labelY}>
            <Circle r={12} fill="rgb(var(--channel))" stroke="rgb(var(--in-channel))" strokeWidth={1.4} />
            <SvgText
              textAnchor="middle"
              y={4}
              fontSize={10.5}
              fontWeight="700"
              fontFamily="Archivo Variable"
              fill="rgb(var(--in-channel))"
            >
              {label.length <= DISC_SIGNS ? label : `${label.slice(0, DISC_SIGNS - 1)}…`}
            </SvgText>
          </G>
        ))}
      </G>
    </Svg>
  )
})
