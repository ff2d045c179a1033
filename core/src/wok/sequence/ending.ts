import { halfOf } from './base'
import { forSeconds, type Move } from './moves'
import { backMoves, eggSet, ids, inMove, isOut, isYolk, MOST_S, SECONDS, still, tasteMove } from './makeMoves'
import type { Parts } from './parts'
import type { Choice } from './vocabulary'

/** Of the sauce, before it is tasted. */
const FIRST_SAUCE = 0.6

/** Seasoning, egg in a well, leaves, what comes back, and the finish. */
export function endMoves(
  parts: Parts,
  choice: Choice,
  returns: readonly string[],
  inBowl: readonly string[] = [],
): Move[] {
  const dry = parts.dry.length > 0 ? [inMove('dry', parts.dry, 'end', forSeconds(SECONDS.dry))] : []
  const white = choice.egg === 'coated' && parts.egg.some(isYolk) ? parts.egg.filter((one) => !isYolk(one)) : []
  const well = choice.egg === 'well' ? parts.egg : white
  const late = [
    ...(choice.egg === 'firstUnder' ? parts.crisp : []),
    ...(choice.readyProtein === 'late' ? parts.ready : []),
    ...(choice.readyVeg === 'late' ? parts.readyVeg : []),
  ]
  const back = backMoves(
    [...returns, ...(choice.eggReturn === 'late' && isOut(choice) && inBowl.length === 0 ? ids(parts.egg) : [])],
    'last',
  )
  const leaves =
    parts.leaf.length > 0
      ? [inMove('leaf', parts.leaf, 'end', { kind: 'progress', ids: ids(parts.leaf), at: 1, mostS: MOST_S.leaf })]
      : []
  const sauce = sauceMoves(parts, choice)
  const raw = choice.garlic === 'halfAndHalf' ? parts.quick.filter(({ food }) => food === 'garlic') : parts.garlicAtEnd
  const finish = [...parts.finish, ...parts.sesame, ...raw]
  return [
    ...(choice.seasoningOrder === 'dryFirst' ? dry : []),
    ...(well.length > 0
      ? [
          {
            ...inMove('eggWell', well, 'end', { ...eggSet(well), mostS: MOST_S.well } as Move['until']),
            handling: 'stir' as const,
            isPatch: true,
          },
        ]
      : []),
    ...(late.length > 0
      ? [inMove('late', late, 'end', { kind: 'progress', ids: ids(late), at: 1, mostS: MOST_S.late })]
      : []),
    ...(choice.returns === 'beforeSauce' ? back : []),
    ...(choice.leaf === 'beforeSauce' ? leaves : []),
    ...(choice.sauce === 'offHeat' ? [] : sauce),
    ...(choice.leaf === 'afterSauce' ? leaves : []),
    ...(choice.returns === 'afterSauce' ? back : []),
    ...(choice.seasoningOrder === 'dryLast' ? dry : []),
    ...(choice.egg === 'sheet' && parts.egg.length > 0 ? backMoves(ids(parts.egg), 'last') : []),
    ...(parts.volatile.length > 0 ? [inMove('volatile', parts.volatile, 'last', forSeconds(SECONDS.volatile))] : []),
    still('hotCheck', 'last', SECONDS.check),
    { ...still('off', 'end', SECONDS.off), kind: 'off' },
    ...(inBowl.length > 0 ? [bowlMove(inBowl)] : []),
    ...(choice.sauce === 'offHeat' ? sauce : []),
    ...(finish.length > 0
      ? [
          {
            ...inMove('finish', finish, 'end', forSeconds(SECONDS.finish)),
            ...(choice.garlic === 'halfAndHalf' && { shares: halfOf(raw) }),
          },
        ]
      : []),
    ...(parts.garnish.length > 0 || (choice.egg === 'onTop' && parts.egg.length > 0) ? [topMove(parts, choice)] : []),
  ]
}

/** Everything that waits in bowls, and what is in the vessel, in one bowl. */
const bowlMove = (waiting: readonly string[]): Move => ({
  kind: 'bowl',
  slot: 'bowl',
  ids: waiting,
  segment: 'end',
  until: forSeconds(SECONDS.bowl),
})

const topMove = (parts: Parts, choice: Choice): Move => ({
  kind: 'plate',
  slot: 'top',
  ids: ids([...(choice.egg === 'onTop' ? parts.egg : []), ...parts.garnish]),
  segment: 'end',
  until: forSeconds(SECONDS.top),
})

export function sauceMoves({ sauce }: Parts, choice: Choice): Move[] {
  if (sauce.length === 0) return []
  const until: Move['until'] =
    choice.sauce === 'offHeat'
      ? forSeconds(SECONDS.finish)
      : { kind: 'dry', leastS: SECONDS.sauce, mostS: MOST_S.sauce }
  const pour = { ...inMove('sauce', sauce, 'end', until), isOnWall: choice.sauce === 'wall' }
  if (choice.sauce !== 'partThenRest') return [pour]
  const shared = (share: number) => Object.fromEntries(sauce.map(({ id }) => [id, share]))
  return [
    { ...pour, shares: shared(FIRST_SAUCE), until: { ...until, leastS: SECONDS.sauce / 2 } as Move['until'] },
    tasteMove(),
    { ...pour, shares: shared(1 - FIRST_SAUCE) },
  ]
}
