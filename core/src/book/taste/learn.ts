import type { BalancePart } from '../balance/balance'
import { CONTENT } from '../balance/findings'
import type { Metric } from '../balance/style'
import type { Verdict } from './correct'

/** What was tasted of a version of a dish, and when. */
export type TastingSaid = { dishId: string; dishVersion: number; verdict: Verdict; atMs: number }

/** So many times the same of one version, and the dish itself is to be changed. */
const TIMES_TO_PROPOSE = 3

/** What was said three times running of the newest version of a dish; null where nothing was. */
export function repeatedVerdict(tastings: readonly TastingSaid[], dishId: string, version: number): Verdict | null {
  const [first, ...rest] = tastings
    .filter((one) => one.dishId === dishId && one.dishVersion === version)
    .sort((a, b) => b.atMs - a.atMs)
    .slice(0, TIMES_TO_PROPOSE)
  if (!first || rest.length < TIMES_TO_PROPOSE - 1) return null
  return rest.every((one) => one.verdict === first.verdict) ? first.verdict : null
}

/** What a repeated verdict is about, and which way it should go [fraction of the mass]; others are no matter of amounts. */
const ABOUT: Readonly<Partial<Record<Verdict, { metric: Metric; step: number }>>> = {
  bland: { metric: 'saltFraction', step: 0.001 },
  salty: { metric: 'saltFraction', step: -0.001 },
  sweet: { metric: 'sugarFraction', step: -0.003 },
  greasy: { metric: 'fatFraction', step: -0.008 },
  wet: { metric: 'freeLiquidFraction', step: -0.01 },
  dry: { metric: 'freeLiquidFraction', step: 0.01 },
}
const SEASONS: readonly BalancePart['role'][] = ['liquidSeasoning', 'drySeasoning', 'paste', 'fat', 'vegetable']

/** A change of the recipe that repeated tastings ask for [g]. */
export type Proposal = { id: string; name: string; fromG: number; toG: number }

/**
 * The change of one amount that answers a repeated verdict: the seasoning that brings most of what it is about, moved so
 * that the dish goes one step. Null where no seasoning brings any, or it would have to more than halve or double.
 */
export function proposalFor(verdict: Verdict, parts: readonly BalancePart[]): Proposal | null {
  const about = ABOUT[verdict]
  if (!about) return null
  const content = CONTENT[about.metric]
  const brought = (part: BalancePart) => content(part) * part.massG
  const most = parts
    .filter((part) => SEASONS.includes(part.role) && brought(part) > 0)
    .sort((a, b) => brought(b) - brought(a))[0]
  if (!most) return null
  const isToRice = about.metric === 'freeLiquidFraction'
  const base = parts.filter((part) => !isToRice || part.role === 'rice').reduce((sum, part) => sum + part.massG, 0)
  const now = parts.reduce((sum, part) => sum + brought(part), 0) / base
  const target = now + about.step
  const addedG = (about.step * base) / (content(most) - (isToRice ? 0 : target))
  const toG = most.massG + addedG
  if (!(toG > most.massG / 2 && toG < most.massG * 2)) return null
  return { id: most.id, name: most.name, fromG: most.massG, toG }
}
