import type { BatchFlameCell, Outcome } from 'core/wok/whatIf/batchFlame'
import { Circle, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg'

const FONT = 'Archivo Variable'
const IN_CHANNEL = 'rgb(var(--in-channel))'
const CHANNEL = 'rgb(var(--channel))'
const ASH = 'rgb(147 160 166)'

type Box = { x: number; y: number; width: number; height: number }

/** What the outcomes that are not frying are drawn with. */
export const Patterns = () => (
  <G>
    <Pattern id="what-if-steams" width={26} height={12} patternUnits="userSpaceOnUse">
      <Path d="M0 6 Q6.5 -1 13 6 T26 6" fill="none" stroke={ASH} strokeWidth={1.6} />
    </Pattern>
    <Pattern id="what-if-slow" width={9} height={9} patternUnits="userSpaceOnUse">
      <Circle cx={4.5} cy={4.5} r={1.3} fill={CHANNEL} />
    </Pattern>
    <Pattern id="what-if-full" width={9} height={9} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <Line x1={0} y1={0} x2={0} y2={9} stroke={ASH} strokeWidth={2} />
    </Pattern>
  </G>
)

type CellsProps = {
  cells: readonly BatchFlameCell[]
  x: (riceG: number) => number
  y: (kw: number) => number
  topPx: number
  bottomPx: number
}
/** Cells are a hair larger than their share, so that no line shows between them [px]. */
const HAIR_PX = 0.6

/** The map cell by cell, none beyond its edges. */
export function Cells({ cells, x, y, topPx, bottomPx }: CellsProps) {
  const [first, second] = [...new Set(cells.map(({ riceG }) => riceG))]
  const [low, next] = [...new Set(cells.map(({ powerW }) => powerW))]
  const halfPx = first === undefined || second === undefined ? 0 : (x(second) - x(first)) / 2
  const tallPx = low === undefined || next === undefined ? 0 : Math.abs(y(next / 1000) - y(low / 1000)) / 2
  return cells.map((cell) => {
    const middle = y(cell.powerW / 1000)
    const top = Math.max(topPx, middle - tallPx)
    return (
      <Cell
        key={`${cell.riceG} ${cell.powerW}`}
        cell={cell}
        x={x(cell.riceG) - halfPx}
        y={top}
        width={2 * halfPx + HAIR_PX}
        height={Math.min(bottomPx, middle + tallPx) - top + HAIR_PX}
      />
    )
  })
}

/** One cell: its colour by how soon the rice is done, its pattern by what becomes of it. */
function Cell({ cell, ...box }: Box & { cell: BatchFlameCell }) {
  const { outcome, riceS } = cell
  return (
    <G>
      <Rect {...box} fill={FILL[outcome](riceS ?? Infinity)} />
      {outcome !== 'fries' && <Rect {...box} fill={`url(#what-if-${outcome})`} />}
    </G>
  )
}
const FILL: Readonly<Record<Outcome, (riceS: number) => string>> = {
  fries: (riceS) =>
    riceS <= 60 ? 'rgb(var(--ember-full))' : riceS <= 120 ? 'rgb(var(--ember-high))' : 'rgb(var(--ember-medium))',
  slow: () => 'rgb(var(--ember-low))',
  steams: () => CHANNEL,
  full: () => CHANNEL,
}

type RegionProps = {
  cells: readonly BatchFlameCell[]
  x: (riceG: number) => number
  y: (kw: number) => number
  words: string
}
/** The name of an outcome, in the middle of where it is; none where there is hardly any of it. */
export function Region({ cells, x, y, words }: RegionProps) {
  if (cells.length < 5) return null
  const mid = (some: number[]) => some.sort((a, b) => a - b)[Math.floor(some.length / 2)]!
  const row = mid(cells.map(({ powerW }) => powerW))
  const inRow = cells.filter(({ powerW }) => powerW === row).map(({ riceG }) => riceG)
  const atX = x((Math.min(...inRow) + Math.max(...inRow)) / 2)
  const atY = y(row / 1000)
  const wide = words.length * 8.5 + 14
  return (
    <G>
      <Rect x={atX - wide / 2} y={atY - 13} width={wide} height={24} rx={2} fill={CHANNEL} />
      <SvgText
        x={atX}
        y={atY + 5}
        fontSize={16}
        fontWeight="700"
        fontFamily={FONT}
        textAnchor="middle"
        fill={IN_CHANNEL}
      >
        {words}
      </SvgText>
    </G>
  )
}
