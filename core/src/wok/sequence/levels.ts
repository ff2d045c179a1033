import type { Handling } from '../heat/parameters'
import type { HeatLevel } from '../score'
import type { Segment } from './moves'
import type { Choice } from './vocabulary'
import type { SchoolValue } from '../../book/schools'

/** A heat as the vessel has it: ceiling of the metal [°C] and how far the valve is open; as the cook says it: a level. */
export type Heat = { ceilingC: number; open: number; level: HeatLevel }

type School = SchoolValue<'heat'>
/** To this the empty vessel is heated, by school [°C]. [C] */
const PREHEAT_C: Readonly<Record<School, number>> = {
  full: 230,
  high: 220,
  medium: 190,
  mediumThenHigh: 190,
  lowRising: 160,
  zones: 230,
}
const HIGH_C = 240
const HIGH_OWN_C = 250
const LOW = { egg: 165, base: 185, own: 175, rice: 235 } as const
const EGG_ZONE_C = 175
/** A flame this far below what it could do is kept apart from a coated pan's limit. */
const MEDIUM = { belowK: 85, leastC: 195, mostC: 230, open: 0.8 } as const

/** Oil that goes into cold metal is hot when it shimmers; it is not taken to smoke [°C]. Common practice. */
const SHIMMERS_C = 190

/** To this the empty vessel is heated at a station whose metal may reach `holdC` [°C]. */
export const preheatToC = ({ heat, preheat }: Pick<Choice, 'heat' | 'preheat'>, holdC: number): number =>
  Math.min(PREHEAT_C[heat], holdC - 8, preheat === 'oilFromCold' ? SHIMMERS_C : Infinity)

/** The heat of a part of the run; the flame may be lowered for the last toss. */
export const heatFor = (
  { heat, lastToss }: Pick<Choice, 'heat' | 'lastToss'>,
  segment: Segment,
  holdC: number,
): Heat =>
  segment !== 'last'
    ? heatOf(heat, segment, holdC)
    : lastToss === 'lowered'
      ? heatOf('medium', 'base', holdC)
      : heatOf(heat, 'end', holdC)

/**
 * How food is moved in a part of the run where the whole batch is handled as `asked`: before the rice is in, what lies in a wok
 * needs the metal and is turned, not thrown. Common practice.
 */
export function handlingFor(segment: Segment, asked: Handling): Handling {
  const isBeforeRice = segment === 'egg' || segment === 'own' || segment === 'base'
  return asked === 'toss' && isBeforeRice ? 'stir' : asked
}

/** The heat of a part of the run, by school, at a station whose metal may reach `holdC`. [C] */
function heatOf(school: School, segment: Exclude<Segment, 'last'>, holdC: number): Heat {
  const full: Heat = { ceilingC: holdC, open: 1, level: 'full' }
  const mediumC = Math.min(MEDIUM.mostC, Math.max(MEDIUM.leastC, holdC - MEDIUM.belowK))
  const at = (ceilingC: number, open: number, level: HeatLevel): Heat => ({
    ceilingC: Math.min(holdC, ceilingC),
    open,
    level,
  })
  const medium = at(mediumC, MEDIUM.open, 'medium')
  switch (school) {
    case 'full':
      return full
    case 'high':
      return segment === 'rice' || segment === 'end' ? full : at(segment === 'own' ? HIGH_OWN_C : HIGH_C, 1, 'high')
    case 'medium':
      return segment === 'rice' ? at(holdC - 40, 0.9, 'high') : medium
    case 'mediumThenHigh':
      return segment === 'rice' || segment === 'end' ? full : medium
    case 'lowRising':
      if (segment === 'end') return full
      return segment === 'rice'
        ? at(LOW.rice, 0.8, 'medium')
        : at(LOW[segment], segment === 'egg' ? 0.4 : segment === 'base' ? 0.5 : 0.45, 'low')
    case 'zones':
      return segment === 'egg' ? at(EGG_ZONE_C, 1, 'low') : segment === 'base' ? medium : full
  }
}
