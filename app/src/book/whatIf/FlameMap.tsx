import type { Kitchen } from 'contract/kitchen'
import type { Wondered } from 'core/line/whatIf'
import { OUTCOMES, type BatchFlameCell, type Outcome } from 'core/wok/whatIf/batchFlame'
import { scaleLinear, scaleLog } from 'd3-scale'
import { useRef } from 'react'
import { View } from 'react-native'
import Svg, { Circle, Rect } from 'react-native-svg'
import { useWords } from '../../words/i18n'
import { Axes, BOTTOM_PX, LEFT_PX, RIGHT_PX, TOP_PX } from './FlameMapAxes'
import { Cells, Patterns, Region } from './FlameMapCells'
import { useDragOver } from './useDragOver'
import { MOST_PORTIONS, POWER_KW } from './useWhatIf'
import { useMassWords } from '../../setup/useMassWords'
import { bulkUnitG, bulkUnitOf } from 'core/measure/scaleUnit'

const IN_CHANNEL = 'rgb(var(--in-channel))'
const CHANNEL = 'rgb(var(--channel))'

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
  const x = scaleLinear([0, mostG], [LEFT_PX, widthPx - RIGHT_PX])
  const xInUnit = scaleLinear([0, mostG / bulkUnitG(weighsIn)], x.range())
  const y = scaleLog([POWER_KW.least, POWER_KW.most], [heightPx - BOTTOM_PX, TOP_PX])
  const riceG = (portions: number) => portions * portionRiceG
  const move = (portions: number, powerKw: number) => onMove(withinMap(portions, powerKw))
  useDragOver(place, (px, py) =>
    move(x.invert(px) / portionRiceG, y.invert(Math.min(heightPx - BOTTOM_PX, Math.max(TOP_PX, py)))),
  )
  const kw = wondered.powerW / 1000
  const keys: Record<string, () => void> = {
    ArrowLeft: () => move(wondered.portions - 1, kw),
    ArrowRight: () => move(wondered.portions + 1, kw),
    ArrowUp: () => move(wondered.portions, kw + 0.5),
    ArrowDown: () => move(wondered.portions, kw - 0.5),
  }
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
        <Patterns />
        <Rect
          x={LEFT_PX}
          y={TOP_PX}
          width={widthPx - RIGHT_PX - LEFT_PX}
          height={heightPx - BOTTOM_PX - TOP_PX}
          fill={CHANNEL}
        />
        <Cells cells={cells} x={x} y={y} topPx={TOP_PX} bottomPx={heightPx - BOTTOM_PX} />
        {OUTCOMES.map((one) => (
          <Region
            key={one}
            cells={cells.filter((cell) => cell.outcome === one)}
            x={x}
            y={y}
            words={t(`whatIf.map.outcomes.${one}`)}
          />
        ))}
        <Axes x={xInUnit} y={y} widthPx={widthPx} heightPx={heightPx} unit={bulkUnitOf(weighsIn)} stations={stations} />
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
