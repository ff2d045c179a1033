import type { WokComponent } from './component'
import { lidMove } from './makeMoves'
import { ENTRY_S, forSeconds, type Move, type Until } from './moves'
import { compareText, type Parts } from './parts'
import type { BaseOrder, Choice } from './vocabulary'

/** The base: groups that go in together, first to last. Needs of the components stand beside them [s]. */
export type Base = readonly (readonly WokComponent[])[]

/** Like neighbours go in together when their needs differ by no more than this. [C] */
const LIKE = { seconds: 12, share: 0.25 } as const
/** A group lets in the next when it has so little left that both end together. [C] */
const OVERLAP = 0.8
const QUICK_AT = 0.6
const MOST_S = 240
/** Aromatics among other food are waited for so much longer than alone. [C] */
const AROMATIC_NEEDS = 1.5

/** Bacon, sausage, belly: of its mass so much runs out as fat. [C] */
const FAT_FROM = 0.15
const isFat = ({ rendersG, massG }: WokComponent) => rendersG >= FAT_FROM * massG

const isAromatic = ({ place }: WokComponent) => place === 'quick' || place === 'paste'
const idsOf = (some: readonly WokComponent[]) => some.map(({ id }) => id)

/** What only has to stay crisp, and cooked protein that only has to be hot, go in by their needs, the longer first. */
type Rank = 'slow' | 'frozen' | 'quick' | 'paste' | 'raw' | 'crispOrCooked' | 'readyProtein' | 'ready'
const RANKS: Readonly<Record<Exclude<BaseOrder, 'need'>, readonly Rank[]>> = {
  slowFirst: ['slow', 'frozen', 'quick', 'paste', 'raw', 'crispOrCooked', 'ready'],
  roles: ['quick', 'paste', 'slow', 'raw', 'frozen', 'crispOrCooked', 'ready'],
  proteinFirst: ['raw', 'readyProtein', 'slow', 'frozen', 'quick', 'paste', 'crispOrCooked', 'ready'],
}

/** What cooks before the rice and in what groups, by the choice; `together` is raw protein that has no stage of its own. */
export function inBase(parts: Parts, choice: Choice, together: readonly WokComponent[]): WokComponent[][] {
  const quick = choice.quick === 'inBase' ? parts.quick : []
  const ready = choice.readyProtein === 'base' ? parts.ready : []
  const readyVeg = choice.readyVeg === 'base' ? parts.readyVeg : []
  // An egg under the rice wants the vessel empty: what only has to stay crisp waits until after it.
  const crisp = choice.egg === 'firstUnder' ? [] : parts.crisp
  const soft = choice.egg === 'inPassing' ? parts.soft : []
  // What gives fat as it browns leads, so that the rest fries in it.
  const leads = [
    ...ready.filter(({ target }) => target === 'golden'),
    ...together.filter(isFat).sort((a, b) => b.rendersG - a.rendersG),
  ]
  const all = [
    ...parts.slow,
    ...quick,
    ...parts.paste,
    ...together.filter((one) => !leads.includes(one)),
    ...crisp,
    ...ready.filter((one) => !leads.includes(one)),
    ...readyVeg,
    ...soft,
  ]
  const ordered = withPaste(sorted(all, parts, choice), parts.paste, choice)
  return grouped([...leads, ...ordered], parts)
}

function sorted(all: readonly WokComponent[], parts: Parts, { order }: Choice): WokComponent[] {
  const byNeed = (a: WokComponent, b: WokComponent) => parts.needS(b) - parts.needS(a) || compareText(a.id, b.id)
  if (order === 'need') return [...all].sort(byNeed)
  const place = (one: WokComponent) => RANKS[order].indexOf(placeIn(order, one))
  return [...all].sort((a, b) => place(a) - place(b) || alliumFirst(a, b) || byNeed(a, b))
}

/** An onion goes in before garlic, which would burn beside it. */
const alliumFirst = (a: WokComponent, b: WokComponent) => Number(isAllium(b)) - Number(isAllium(a))
const isAllium = ({ food, place }: WokComponent) => food === 'allium' && (place === 'quick' || place === 'slow')

/** By roles, an onion that is to soften still counts as an aromatic. */
function placeIn(order: BaseOrder, one: WokComponent): Rank {
  if (order === 'roles' && one.role === 'aromatic' && one.place === 'slow') return 'quick'
  return order === 'proteinFirst' && one.place === 'ready' ? 'readyProtein' : rankOf(one)
}

function rankOf(one: WokComponent): Rank {
  switch (one.place) {
    case 'slow':
    case 'quick':
    case 'paste':
    case 'raw':
      return one.place
    case 'crisp':
    case 'ready':
      return 'crispOrCooked'
    case 'readyVeg':
      return one.isFrozen ? 'frozen' : 'ready'
    default:
      return 'ready'
  }
}

/** The paste bloomed first of all, after the aromatics, or after the protein. */
function withPaste(ordered: WokComponent[], paste: readonly WokComponent[], choice: Choice): WokComponent[] {
  if (paste.length === 0) return ordered
  const others = ordered.filter((one) => one.place !== 'paste')
  const after = (places: readonly string[]) =>
    Math.max(-1, ...others.map((one, index) => (places.includes(one.place) ? index : -1))) + 1
  const at =
    choice.paste === 'first' ? 0 : after(choice.paste === 'afterProtein' ? ['quick', 'raw', 'ready'] : ['quick'])
  return [...others.slice(0, at), ...paste, ...others.slice(at)]
}

function grouped(ordered: readonly WokComponent[], parts: Parts): WokComponent[][] {
  const groups: WokComponent[][] = []
  for (const one of ordered) {
    const last = groups.at(-1)
    const need = parts.needS(one)
    const isLike =
      last?.every(
        (other) =>
          other.place === one.place &&
          rankOf(other) === rankOf(one) &&
          Math.abs(parts.needS(other) - need) <= Math.max(LIKE.seconds, LIKE.share * need),
      ) ?? false
    if (isLike && one.place !== 'raw') last!.push(one)
    else groups.push([one])
  }
  return groups
}

/** Half of the garlic; the other half goes in raw at the end. */
export const halfOf = (some: readonly WokComponent[]): Record<string, number> =>
  Object.fromEntries(
    some.filter(({ food, place }) => food === 'garlic' && place === 'quick').map(({ id }) => [id, 0.5]),
  )

/** How the groups follow each other: each waits until what it has left and what is still to come end together. */
export function baseMoves(base: Base, parts: Parts, choice: Choice): Move[] {
  const needOf = (group: readonly WokComponent[]) => Math.max(...group.map((one) => parts.needS(one)))
  const covered = choice.lid === 'onBase'
  const moves = base.map((group, index): Move => {
    const ids = group.map(({ id }) => id)
    const isLast = index === base.length - 1
    const laterS = base.slice(index + 1).reduce((sum, one) => sum + needOf(one), 0)
    const isQuick = group.every(isAromatic)
    const mostS = isQuick && index > 0 ? AROMATIC_NEEDS * needOf(group) : MOST_S
    const at = isQuick ? QUICK_AT : Math.max(0, 1 - (OVERLAP * laterS) / needOf(group))
    return {
      kind: 'in',
      slot: 'base',
      ids,
      segment: 'base',
      until:
        isLast && covered
          ? forSeconds(ENTRY_S)
          : isLast
            ? baseEnd(base, group, needOf(group))
            : at > 0
              ? { kind: 'progress', ids, at, mostS }
              : forSeconds(ENTRY_S),
      ...(choice.garlic === 'halfAndHalf' && { shares: halfOf(group) }),
    }
  })
  const last = base.at(-1)
  if (!covered || !last) return moves
  return [...moves, { ...lidMove('base'), until: { ...baseEnd(base, last, needOf(last)), mostS: COVERED_MOST_S } }]
}

/** Longest that a lid stays on [s]: 5 to 10 minutes in a pot, common practice. */
const COVERED_MOST_S = 600

const baseEnd = (base: Base, last: readonly WokComponent[], needS: number): Extract<Until, { kind: 'baseEnd' }> => ({
  kind: 'baseEnd',
  ids: idsOf(base.flat().filter((one) => !isAromatic(one))),
  aromatics: idsOf(last.filter(isAromatic)),
  aromaticS: AROMATIC_NEEDS * needS,
  mostS: MOST_S,
})
