import type { Component, Cut } from 'core/book/dish'
import { memo } from 'react'
import Svg, { Circle, Ellipse, G, Path, Rect } from 'react-native-svg'

const SCALE = 4
/** A cooked long grain, mm. Common practice. */
const GRAIN = { length: 7, width: 2.2 } as const
const HEIGHT = 34
const WIDTH = 150
const FLOOR = HEIGHT - 3
const MAX_MM = 24
const LIGHT = 'rgb(var(--line))'
const SIDE = 'rgb(var(--edge))'
const DOT = 'rgb(var(--rice))'

/** A component's cut beside a grain of rice, both at four times their size. */
export const CutDrawing = memo(function CutDrawing({ cut, role }: { cut: Cut | null; role: Component['role'] }) {
  return (
    <Svg width={WIDTH} height={HEIGHT} aria-hidden>
      <Grain x={2} />
      {role === 'rice' ? (
        <>
          <Grain x={24} lift={5} />
          <Grain x={44} />
        </>
      ) : (
        <G x={44}>{shapeOf(cut, role)}</G>
      )}
    </Svg>
  )
})

function Grain({ x, lift = 0 }: { x: number; lift?: number }) {
  const rx = (GRAIN.length * SCALE) / 2
  const ry = (GRAIN.width * SCALE) / 2
  return (
    <Ellipse
      cx={x + rx}
      cy={FLOOR - ry - lift}
      rx={rx}
      ry={ry}
      fill={DOT}
      stroke="rgb(var(--ground))"
      strokeWidth={1}
    />
  )
}

function shapeOf(cut: Cut | null, role: Component['role']) {
  if (role === 'liquidSeasoning' || role === 'fat') return <Drop />
  if (!cut) return role === 'drySeasoning' ? <Powder /> : null
  const px = Math.min(MAX_MM, cut.sizeMm ?? 4) * SCALE
  const height = Math.min(px, HEIGHT - 8)
  switch (cut.shape) {
    case 'whole':
      if (role === 'egg') return <Egg />
      return <Cubes height={height} />
    case 'dice':
    case 'floret':
      return <Cubes height={height} />
    case 'mince':
      return [0, 1, 2, 3, 4].map((i) => <Cube key={i} x={i * px * 1.35} size={Math.min(px, 14)} />)
    case 'slice':
      return (
        <>
          <Circle cx={13} cy={FLOOR - 12} r={12} fill="none" stroke={LIGHT} strokeWidth={4} />
          <Rect x={36} y={FLOOR - px} width={26} height={Math.max(2, px)} fill={LIGHT} />
        </>
      )
    case 'shred':
    case 'strip':
      return [0, 1, 2].map((i) => (
        <Rect
          key={i}
          x={i * 4}
          y={FLOOR - (i + 1) * (px * 0.6 + 2)}
          width={64}
          height={Math.max(2, px * 0.6)}
          rx={1}
          fill={i % 2 ? SIDE : LIGHT}
        />
      ))
    case 'ribbon':
      return (
        <Path
          d={`M0 ${FLOOR - 4} q14 -${px * 0.5} 30 0 t30 0`}
          stroke={LIGHT}
          strokeWidth={Math.max(3, px * 0.5)}
          fill="none"
        />
      )
    case 'beaten':
      return <Path d={`M0 ${FLOOR} q4 -18 20 -16 q12 -10 26 2 q16 0 18 14 z`} fill={LIGHT} />
  }
}

const Cubes = ({ height }: { height: number }) => (
  <>
    <Cube x={0} size={height} />
    <Cube x={height * 1.45} size={height * 0.9} />
  </>
)

/** A fried egg seen from above: the whole egg would not fit beside a grain at this scale. */
const Egg = () => (
  <>
    <Path
      d={`M2 ${FLOOR - 12} q2 -16 24 -15 q30 -4 36 10 q6 14 -20 16 q-36 5 -40 -11 z`}
      fill="none"
      stroke={LIGHT}
      strokeWidth={2.5}
    />
    <Circle cx={32} cy={FLOOR - 14} r={9} fill={LIGHT} />
  </>
)

function Cube({ x, size }: { x: number; size: number }) {
  const depth = size * 0.28
  return (
    <>
      <Rect x={x} y={FLOOR - size} width={size} height={size} fill={LIGHT} />
      <Path d={`M${x} ${FLOOR - size} l${depth} -${depth} h${size} l-${depth} ${depth} z`} fill={DOT} opacity={0.75} />
      <Path d={`M${x + size} ${FLOOR - size} l${depth} -${depth} v${size} l-${depth} ${depth} z`} fill={SIDE} />
    </>
  )
}

const Drop = () => <Path d={`M0 ${FLOOR} q30 -9 64 0 z`} fill={LIGHT} />
const Powder = () =>
  [0, 7, 14, 21, 28].map((x, i) => <Circle key={x} cx={x + 2} cy={FLOOR - (i % 2 ? 2 : 4)} r={1.2} fill={DOT} />)
