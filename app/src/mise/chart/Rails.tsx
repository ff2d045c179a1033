import { RAIL_MM, type RailSpot } from 'core/mise/need/vessels'
import { View } from 'react-native'
import Svg, { G, Line, Pattern, Path, Rect, Text as SvgText } from 'react-native-svg'
import { useDishes } from '../../book/useDishes'
import { Definitions } from '../../ui/Definitions'
import { Text } from '../../ui/Text'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useShorts } from '../doing/useShorts'
import type { Mise } from '../useKitchenPlan'
import { railsOf, type StandingPan } from './railsOf'

const GAP_MM = 40
const MIN_MS = 60_000
const FONT = 'Archivo Variable'

/** The rails as they will stand, every pan to one scale. */
export function Rails({ mise, widthPx }: { mise: Mise; widthPx: number }) {
  const t = useWords('mise')
  const dishes = useDishes().data?.dishes
  const { shorts } = useShorts(mise)
  const railsName = useRailsName()
  if (!dishes || !mise.next?.drawn) return null
  const stations = railsOf({
    stations: mise.kitchen.stations,
    kindOf: new Map(dishes.map((dish) => [dish.id, dish.stationKind])),
    items: mise.next.drawn.items,
    tasks: mise.tasks,
    shortIds: new Set(shorts.map((short) => short.itemId)),
  }).filter((station) => station.rails.length > 0)
  const count = stations.reduce((sum, station) => sum + station.rails.length, 0)
  if (count === 0) return null
  const scale = Math.min(0.34, widthPx / (count * (RAIL_MM.alongMm + GAP_MM)))
  const at = mise.next.fromMs - mise.house.policy.railsMin * MIN_MS
  return (
    <View className="mt-2 border-t border-edge pt-2">
      <View className="flex-row flex-wrap items-baseline justify-between">
        <Text role="heading" aria-level={2} weight="bold">
          {t('chart.rails', { time: formatTime(at, mise.kitchen.timeZone) })}
        </Text>
        <Text size="small" tone="ash">
          {t('chart.railsKey')}
        </Text>
      </View>
      <View className="flex-row flex-wrap gap-x-4">
        {stations.map((station) => (
          <View key={station.station} role="img" aria-label={railsName(station.name, station.rails)}>
            <Text weight="bold">{station.name}</Text>
            <Svg
              width={station.rails.length * (RAIL_MM.alongMm + GAP_MM) * scale}
              height={RAIL_MM.acrossMm * scale + 4}
              aria-hidden
            >
              <Definitions>
                <Pattern
                  id="rail-hatch"
                  width={7}
                  height={7}
                  patternUnits="userSpaceOnUse"
                  patternTransform="rotate(45)"
                >
                  <Line x1={0} x2={0} y1={0} y2={7} stroke="rgb(var(--ash))" strokeWidth={1.5} />
                </Pattern>
              </Definitions>
              {station.rails.map((spots, i) => (
                <Rail key={i} spots={spots} x={i * (RAIL_MM.alongMm + GAP_MM) * scale} scale={scale} />
              ))}
            </Svg>
          </View>
        ))}
      </View>
    </View>
  )
}

function useRailsName() {
  const t = useWords('mise')
  return (name: string, rails: readonly RailSpot<StandingPan>[][]) => {
    const pans = rails.flat().map(({ pan }) => `${pan.name} ${pan.size} ${t(`chart.states.${pan.state}`)}`)
    return `${name}: ${pans.join(', ')}`
  }
}

/** Pans of one rail, each where it lies. */
function Rail({ spots, x, scale }: { spots: readonly RailSpot<StandingPan>[]; x: number; scale: number }) {
  return (
    <G>
      {spots.map(({ pan, xMm, yMm, alongMm, acrossMm }) => (
        <Pan
          key={pan.itemId}
          pan={pan}
          x={x + xMm * scale}
          y={yMm * scale + 1}
          width={alongMm * scale - 2}
          height={acrossMm * scale - 2}
        />
      ))}
      <Path
        d={`M${x} 1 h${RAIL_MM.alongMm * scale} v${RAIL_MM.acrossMm * scale} h-${RAIL_MM.alongMm * scale} z`}
        stroke="rgb(var(--edge))"
        strokeWidth={1}
        fill="none"
      />
    </G>
  )
}

function Pan({ pan, x, y, width, height }: { pan: StandingPan; x: number; y: number; width: number; height: number }) {
  const fill =
    pan.state === 'ready' ? 'rgb(var(--pan))' : pan.state === 'short' ? 'url(#rail-hatch)' : 'rgb(var(--channel))'
  const letters = Math.floor(width / 6)
  const label = pan.name.length <= letters ? pan.name : `${pan.name.slice(0, Math.max(2, letters - 1))}.`
  const ink = pan.state === 'ready' ? 'rgb(var(--on-task))' : 'rgb(var(--in-channel))'
  return (
    <>
      {pan.state === 'short' && <Rect x={x} y={y} width={width} height={height} rx={4} fill="rgb(var(--channel))" />}
      <Rect
        x={x}
        y={y}
        width={width}
        height={height}
        rx={4}
        fill={fill}
        stroke={pan.state === 'short' ? 'rgb(var(--in-channel))' : 'rgb(var(--line))'}
        strokeWidth={pan.state === 'short' ? 2 : 1}
      />
      <SvgText
        x={x + width / 2}
        y={y + height / 2 + 4}
        fontSize={12}
        fontWeight="600"
        fontFamily={FONT}
        fill={ink}
        textAnchor="middle"
      >
        {label}
      </SvgText>
    </>
  )
}
