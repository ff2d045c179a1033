import type { Kitchen } from 'contract/kitchen'
import { heatOf } from 'core/line/batchHeat'
import type { Wondered } from 'core/line/whatIf'
import { OUTCOMES, type BatchFlameCell, type Outcome } from 'core/wok/whatIf/batchFlame'
import { scaleLinear, scaleLog } from 'd3-scale'
import { useEffect, useEffectEvent, useRef } from 'react'
import { View } from 'react-native'
import Svg, { Circle, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg'
import { useWords } from '../../words/i18n'
import { Cell, Region } from './FlameMapCells'
import { MOST_PORTIONS, POWER_KW } from './useWhatIf'
import { useMassWords } from '../../setup/useMassWords'
import { bulkUnitG, bulkUnitOf } from 'core/measure/scaleUnit'

const LEFT_PX = 74
const BOTTOM_PX = 34
const FONT = 'Archivo Variable'
const IN_CHANNEL = 'rgb(var(--in-channel))'
const CHANNEL = 'rgb(var(--channel))'
const ASH = 'rgb(147 160 166)'
const TICKS_KW = [3.5, 6, 10, 16, 24, 35]

type Props = {
  cells: readonly BatchFlameCell[]
  kitchen: Kitchen
  stationKind: 'wok' | 'griddle'
  portionRiceG: number
  today: Wondered
  wondered: Wondered
  outcome: Outcome | null
  widthPx: number
  heightPx: number
  onMove: (change: { portions: number; powerW: number }) => void
}

/** Whole portions and half kilowatts that the map has. */
const withinMap = (portions: number, powerKw: number) => ({
  portions: Math.min(MOST_PORTIONS, Math.max(1, Math.round(portions))),
  powerW: Math.min(POWER_KW.most, Math.max(POWER_KW.least, Math.round(powerKw * 2) / 2)) * 1000,
})

/** Which batches fry on which flame, with this kitchen's stations; a finger or the arrow keys move the batch that is looked at. */
export function FlameMap(props: Props) {
  const { mass, weighsIn } = useMassWords()
  const { cells, kitchen, stationKind, portionRiceG, today, wondered, outcome, widthPx, heightPx, onMove } = props
  const t = useWords('book')
  const place = useRef<View>(null)
  const mostG = MOST_PORTIONS * portionRiceG
  const x = scaleLinear([0, mostG], [LEFT_PX, widthPx - 6])
  const xInUnit = scaleLinear([0, mostG / bulkUnitG(weighsIn)], x.range())
  const y = scaleLog([POWER_KW.least, POWER_KW.most], [heightPx - BOTTOM_PX, 8])
  const riceG = (portions: number) => portions * portionRiceG
  const move = (portions: number, powerKw: number) => onMove(withinMap(portions, powerKw))
  const moveTo = useEffectEvent((px: number, py: number) =>
    onMove(withinMap(x.invert(px) / portionRiceG, y.invert(Math.min(heightPx - BOTTOM_PX, Math.max(8, py))))),
  )
  useEffect(() => {
    const element = place.current as unknown as HTMLElement | null
    if (!element) return
    const at = (event: PointerEvent) => {
      const box = element.getBoundingClientRect()
      moveTo(event.clientX - box.left, event.clientY - box.top)
    }
    const down = (event: PointerEvent) => {
      element.setPointerCapture(event.pointerId)
      at(event)
    }
    const dragged = (event: PointerEvent) => {
      if (element.hasPointerCapture(event.pointerId)) at(event)
    }
    element.addEventListener('pointerdown', down)
    element.addEventListener('pointermove', dragged)
    return () => {
      element.removeEventListener('pointerdown', down)
      element.removeEventListener('pointermove', dragged)
    }
  }, [])
  const kw = wondered.powerW / 1000
  const keys: Record<string, () => void> = {
    ArrowLeft: () => move(wondered.portions - 1, kw),
    ArrowRight: () => move(wondered.portions + 1, kw),
    ArrowUp: () => move(wondered.portions, kw + 0.5),
    ArrowDown: () => move(wondered.portions, kw - 0.5),
  }
  const columns = [...new Set(cells.map(({ riceG }) => riceG))]
  const rows = [...new Set(cells.map(({ powerW }) => powerW))]
  const halfPx = columns.length > 1 ? (x(columns[1]!) - x(columns[0]!)) / 2 : 0
  const tallPx = rows.length > 1 ? Math.abs(y(rows[1]! / 1000) - y(rows[0]! / 1000)) / 2 : 0
  const stations = kitchen.stations.filter(({ kind }) => kind === stationKind)
  return (
    <View
      ref={place}
      role="slider"
      tabIndex={0}
      aria-label={t('whatIf.map.name', {
        mass: mass(wondered.portions * portionRiceG),
        kw,
        outcome: outcome ? t(`whatIf.map.outcomes.${outcome}`) : t('whatIf.working'),
      })}
      aria-valuenow={wondered.portions}
      aria-valuemin={1}
      aria-valuemax={MOST_PORTIONS}
      className="ring-focus rounded"
      style={{ width: widthPx, height: heightPx, touchAction: 'none', cursor: 'crosshair' } as object}
      {...{
        onKeyDown: (event: { key: string; preventDefault: () => void }) => {
          const act = keys[event.key]
          if (!act) return
          act()
          event.preventDefault()
        },
      }}
    >
      <Svg id="what-if-map" width={widthPx} height={heightPx} viewBox={`0 0 ${widthPx} ${heightPx}`} aria-hidden>
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
        <Rect x={LEFT_PX} y={8} width={widthPx - 6 - LEFT_PX} height={heightPx - BOTTOM_PX - 8} fill={CHANNEL} />
        {cells.map((cell) => (
          <Cell
            key={`${cell.riceG} ${cell.powerW}`}
            cell={cell}
            x={x(cell.riceG) - halfPx}
            y={Math.max(8, y(cell.powerW / 1000) - tallPx)}
            width={2 * halfPx + 0.6}
            height={
              Math.min(heightPx - BOTTOM_PX, y(cell.powerW / 1000) + tallPx) -
              Math.max(8, y(cell.powerW / 1000) - tallPx) +
              0.6
            }
          />
        ))}
        {OUTCOMES.map((one) => (
          <Region
            key={one}
            cells={cells.filter((cell) => cell.outcome === one)}
            x={x}
            y={y}
            words={t(`whatIf.map.outcomes.${one}`)}
          />
        ))}
        {TICKS_KW.map((tick) => (
          <Axis key={tick} x={LEFT_PX - 6} y={y(tick) + 4} anchor="end">
            {String(tick)}
          </Axis>
        ))}
        {stations.map((station) => {
          const at = y(Math.min(POWER_KW.most, Math.max(POWER_KW.least, heatOf(station).station.powerW / 1000)))
          return (
            <G key={station.id}>
              <Line
                x1={LEFT_PX}
                x2={widthPx - 6}
                y1={at}
                y2={at}
                stroke={IN_CHANNEL}
                strokeWidth={1}
                strokeDasharray="6 5"
                opacity={0.7}
              />
              <Axis x={2} y={at - 5} anchor="start" isStrong>
                {station.name}
              </Axis>
            </G>
          )
        })}
        {xInUnit.ticks(6).map((tick) => (
          <Axis key={tick} x={xInUnit(tick)} y={heightPx - BOTTOM_PX + 15} anchor="middle">
            {String(tick)}
          </Axis>
        ))}
        <Axis x={widthPx - 6} y={heightPx - 4} anchor="end">
          {t('whatIf.map.x', { unit: bulkUnitOf(weighsIn) })}
        </Axis>
        <Axis x={2} y={heightPx - 4} anchor="start">
          {t('whatIf.map.y')}
        </Axis>
        <Circle
          cx={x(riceG(today.portions))}
          cy={y(today.powerW / 1000)}
          r={7}
          fill={CHANNEL}
          stroke={IN_CHANNEL}
          strokeWidth={2.5}
        />
        <Circle cx={x(riceG(wondered.portions))} cy={y(kw)} r={11} fill={IN_CHANNEL} stroke={CHANNEL} strokeWidth={4} />
      </Svg>
    </View>
  )
}

type AxisProps = { x: number; y: number; anchor: 'start' | 'middle' | 'end'; isStrong?: boolean; children: string }
const Axis = ({ x, y, anchor, isStrong = false, children }: AxisProps) => (
  <SvgText
    x={x}
    y={y}
    fontSize={12.5}
    fontFamily={FONT}
    fontWeight={isStrong ? '700' : '500'}
    textAnchor={anchor}
    fill={isStrong ? 'rgb(var(--rice))' : 'rgb(var(--ash))'}
  >
    {children}
  </SvgText>
)
