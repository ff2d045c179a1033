import type { WokComponent } from './component'
import { baseMoves, inBase } from './base'
import { endMoves, sauceMoves } from './ending'
import { backMoves, eggSet, ids, inMove, isOut, MOST_S, oilMove, outMove, SECONDS, still, wipeMove } from './makeMoves'
import { forSeconds, type Move } from './moves'
import { rawAlone, type Parts } from './parts'
import { riceMoves } from './riceMoves'
import { renderers } from './fats'
import { withShares } from './inStages'
import type { Choice } from './vocabulary'

/** Share of an egg that is set when it goes on, by school and by how it is broken up; the rest sets in company. */
const SET_TO: Readonly<Partial<Record<Choice['egg'], number>>> = {
  firstUnder: 0.6,
  sheet: 0.95,
  threads: 0.95,
}
const BROKEN_TO: Readonly<Record<Choice['eggBreak'], number | undefined>> = {
  curds: 0.7,
  peaSize: undefined,
  crumbled: 0.98,
}

/**
 * The moves of one choice, in the order of the grammar: heat [egg out or aside] own* [egg out] base [out] [egg passing, in a
 * well or under] [egg back] rice halfTime* [butter] [afterRice] [dry] [egg in a well] late* (returns, sauce, leaves)* [sheet
 * back] volatile off [sauce] finish top.
 */
export const movesOf = (parts: Parts, choice: Choice): Move[] =>
  oiled(withShares(ownPlaces(parts, choice), parts), parts, choice)

/** Nothing is poured where there is nothing to pour, and lean oil goes in once: a spoon of it cannot be shared out. */
function oiled(moves: readonly Move[], { fat }: Parts, { oil }: Choice): Move[] {
  const first = moves.findIndex(({ kind }) => kind === 'oil')
  const pours = (at: number) => fat.length > 0 && (oil !== 'lean' || at === first)
  return moves.filter(({ kind }, at) => kind !== 'oil' || pours(at))
}

/** The same without what goes in with the stages of others. */
function ownPlaces(parts: Parts, choice: Choice): Move[] {
  // Where no fat is in the dish, what gives some goes in before all, and the rest fries in it.
  const givesFat = parts.fat.length === 0 ? renderers(parts.raw) : []
  const alone = parts.raw.filter((one) => choice.rawProtein === 'ownOut' || rawAlone(one))
  const own = [...givesFat, ...alone.filter((one) => !givesFat.includes(one))]
  const together = parts.raw.filter((one) => !own.includes(one))
  const base = inBase(parts, choice, together)
  const isEmptied = base.length > 0 && leavesBase(choice, together)
  const eggFirst = choice.ownStages === 'eggFirst' && givesFat.length === 0
  const first = [
    ...(eggFirst ? eggOut(parts, choice) : []),
    ...own.flatMap((one) => ownMoves(one, choice)),
    ...(eggFirst ? [] : eggOut(parts, choice)),
  ]
  const isLapped = parts.laps.length > 0
  const aside = ids([...own, ...(isEmptied ? base.flat() : [])])
  const isAroundEgg = choice.egg === 'inPassing' && parts.egg.length > 0 && !isEmptied
  const [early, late] = isAroundEgg ? aroundEgg(base) : [base, []]
  const wipe = choice.wipe === 'betweenStages' && first.at(-1)?.kind === 'out'
  return [
    ...first,
    ...(wipe ? [wipeMove()] : []),
    ...(early.length > 0 ? [oilMove('base')] : []),
    ...baseMoves(early, parts, choice),
    ...together.map(({ id }): Move => ({ ...still('check', 'base', SECONDS.check), ids: [id] })),
    ...(isEmptied ? [outMove(ids(base.flat()), 'base')] : []),
    ...eggBeforeRice(parts, choice, early.length === 0),
    ...baseMoves(late, parts, choice),
    ...(choice.eggReturn === 'beforeRice' && isOut(choice) && !isLapped ? backMoves(ids(parts.egg), 'rice') : []),
    ...parts.laps.flatMap((lap) => lapMoves(lap, parts, choice)),
    ...(isLapped ? [oilMove('rice')] : []),
    ...riceMoves(parts, choice),
    ...(isLapped
      ? endMoves(
          parts,
          choice,
          [],
          [...parts.laps.flatMap((lap) => ids(lap.rice)), ...aside, ...(isOut(choice) ? ids(parts.egg) : [])],
        )
      : endMoves(parts, choice, aside)),
  ]
}

const EARLY: readonly WokComponent['place'][] = ['quick', 'paste', 'raw', 'slow']

/**
 * What goes in before an egg in passing, and what follows it: aromatics, raw protein and what is slow first, the rest over the
 * egg.
 */
function aroundEgg(base: readonly WokComponent[][]): [WokComponent[][], WokComponent[][]] {
  const isEarly = (group: readonly WokComponent[]) =>
    group.every(({ place, role }) => EARLY.includes(place) || role === 'aromatic')
  return [base.filter(isEarly), base.filter((group) => !isEarly(group))]
}

/** One part of a large order but the last: fried dry, seasoned, proven hot, and out into the bowl. */
function lapMoves(lap: Parts['laps'][number], parts: Parts, choice: Choice): Move[] {
  const seasonings = [...lap.dry, ...lap.volatile]
  return [
    oilMove('rice'),
    inMove('rice', lap.rice, 'rice', { kind: 'riceDone', ids: [] }),
    ...(seasonings.length > 0 ? [inMove('dry', seasonings, 'end', forSeconds(SECONDS.dry))] : []),
    ...sauceMoves(
      { ...parts, sauce: lap.sauce },
      { ...choice, sauce: choice.sauce === 'offHeat' ? 'lastPour' : choice.sauce },
    ),
    still('hotCheck', 'end', SECONDS.check),
    { ...outMove(ids(lap.rice), 'rice'), slot: 'lap' },
  ]
}

/** Whether the whole base is taken out before the rice. */
const leavesBase = (choice: Choice, together: readonly WokComponent[]): boolean =>
  (choice.rawProtein === 'withBaseOut' && together.length > 0) ||
  choice.egg === 'firstUnder' ||
  choice.egg === 'coated' ||
  choice.batches === 'tossedInBowl'

/** Egg that is set in the empty vessel and leaves it, or is pulled up its side. */
function eggOut(parts: Parts, choice: Choice): Move[] {
  const isSheet = choice.egg === 'sheet'
  if (parts.egg.length === 0 || !(isOut(choice) || isSheet)) return []
  const out = outMove(ids(parts.egg), 'egg')
  return [
    oilMove('egg'),
    {
      kind: 'in',
      slot: 'egg',
      ids: ids(parts.egg),
      segment: 'egg',
      until: eggSet(parts.egg, SET_TO[choice.egg] ?? BROKEN_TO[choice.eggBreak]),
      handling: isSheet ? 'leave' : 'stir',
    },
    choice.egg === 'inPassingAside' ? { ...out, kind: 'aside', until: forSeconds(SECONDS.fold) } : out,
  ]
}

function ownMoves(one: WokComponent, choice: Choice): Move[] {
  return [
    oilMove('own'),
    {
      kind: 'in',
      slot: 'own',
      ids: [one.id],
      segment: 'own',
      until: { kind: 'progress', ids: [one.id], at: 1, mostS: MOST_S.own },
    },
    outMove([one.id], 'own'),
    ...(choice.wipe === 'betweenStages' && one.state === 'marinated' ? [wipeMove()] : []),
  ]
}

/** Egg that meets the food before the rice does: in passing, in a well, or half set under the rice. */
function eggBeforeRice({ egg }: Parts, choice: Choice, isEmpty: boolean): Move[] {
  if (egg.length === 0) return []
  if (choice.egg === 'inPassing' || choice.egg === 'wellBeforeRice')
    return [
      ...(isEmpty ? [oilMove('base')] : []),
      {
        kind: 'in',
        slot: 'eggPassing',
        ids: ids(egg),
        segment: 'base',
        until: { ...eggSet(egg), mostS: MOST_S.well } as Move['until'],
        handling: 'stir',
        isPatch: true,
      },
    ]
  if (choice.egg !== 'firstUnder') return []
  return [
    oilMove('egg'),
    {
      kind: 'in',
      slot: 'eggUnder',
      ids: ids(egg),
      segment: 'egg',
      until: eggSet(egg, SET_TO.firstUnder),
      handling: 'leave',
    },
  ]
}
