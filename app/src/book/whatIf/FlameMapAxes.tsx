import type { Kitchen } from 'contract/kitchen'
import { heatOf } from 'core/line/batchHeat'
import type { ScaleContinuousNumeric, ScaleLinear } from 'd3-scale'
import { G, Line, Text as SvgText } from 'react-native-svg'
import { useWords } from '../../words/i18n'
import { POWER_KW } from './useWhatIf'

/** What the map leaves free around its cells for what is written there [px]. */
export const LEFT_PX = 74
export const RIGHT_PX = 6
export const TOP_PX = 8
export const BOTTOM_PX = 34
const FONT = 'Archivo Variable'
const IN_CHANNEL = 'rgb(var(--in-channel))'
const TICKS_KW = [3.5, 6, 10, 16, 24, 35]

type AxesProps = {
  /** Rice in the unit that it is weighed in, and the flame [kW], to px. */
  x: ScaleLinear<number, number>
  y: ScaleContinuousNumeric<number, number>
  widthPx: number
  heightPx: number
  unit: string
  stations: Kitchen['stations']
}

/** The figures of both axes, and the flames of this kitchen's stations across the map. */
export function Axes({ x, y, widthPx, heightPx, unit, stations }: AxesProps) {
  const t = useWords('book')
  return (
    <G>
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
              x2={widthPx - RIGHT_PX}
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
      {x.ticks(6).map((tick) => (
        <Axis key={tick} x={x(tick)} y={heightPx - BOTTOM_PX + 15} anchor="middle">
          {String(tick)}
        </Axis>
      ))}
      <Axis x={widthPx - RIGHT_PX} y={heightPx - 4} anchor="end">
        {t('whatIf.map.x', { unit })}
      </Axis>
      <Axis x={2} y={heightPx - 4} anchor="start">
        {t('whatIf.map.y')}
      </Axis>
    </G>
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
