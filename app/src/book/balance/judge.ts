import type { Component } from 'core/book/dish'
import type { StatedSchools } from 'core/book/schools'
import type { Style } from 'core/book/balance/style'
import { balanceOf, type Balance, type BalancePart } from 'core/book/balance/balance'
import { findingsOf, type Finding } from 'core/book/balance/findings'
import { partsOf } from 'core/book/balance/dishBalance'
import type { Shelf } from '../useShelf'

export type Judged = {
  parts: BalancePart[]
  unknown: string[]
  balance: Balance
  findings: Finding[]
  /** Of one portion; null with the names that have no price. */
  costMinor: number | null
  unpriced: string[]
}

/** What a portion of a dish holds and costs, against its style. */
export function judgeDish(
  components: readonly Component[],
  portionRiceG: number,
  shelf: Shelf,
  style: Style,
  oil: StatedSchools['oil'],
  day: string,
): Judged {
  const { parts, unknown } = partsOf(components, portionRiceG, portionRiceG, shelf.lookup)
  const balance = balanceOf(parts)
  const byId = new Map(parts.map((part) => [part.id, part.massG]))
  const costs = components.map((one) => ({ name: one.name, minor: shelf.costOf(one, byId.get(one.id) ?? 0, day) }))
  const unpriced = costs.filter(({ minor }) => minor === null).map(({ name }) => name)
  return {
    parts,
    unknown,
    balance,
    findings: findingsOf(balance, parts, style, oil),
    costMinor: unpriced.length > 0 ? null : costs.reduce((sum, one) => sum + (one.minor ?? 0), 0),
    unpriced,
  }
}
