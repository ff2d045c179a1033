import type { TracePoint } from 'core/wok/whatIf/trace'
import { scaleLinear } from 'd3-scale'
import { area, line } from 'd3-shape'
import { View } from 'react-native'
import Svg, { Circle, G, Line, LinearGradient, Path, Rect, Stop, Text as SvgText } from 'react-native-svg'
import { useReadsIn } from '../../setup/useKitchen'
import { Text } from '../../ui/Text'
import { formatClock, formatWholeTemp } from '../../words/format'
import { useWords } from '../../words/i18n'

const LEFT_PX = 34
const WATER_PX = 54
const TOP_PX = 18
const FONT = 'Archivo Variable'
const IN_CHANNEL = 'rgb(var(--in-channel))'
const CHANNEL = 'rgb(var(--channel))'
const RICE = 'rgb(217 210 195)'
const ASH = 'rgb(147 160 166)'
const HOT_C = 74
const FRIES_C = 140
const TICK_S = 60

/** The colour of metal by its heat, the warmest first [°C]. */
const EMBERS = [
  { fromC: 260, fill: 'rgb(var(--ember-full))' },
  { fromC: 215, fill: 'rgb(var(--ember-high))' },
  { fromC: 165, fill: 'rgb(var(--ember-medium))' },
  { fromC: 110, fill: 'rgb(var(--ember-low))' },
] as const
const emberAt = (tempC: number) => EMBERS.find(({ fromC }) => tempC >= fromC)?.fill ?? 'rgb(var(--ember-off))'

export type CurvesProps = {
  id: string
  title: string
  trace: readonly TracePoint[]
  /** Both curves of a comparison run down the same axis [s]. */
  lastS: number
  widthPx: number
  heightPx: number
  isBehind: boolean
}

/** Pan and rice from the lighting to the plate, time running down: rice from the left, metal to the right, water beside. */
export function Curves({ id, title, trace, lastS, widthPx, heightPx, isBehind }: CurvesProps) {
  const t = useWords('book')
  const readsIn = useReadsIn()
  const temp = (tempC: number) => formatWholeTemp(tempC, readsIn)
  const cooked = trace.filter(({ riceC }) => riceC !== null)
  const low = cooked
    .filter(({ isLit }) => isLit)
    .reduce<TracePoint | null>((least, one) => (least && least.metalC <= one.metalC ? least : one), null)
  const hot = cooked.find(({ riceC }) => (riceC ?? 0) >= HOT_C)
  const friedS = cooked.filter(({ isFrying }) => isFrying).length * 2
  const upS = trace.at(-1)?.atS ?? 0
  const figures = { n: friedS, time: formatClock(upS) }
  return (
    <View style={{ width: widthPx, opacity: isBehind ? 0.6 : 1 }}>
      <Text size="body" weight="bold">
        {title}
      </Text>
      <View
        role="img"
        aria-label={
          trace.length === 0
            ? `${title}: ${t('whatIf.chart.none')}`
            : t('whatIf.chart.name', {
                what: title,
                low: low ? temp(low.metalC) : '–',
                hot: hot ? formatClock(hot.atS) : '–',
                ...figures,
              })
        }
      >
        <Drawing {...{ id, trace, cooked, low, hot, upS, lastS, widthPx, heightPx, temp }} />
      </View>
      <Text stretch="slim">{trace.length === 0 ? t('whatIf.chart.none') : t('whatIf.chart.fried', figures)}</Text>
    </View>
  )
}

type DrawingProps = Omit<CurvesProps, 'title' | 'isBehind'> & {
  cooked: readonly TracePoint[]
  /** Where the metal is coldest while it is lit, and where the rice is hot. */
  low: TracePoint | null
  hot: TracePoint | undefined
  upS: number
  temp: (tempC: number) => string
}

function Drawing({ id, trace, cooked, low, hot, upS, lastS, widthPx, heightPx, temp }: DrawingProps) {
  const t = useWords('book')
  const y = scaleLinear([0, Math.max(60, lastS)], [TOP_PX, heightPx - 4])
  const panPx = widthPx - LEFT_PX - WATER_PX
  const x = scaleLinear([0, 340], [LEFT_PX, LEFT_PX + panPx])
  const most = Math.max(0.02, ...trace.map(({ freeFraction }) => freeFraction ?? 0))
  const wet = scaleLinear([0, most], [widthPx - WATER_PX + 8, widthPx - 4])
  const panArea = area<TracePoint>()
    .y(({ atS }) => y(atS))
    .x0(({ riceC }) => x(riceC ?? 0))
    .x1(({ metalC }) => x(metalC))
  const riceArea = area<TracePoint>()
    .y(({ atS }) => y(atS))
    .x0(() => x(0))
    .x1(({ riceC }) => x(riceC ?? 0))
  const waterArea = area<TracePoint>()
    .y(({ atS }) => y(atS))
    .x0(() => wet(0))
    .x1(({ freeFraction }) => wet(freeFraction ?? 0))
  const crustLine = line<TracePoint>()
    .y(({ atS }) => y(atS))
    .x(({ crust }) => wet((crust ?? 0) * most))
  const stops = trace.filter((_, i) => i % 3 === 0)
  return (
    <Svg id={id} width={widthPx} height={heightPx} viewBox={`0 0 ${widthPx} ${heightPx}`} aria-hidden>
      <G>
        <LinearGradient id={`${id}-heat`} x1="0" y1="0" x2="0" y2="1">
          {stops.map((point) => (
            <Stop key={point.atS} offset={upS > 0 ? point.atS / upS : 0} stopColor={emberAt(point.metalC)} />
          ))}
        </LinearGradient>
      </G>
      <Rect x={LEFT_PX} y={TOP_PX} width={panPx} height={heightPx - TOP_PX - 4} fill={CHANNEL} />
      <Label x={x(30)} y={12} anchor="middle">
        {t('whatIf.chart.rice')}
      </Label>
      <Label x={x(FRIES_C)} y={12} anchor="middle">
        {temp(FRIES_C)}
      </Label>
      <Label x={x(255)} y={12} anchor="middle">
        {t('whatIf.chart.pan')}
      </Label>
      <Label x={widthPx - 4} y={12} anchor="end">
        {t('whatIf.chart.water')}
      </Label>
      {trace.length > 0 && (
        <G>
          <Path d={panArea(trace) ?? ''} fill={`url(#${id}-heat)`} />
          <Path d={riceArea(cooked) ?? ''} fill={RICE} />
          <Path d={waterArea(cooked) ?? ''} fill="rgb(66 74 84)" stroke={IN_CHANNEL} strokeWidth={0.8} />
          <Path d={crustLine(cooked) ?? ''} fill="none" stroke="rgb(var(--ember-high))" strokeWidth={2} />
        </G>
      )}
      <Line x1={x(FRIES_C)} x2={x(FRIES_C)} y1={TOP_PX} y2={heightPx - 4} stroke={IN_CHANNEL} strokeDasharray="2 4" />
      {Array.from({ length: Math.floor(lastS / TICK_S) + 1 }, (_, i) => i * TICK_S).map((second) => (
        <G key={second}>
          <Label x={LEFT_PX - 4} y={y(second) + 4} anchor="end">
            {formatClock(second)}
          </Label>
          <Line
            x1={LEFT_PX}
            x2={LEFT_PX + panPx}
            y1={y(second)}
            y2={y(second)}
            stroke={CHANNEL}
            strokeWidth={1}
            opacity={0.5}
          />
        </G>
      ))}
      {hot && (
        <G>
          <Line x1={x(0)} x2={x(HOT_C) + 6} y1={y(hot.atS)} y2={y(hot.atS)} stroke={CHANNEL} strokeWidth={3} />
          <Label x={x(4)} y={y(hot.atS) - 4} anchor="start" ink={CHANNEL}>
            {temp(HOT_C)}
          </Label>
        </G>
      )}
      {low && (
        <G>
          <Circle cx={x(low.metalC)} cy={y(low.atS)} r={5} fill={IN_CHANNEL} stroke={CHANNEL} strokeWidth={2} />
          <Label x={x(low.metalC) + 9} y={y(low.atS) + 4} anchor="start" halo>
            {temp(low.metalC)}
          </Label>
        </G>
      )}
    </Svg>
  )
}

type LabelProps = {
  x: number
  y: number
  anchor: 'start' | 'middle' | 'end'
  ink?: string
  halo?: boolean
  children: string
}
function Label({ x, y, anchor, ink = ASH, halo = false, children }: LabelProps) {
  return (
    <SvgText
      x={x}
      y={y}
      fontSize={12.5}
      fontFamily={FONT}
      fontWeight="600"
      textAnchor={anchor}
      fill={halo ? IN_CHANNEL : ink}
      {...(halo && ({ stroke: CHANNEL, strokeWidth: 3, style: { paintOrder: 'stroke' } } as object))}
    >
      {children}
    </SvgText>
  )
}
