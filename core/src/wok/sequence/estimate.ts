import type { WokComponent } from './component'
import { COST, intoRiceCost, OVERDONE_PER_S, shortfallCost, tooSoftCost } from './costWeights'
import type { Move } from './moves'
import type { Parts } from './parts'
import { softSeconds } from './place'

/** Seconds of what no need says, and the share of its need that rice takes where it lies thin on hot metal. [C] */
const ROUGH = { eggS: 30, riceShare: 0.6, backS: 10, lateShare: 0.5, amongFood: 0.25 } as const
/** How much food that waits aside cools, in all. [C] */
const ASIDE_K = 25

/** Of one component in a rough run: when it went in, and for how long it has lain in the vessel [s]. */
type Lain = { one: WokComponent; sinceS: number | null; inS: number }

/**
 * What a list of moves costs before it is simulated, in the unit of `costOf`: hands, entries, and by seconds that follow from
 * the needs alone, how long all of it takes and what overcooks meanwhile. It ranks the ways of one dish against each other, and
 * says nothing about whether they work.
 */
export function estimate(moves: readonly Move[], parts: Parts): number {
  const lain = new Map<string, Lain>()
  const needOf = (one: WokComponent) => (one.place === 'egg' ? ROUGH.eggS : parts.needS(one))
  let clockS = 0
  let cost = 0
  let isDirty = false
  let isPastVegetables = false
  let isPastRice = false
  let isHeaped = false
  const riceG = parts.rice.reduce((sum, { massG }) => sum + massG, 0)
  const put = (id: string) => {
    const one = parts.byId.get(id)
    if (one) lain.set(id, { one, sinceS: clockS, inS: lain.get(id)?.inS ?? 0 })
  }
  const take = (id: string) => {
    const of = lain.get(id)
    if (of && of.sinceS !== null) lain.set(id, { ...of, inS: of.inS + clockS - of.sinceS, sinceS: null })
  }
  for (const move of moves) {
    const some = move.ids.flatMap((id) => parts.byId.get(id) ?? [])
    if (move.kind === 'wipe') {
      cost += COST.wipe
      isDirty = false
    }
    if (move.kind === 'in') {
      cost += COST.entry
      if ((move.slot === 'egg' || move.slot === 'eggUnder') && isDirty) cost += COST.eggOnDirty
      if (move.slot === 'own' || move.slot === 'base') isDirty = true
      if (move.slot === 'base' && isPastVegetables && some.some(({ place }) => place === 'quick'))
        cost += COST.quickLate
      if (move.slot === 'base' && some.some(({ place }) => place === 'crisp')) isPastVegetables = true
      if (move.slot === 'base' && isHeaped) cost += COST.perS * ROUGH.amongFood * readySeconds(some, needOf)
      if (move.slot === 'base') isHeaped ||= some.some(({ place }) => place !== 'quick' && place !== 'paste')
      if (isPastRice) cost += some.reduce((sum, one) => sum + intoRiceCost(one, riceG), 0)
      if (move.slot === 'rice') isPastRice = true
    }
    if (move.kind === 'in' || move.kind === 'back') move.ids.forEach(put)
    clockS += roughSeconds(move, some, parts, needOf, (id) => inSeconds(lain.get(id), clockS))
    if (move.kind === 'out') {
      cost += COST.takeOut + COST.asidePerK * ASIDE_K * move.ids.length
      move.ids.forEach(take)
    }
  }
  cost += COST.perS * clockS
  for (const of of lain.values()) cost += pastCost(of.one, inSeconds(of, clockS), needOf(of.one))
  return cost
}

/** What cooked food among these needs to be hot on bare metal [s]. */
const readySeconds = (some: readonly WokComponent[], needOf: (one: WokComponent) => number): number =>
  Math.max(0, ...some.map((one) => (one.place === 'ready' ? needOf(one) : 0)))

const inSeconds = (of: Lain | undefined, clockS: number): number =>
  of ? of.inS + (of.sinceS === null ? 0 : clockS - of.sinceS) : 0

/** How long a move lasts when every component takes its need and nothing cools anything else [s]. */
function roughSeconds(
  { until, slot, kind }: Move,
  some: readonly WokComponent[],
  parts: Parts,
  needOf: (one: WokComponent) => number,
  lainS: (id: string) => number,
): number {
  const longest = (ids: readonly string[], most = Infinity) =>
    Math.max(
      0,
      ...ids.map((id) => {
        const one = parts.byId.get(id)
        return one ? Math.min(most, needOf(one)) - lainS(id) : 0
      }),
    )
  const riceS = ROUGH.riceShare * Math.max(0, ...parts.rice.map(needOf))
  switch (until.kind) {
    case 'seconds':
    case 'held':
      return until.seconds
    case 'progress':
      if (kind === 'back') return ROUGH.backS
      return Math.min(
        until.mostS,
        until.at * Math.max(0, ...some.map(needOf)) * (slot === 'late' || slot === 'afterRice' ? ROUGH.lateShare : 1),
      )
    case 'baseEnd':
      return Math.min(until.mostS, Math.max(longest(until.ids), longest(until.aromatics, until.aromaticS)))
    case 'riceHalf':
      return riceS / 2
    case 'riceDone':
      return slot === 'rice' ? riceS : riceS / 2
    case 'crust':
      return until.mostS / 2
    case 'dry':
      return until.leastS
  }
}

/** What it costs that something lies in the vessel longer, or shorter, than it needs. */
function pastCost(one: WokComponent, inS: number, needS: number): number {
  switch (one.place) {
    case 'raw':
    case 'ready':
    case 'egg':
      return (OVERDONE_PER_S[one.food] ?? 0) * Math.max(0, inS - needS)
    case 'slow':
    case 'crisp':
    case 'leaf': {
      const softS = softSeconds(one.food, one.goal)
      const softness = inS < needS || softS === 0 ? inS / needS : 1 + (inS - needS) / softS
      const past = tooSoftCost(softness, one.place === 'leaf' ? 'leaf' : 'vegetable')
      return past + shortfallCost(one.place, softness)
    }
    case 'soft':
      return shortfallCost(one.place, inS / needS)
    default:
      return 0
  }
}
