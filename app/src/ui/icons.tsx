import type { ComponentType } from 'react'
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg'

type IconProps = { sizePx: number; color?: string }

const RICE = 'rgb(var(--rice))'
const ON_INVERSE = 'rgb(var(--on-inverse))'

export type CommonIcon = ComponentType<{ size: number; color: string; strokeWidth: number; 'aria-hidden': boolean }>

/** An icon of the common set, in our stroke; colour and shape codes below are our own. */
export function Icon({ as: Drawn, sizePx, color = 'rgb(var(--ash))' }: IconProps & { as: CommonIcon }) {
  return <Drawn size={sizePx} color={color} strokeWidth={2.4} aria-hidden />
}

/** Allergy: a slashed disc. */
export function SlashDisc({ sizePx, color = ON_INVERSE }: IconProps) {
  return (
    <Svg width={sizePx} height={sizePx} viewBox="0 0 24 24" aria-hidden>
      <Circle cx={12} cy={12} r={9.6} stroke={color} strokeWidth={2.6} fill="none" />
      <Line x1={5.6} y1={5.6} x2={18.4} y2={18.4} stroke={color} strokeWidth={2.6} />
    </Svg>
  )
}

/** Hazard: a triangle. */
export function Triangle({ sizePx, color = ON_INVERSE }: IconProps) {
  return (
    <Svg width={sizePx} height={sizePx} viewBox="0 0 24 24" aria-hidden>
      <Path d="M12 2.5 L22.5 21 H1.5 Z" fill={color} />
      <Rect x={11} y={9} width={2} height={6.4} fill="rgb(var(--inverse))" />
      <Rect x={11} y={16.8} width={2} height={2} fill="rgb(var(--inverse))" />
    </Svg>
  )
}

/** Conflict or lateness: a diamond. */
export function Diamond({ sizePx, color = RICE }: IconProps) {
  return (
    <Svg width={sizePx} height={sizePx} viewBox="0 0 24 24" aria-hidden>
      <Path d="M12 2 L22 12 L12 22 L2 12 Z" fill={color} />
    </Svg>
  )
}

/** Nothing there: an empty bowl. */
export function EmptyBowl({ sizePx, color = RICE }: IconProps) {
  return (
    <Svg width={sizePx} height={sizePx * 0.7} viewBox="0 0 30 21" aria-hidden>
      <Path d="M1.5 2 H28.5 C28.5 12 23 19 15 19 C7 19 1.5 12 1.5 2 Z" fill="none" stroke={color} strokeWidth={1.8} />
    </Svg>
  )
}

/** No network: a thread with a gap. */
export function CutThread({ sizePx, color = RICE }: IconProps) {
  return (
    <Svg width={sizePx * 0.5} height={sizePx} viewBox="0 0 12 32" aria-hidden>
      <Line x1={6} y1={0} x2={6} y2={9} stroke={color} strokeWidth={1.8} />
      <Circle cx={6} cy={12} r={3.2} fill={color} />
      <Circle cx={6} cy={20} r={3} fill="none" stroke={color} strokeWidth={1.8} />
      <Line x1={6} y1={23} x2={6} y2={32} stroke={color} strokeWidth={1.8} />
    </Svg>
  )
}

/** The five stages as beads on a thread, the one in hand filled. */
export function Beads({ at, sizePx }: { at: number; sizePx: number }) {
  return (
    <Svg width={14} height={sizePx} viewBox="0 0 14 56" aria-hidden>
      <Line x1={7} y1={2} x2={7} y2={54} stroke={RICE} strokeWidth={1.4} />
      {[4, 16, 28, 40, 52].map((y, index) => (
        <Circle
          key={y}
          cx={7}
          cy={y}
          r={index === at ? 5 : 3.2}
          fill={index === at ? 'rgb(var(--celadon))' : 'rgb(var(--ground))'}
          stroke={index === at ? 'rgb(var(--celadon))' : RICE}
          strokeWidth={1.4}
        />
      ))}
    </Svg>
  )
}
