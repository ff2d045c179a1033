import { acidByGram } from './acid'
import { SALT_PER_SODIUM, type Balance, type BalancePart } from './balance'
import type { StatedSchools } from '../schools'
import { METRICS, OIL_BAND_G, type Band, type Metric, type Style } from './style'

/** A metric outside its band, with who brings it. */
export type Finding =
  | { kind: 'outside'; metric: Metric; side: 'low' | 'high'; value: number; band: Band; causes: Cause[] }
  | { kind: 'colour'; colour: Balance['colour']; wanted: Style['colours'] }
  | { kind: 'oil-school'; side: 'low' | 'high'; gPer100G: number; band: Band }

/** Which share of a metric one component brings (0.41 = 41 %). */
export type Cause = { id: string; name: string; share: number }

/** How much of what a metric counts one gram of a component brings. */
export const CONTENT: Readonly<Record<Metric, (part: BalancePart) => number>> = {
  saltFraction: ({ ingredient }) => (ingredient.sodiumMg * SALT_PER_SODIUM) / 1e5,
  sugarFraction: ({ ingredient }) => ingredient.sugarsG / 100,
  fatFraction: ({ ingredient }) => ingredient.fatG / 100,
  freeLiquidFraction: ({ role, ingredient }) => (role === 'rice' ? 0 : ingredient.freeLiquidFraction),
  vegetableToRice: ({ role }) => (role === 'vegetable' ? 1 : 0),
  proteinToRice: ({ role }) => (role === 'protein' ? 1 : 0),
  eggToRice: ({ role }) => (role === 'egg' ? 1 : 0),
  acidScale: ({ ingredient }) => acidByGram(ingredient.acid),
  chilliScale: ({ ingredient }) => ingredient.chilliHeat,
}

const ROUNDING = 1e-9
const isInside = (value: number, { least, most }: Band) => value >= least - ROUNDING && value <= most + ROUNDING

const MAX_CAUSES = 3

/** Who brings a metric, the largest share first. */
export function causesOf(metric: Metric, parts: readonly BalancePart[]): Cause[] {
  const content = CONTENT[metric]
  const brought = parts.map((part) => ({ id: part.id, name: part.name, g: content(part) * part.massG }))
  const sum = brought.reduce((total, one) => total + one.g, 0)
  if (!(sum > 0)) return []
  return brought
    .map(({ id, name, g }) => ({ id, name, share: g / sum }))
    .filter((cause) => cause.share > 0)
    .sort((a, b) => b.share - a.share)
    .slice(0, MAX_CAUSES)
}

/** Everything about a balance that its style does not want. */
export function findingsOf(
  balance: Balance,
  parts: readonly BalancePart[],
  style: Style,
  oilSchool?: StatedSchools['oil'],
): Finding[] {
  const outside = METRICS.flatMap((metric): Finding[] => {
    const value = balance.metrics[metric]
    const band = style.bands[metric]
    if (value === null || isInside(value, band)) return []
    const side = value < band.least ? 'low' : 'high'
    return [{ kind: 'outside', metric, side, value, band, causes: causesOf(metric, parts) }]
  })
  const colour: Finding[] =
    parts.length === 0 || style.colours.includes(balance.colour)
      ? []
      : [{ kind: 'colour', colour: balance.colour, wanted: style.colours }]
  return [...outside, ...colour, ...oilFinding(balance, parts, oilSchool)]
}

function oilFinding(balance: Balance, parts: readonly BalancePart[], school: StatedSchools['oil']): Finding[] {
  if (!school || school === 'auto' || !(balance.riceMassG > 0)) return []
  const oilG = parts.filter((part) => part.role === 'fat').reduce((sum, part) => sum + part.massG, 0)
  const gPer100G = (oilG / balance.riceMassG) * 100
  // What is pressed back out was poured in first: it is judged as it is written.
  const band = OIL_BAND_G[school === 'pressedBack' ? 'rich' : school]
  if (isInside(gPer100G, band)) return []
  return [{ kind: 'oil-school', side: gPer100G < band.least ? 'low' : 'high', gPer100G, band }]
}
