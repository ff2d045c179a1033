import type { Role } from '../dish'
import { boundedLeastSquares } from '../../math/boundedLeastSquares'
import { balanceOf, SCALE_PER_SHARE, type BalancePart } from './balance'
import { CONTENT, findingsOf } from './findings'
import type { Metric, Style } from './style'

/** A component that is changed from one mass to another [g]. */
export type RepairChange = { id: string; name: string; fromG: number; toG: number }
/** The smallest changes that bring a dish into its bands. */
export type DishRepair = { changes: RepairChange[] }

/** How unwilling a cook is to change what a dish is about: a share of an egg costs as much as three of a sauce. */
const RELUCTANCE: Readonly<Record<Role, number>> = {
  rice: Infinity,
  egg: 3,
  protein: 3,
  vegetable: 2,
  aromatic: 1.5,
  paste: 1.2,
  fat: 1,
  drySeasoning: 1,
  liquidSeasoning: 1,
  finish: 2,
  garnish: 2,
}
/** A component may shrink to nothing or grow to this many times its mass. */
const MAX_GROWTH = 3
/** What a dish is about is not cut below this share: wet sprouts are drained or seared, not left out. */
const MIN_SHARE: Readonly<Partial<Record<Role, number>>> = { egg: 0.5, protein: 0.5, vegetable: 0.5, aromatic: 0.5 }
const MAX_CHANGES = 3
/** Aim this far inside the band, so that rounding does not lead out again. */
const INSIDE = 0.02
/** A kept band weighs this much against a small change. */
const STRICT = 1e4
const SCALES: readonly Metric[] = ['acidScale', 'chilliScale']
const TO_RICE: readonly Metric[] = ['freeLiquidFraction', 'vegetableToRice', 'proteinToRice', 'eggToRice']

type Line = { coefficients: number[]; target: number }

/**
 * The smallest change of amounts that brings every metric into its style's band: the fewest components, and among those the
 * least change relative to what is there, weighed by how much the dish is about it. Every band is linear in the masses, so
 * each choice of components is a bounded least-squares problem. Null where nothing within reach helps, or nothing is wrong.
 */
export function repairOf(parts: readonly BalancePart[], style: Style): DishRepair | null {
  const wrong = outsideOf(parts, style)
  if (wrong.length === 0) return null
  const wrongLines = wrong.map(({ metric, side }) => bandLine(parts, style, metric, side))
  const movable = parts.flatMap((part, i) => (RELUCTANCE[part.role] < Infinity && part.massG > 0 ? [i] : []))
  for (let size = 1; size <= MAX_CHANGES; size += 1) {
    let best: { cost: number; masses: number[]; chosen: number[] } | null = null
    for (const { chosen, lines } of choices(movable, wrong.length, size)) {
      const masses = solve(
        parts,
        chosen,
        lines.map((line) => wrongLines[line]!),
      )
      const cost = chosen.reduce((sum, i) => {
        const part = parts[i]!
        return sum + (RELUCTANCE[part.role] * (masses[i]! / part.massG - 1)) ** 2
      }, 0)
      if (best && cost >= best.cost) continue
      const after = parts.map((part, i) => ({ ...part, massG: masses[i]! }))
      if (outsideOf(after, style).length === 0) best = { cost, masses, chosen }
    }
    if (best) {
      const { masses, chosen } = best
      return {
        changes: chosen.map((i) => ({
          id: parts[i]!.id,
          name: parts[i]!.name,
          fromG: parts[i]!.massG,
          toG: masses[i]!,
        })),
      }
    }
  }
  return null
}

function outsideOf(parts: readonly BalancePart[], style: Style): { metric: Metric; side: 'low' | 'high' }[] {
  return findingsOf(balanceOf(parts), parts, style).flatMap((finding) =>
    finding.kind === 'outside' ? [{ metric: finding.metric, side: finding.side }] : [],
  )
}

/**
 * Which components move, and which of the broken bands they are moved to the edge of: the others must then be kept as well,
 * since one change often mends two.
 */
function* choices(movable: readonly number[], bands: number, size: number) {
  const every = Array.from({ length: bands }, (_, i) => i)
  for (const chosen of subsets(movable, size))
    for (let count = 1; count <= Math.min(size, bands); count += 1)
      for (const lines of subsets(every, count)) yield { chosen, lines }
}

/** Masses after the chosen components moved as little as brings these bands just inside their edges. */
function solve(parts: readonly BalancePart[], chosen: readonly number[], lines: readonly Line[]): number[] {
  const rows: number[][] = []
  const target: number[] = []
  for (const line of lines) {
    const fixed = parts.reduce(
      (sum, part, i) => (chosen.includes(i) ? sum : sum + line.coefficients[i]! * part.massG),
      0,
    )
    rows.push(chosen.map((i) => line.coefficients[i]! * parts[i]!.massG * STRICT))
    target.push((line.target - fixed) * STRICT)
  }
  chosen.forEach((i, k) => {
    const weight = RELUCTANCE[parts[i]!.role]
    rows.push(chosen.map((_, m) => (m === k ? weight : 0)))
    target.push(weight)
  })
  const { x } = boundedLeastSquares({
    rows,
    target,
    lower: chosen.map((i) => MIN_SHARE[parts[i]!.role] ?? 0),
    upper: chosen.map(() => MAX_GROWTH),
  })
  return parts.map((part, i) => {
    const k = chosen.indexOf(i)
    return k < 0 ? part.massG : part.massG * x[k]!
  })
}

/** (content − edge) · mass = 0 at the edge of a band, whichever masses move; scaled to a batch of one. */
function bandLine(parts: readonly BalancePart[], style: Style, metric: Metric, side: 'low' | 'high'): Line {
  const { least, most } = style.bands[metric]
  const inset = (most - least) * INSIDE
  const edge = side === 'low' ? least + inset : most - inset
  const content = CONTENT[metric]
  const sumG = parts.reduce((sum, part) => sum + part.massG, 0)
  const factor = SCALES.includes(metric) ? SCALE_PER_SHARE : 1
  return {
    coefficients: parts.map((part) => {
      const against = TO_RICE.includes(metric) ? (part.role === 'rice' ? 1 : 0) : 1
      return (content(part) * factor - edge * against) / sumG
    }),
    target: 0,
  }
}

function* subsets(items: readonly number[], size: number, from = 0): Generator<number[]> {
  if (size === 0) {
    yield []
    return
  }
  for (let i = from; i <= items.length - size; i += 1)
    for (const rest of subsets(items, size - 1, i + 1)) yield [items[i]!, ...rest]
}
