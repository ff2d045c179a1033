import { Pressable, View } from 'react-native'
import Svg, { Line, Path, Pattern, Rect, Circle, Text as SvgText } from 'react-native-svg'
import { Definitions } from '../../ui/Definitions'
import { Text } from '../../ui/Text'

export type PanFill = 'grain' | 'warm' | 'ice' | 'struck'
type PanProps = {
  name: string
  massWords: string
  status: string
  /** 0–1 of a full tray. */
  level: number
  fill: PanFill
  /** Which in the order of use; null for what is not to be used yet. */
  order: number | null
  /** The status is said elsewhere. */
  isBare?: boolean
  onPress: () => void
}

const WIDTH = 108
const HEIGHT = 44
const RIM = 6
const FLARE = 7

/** A lot as a tray seen from the side: how full, and by its grain what may be done with it. */
export function Pan({ name, massWords, status, level, fill, order, isBare = false, onPress }: PanProps) {
  const top = HEIGHT - Math.max(6, Math.min(1, level) * (HEIGHT - RIM))
  const slant = (y: number) => FLARE * (1 - y / HEIGHT)
  return (
    <Pressable
      role="link"
      aria-label={[name, massWords, status].filter(Boolean).join(', ')}
      onPress={onPress}
      className={`ring-focus ${isBare ? 'min-h-[72px]' : 'min-h-24'} w-[116px] justify-end rounded-md pt-1 active:bg-plate`}
    >
      <View aria-hidden className="items-center">
        <Text stretch="narrow" numberOfLines={1} weight="bold">
          {`${name} `}
          <Text stretch="narrow" weight="medium">
            {massWords}
          </Text>
        </Text>
        {!isBare && (
          <Text size="small" stretch="narrow" numberOfLines={1}>
            {status}
          </Text>
        )}
      </View>
      <Svg width={WIDTH + 8} height={HEIGHT + 4} viewBox={`-4 0 ${WIDTH + 8} ${HEIGHT + 4}`} aria-hidden>
        <Fills />
        <Path
          d={`M${FLARE - slant(top) + 1} ${top} H${WIDTH - FLARE + slant(top) - 1} L${WIDTH - FLARE} ${HEIGHT} H${FLARE} Z`}
          fill={fill === 'ice' ? 'rgb(var(--ash))' : 'rgb(var(--line))'}
        />
        <Path
          d={`M${FLARE - slant(top) + 1} ${top} H${WIDTH - FLARE + slant(top) - 1} L${WIDTH - FLARE} ${HEIGHT} H${FLARE} Z`}
          fill={`url(#pan-${fill})`}
        />
        <Path
          d={`M-3 1 H0 L${FLARE} ${HEIGHT} H${WIDTH - FLARE} L${WIDTH} 1 H${WIDTH + 3}`}
          stroke="rgb(var(--rice))"
          strokeWidth={2}
          fill="none"
        />
        {order !== null && <Flag order={order} />}
      </Svg>
    </Pressable>
  )
}

function Flag({ order }: { order: number }) {
  return (
    <>
      <Line x1={14} y1={4} x2={14} y2={HEIGHT - 4} stroke="rgb(var(--inverse))" strokeWidth={2.4} />
      <Path d={`M14 4 H38 L33 14 L38 24 H14 Z`} fill="rgb(var(--inverse))" />
      <SvgText x={19} y={20} fontSize={16} fontWeight="700" fontFamily="Archivo Variable" fill="rgb(var(--on-inverse))">
        {order}
      </SvgText>
    </>
  )
}

function Fills() {
  return (
    <Definitions>
      <Pattern id="pan-grain" width={8} height={6} patternUnits="userSpaceOnUse">
        <Rect width={8} height={6} fill="rgb(216 207 188)" />
        <Circle cx={2} cy={2} r={1} fill="rgb(150 138 112)" />
        <Circle cx={6} cy={5} r={1} fill="rgb(150 138 112)" />
      </Pattern>
      <Pattern id="pan-warm" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <Rect width={7} height={7} fill="rgb(168 138 112)" />
        <Line x1={0} y1={0} x2={0} y2={7} stroke="rgb(90 58 44)" strokeWidth={3} />
      </Pattern>
      <Pattern id="pan-ice" width={8} height={8} patternUnits="userSpaceOnUse">
        <Rect width={8} height={8} fill="rgb(196 206 210)" />
      </Pattern>
      <Pattern id="pan-struck" width={8} height={8} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <Rect width={8} height={8} fill="rgb(216 207 188)" />
        <Line x1={0} y1={0} x2={0} y2={8} stroke="rgb(23 26 28)" strokeWidth={4} />
      </Pattern>
    </Definitions>
  )
}
