import type { BatchFlameCell, Outcome } from 'core/wok/whatIf/batchFlame'
import { G, Rect, Text as SvgText } from 'react-native-svg'

const FONT = 'Archivo Variable'
const IN_CHANNEL = 'rgb(var(--in-channel))'
const CHANNEL = 'rgb(var(--channel))'

type Box = { x: number; y: number; width: number; height: number }

/** One cell: its colour by how soon the rice is done, its pattern by what becomes of it. */
export function Cell({ cell, ...box }: Box & { cell: BatchFlameCell }) {
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
