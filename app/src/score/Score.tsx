import { memo } from 'react'
import { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg'
import type { HeatLevel } from 'core/wok/score'
import type { ScoreDrawing } from 'core/wok/drawing/scoreDrawing'
import { evenSeconds, scoreShapes } from 'core/wok/drawing/scoreShapes'

const EMBER: Readonly<Record<HeatLevel, string>> = {
  off: 'rgb(var(--ember-off))',
  low: 'rgb(var(--ember-low))',
  medium: 'rgb(var(--ember-medium))',
  high: 'rgb(var(--ember-high))',
  full: 'rgb(var(--ember-full))',
}
const CHANNEL = 'rgb(var(--channel))'
const IN_CHANNEL = 'rgb(var(--in-channel))'

type ScoreProps = {
  drawing: ScoreDrawing
  channelPx: number
  pxPerS: number
  topS: number
  x: number
  y: number
  /** Named cuts and threads; off where the ribbon is one lane among others. */
  hasLabels: boolean
  /** Everything before this second is past and dimmed. */
  pastUntilS?: number
  isForecast?: boolean
}

/** The score: time runs down, the ribbon is as wide as the heat is high. Drawn inside a caller's Svg, over its channel. */
export const Score = memo(function Score({
  drawing,
  x,
  y,
  hasLabels,
  pastUntilS,
  isForecast = false,
  channelPx,
  pxPerS,
  topS,
}: ScoreProps) {
  const yOf = evenSeconds(pxPerS, topS)
  const shapes = scoreShapes(drawing, { channelPx, yOf })
  const middle = channelPx / 2
  const pastPx = pastUntilS === undefined ? 0 : yOf(pastUntilS)
  return (
    <G x={x} y={y} opacity={isForecast ? 0.55 : 1}>
      {shapes.ribbons.map((ribbon) => (
        <Rect
          key={ribbon.y}
          x={ribbon.x}
          y={ribbon.y}
          width={ribbon.width}
          height={ribbon.height}
          fill={EMBER[ribbon.heat]}
        />
      ))}
      {shapes.cuts.map((cut, index) => (
        <Line key={index} x1={0} x2={channelPx} y1={cut.y} y2={cut.y} stroke={CHANNEL} strokeWidth={2.5} />
      ))}
      {pastPx > 0 && <Rect x={0} y={0} width={channelPx} height={pastPx} fill={CHANNEL} opacity={0.6} />}
      {hasLabels &&
        shapes.threads.map((thread) => (
          <Path key={thread.path} d={thread.path} stroke={IN_CHANNEL} strokeWidth={1.8} fill="none" />
        ))}
      {hasLabels &&
        shapes.beside.map((one) => (
          <G key={one.label}>
            <Rect x={one.x} y={one.y} width={one.width} height={one.height} rx={2} fill={EMBER.low} stroke={CHANNEL} />
            <SvgText
              x={one.x + one.width / 2}
              y={one.y - 4}
              fontSize={12}
              fontWeight="700"
              textAnchor="middle"
              fontFamily="Archivo Variable"
              fill={IN_CHANNEL}
              stroke={CHANNEL}
              strokeWidth={3}
              {...LABEL_STYLE}
            >
              {one.label}
            </SvgText>
          </G>
        ))}
      {hasLabels &&
        shapes.labels.map((label) => (
          <SvgText
            key={label.y}
            x={middle}
            y={label.y + 12.5}
            fontSize={label.isStrong ? 13.5 : 12}
            fontWeight="700"
            textAnchor="middle"
            fontFamily="Archivo Variable"
            fill={label.fits && label.y >= pastPx ? CHANNEL : IN_CHANNEL}
            stroke={label.fits && label.y >= pastPx ? 'none' : CHANNEL}
            strokeWidth={3}
            {...LABEL_STYLE}
          >
            {label.text}
          </SvgText>
        ))}
    </G>
  )
})

const LABEL_STYLE = { style: { paintOrder: 'stroke', fontStretch: '75%' } } as object

/** The dark channel a score lies in. */
export function Channel({ x, y, widthPx, heightPx }: { x: number; y: number; widthPx: number; heightPx: number }) {
  return <Rect x={x} y={y} width={widthPx} height={heightPx} fill={CHANNEL} />
}
