import type { WokComponent } from './component'
import { forSeconds, type Move, type Segment } from './moves'
import type { Choice } from './vocabulary'

/** Longest anybody waits for a stage [s]. */
export const MOST_S = {
  egg: 75,
  own: 420,
  late: 120,
  quickLate: 30,
  soft: 45,
  leaf: 75,
  well: 120,
  returns: 20,
  sauce: 45,
  crust: 120,
} as const
/** Hands and swirls [s]; common practice. */
export const SECONDS = {
  oil: 2,
  takeOut: 5,
  dry: 8,
  fold: 3,
  bowl: 20,
  spread: 6,
  sauce: 15,
  taste: 6,
  volatile: 2,
  off: 2,
  finish: 10,
  top: 5,
  wipe: 8,
  butter: 6,
  check: 4,
} as const
export const ids = (some: readonly WokComponent[]) => some.map(({ id }) => id)
export const oilMove = (segment: Segment): Move => ({
  kind: 'oil',
  slot: 'oil',
  ids: [],
  segment,
  until: forSeconds(SECONDS.oil),
})

export const isOut = ({ egg }: Choice) => egg === 'firstOut' || egg === 'threads' || egg === 'inPassingAside'

export const outMove = (out: readonly string[], segment: Segment): Move => ({
  kind: 'out',
  slot: segment === 'egg' ? 'egg' : segment === 'own' ? 'own' : 'base',
  ids: out,
  segment,
  until: forSeconds(SECONDS.takeOut),
})
/** Something that is done to the vessel or its food without anything going in. */
export const still = (
  slot: 'wipe' | 'taste' | 'check' | 'hotCheck' | 'off',
  segment: Segment,
  seconds: number,
): Move => ({
  kind: 'check',
  slot,
  ids: [],
  segment,
  until: forSeconds(seconds),
})
export const tasteMove = (): Move => ({ ...still('taste', 'end', SECONDS.taste), kind: 'taste' })
export const wipeMove = (): Move => ({ ...still('wipe', 'base', SECONDS.wipe), kind: 'wipe' })

export const isYolk = ({ tags }: WokComponent): boolean => tags.has('yolk')

export const inMove = (
  slot: Move['slot'],
  some: readonly WokComponent[],
  segment: Segment,
  until: Move['until'],
): Move => ({
  kind: 'in',
  slot,
  ids: ids(some),
  segment,
  until,
})

/** The lid goes on, and nobody touches what is under it. */
export const lidMove = (segment: Segment): Omit<Move, 'until'> => ({
  kind: 'in',
  slot: 'lid',
  ids: [],
  segment,
  handling: 'cover',
})

export const backMoves = (back: readonly string[], segment: Segment): Move[] =>
  back.length === 0
    ? []
    : [
        {
          kind: 'back',
          slot: 'back',
          ids: [...new Set(back)],
          segment,
          until: { kind: 'progress', ids: back, at: 1, leastS: SECONDS.fold, mostS: MOST_S.returns },
        },
      ]

/** Until an egg is set, or to a share of it. */
export const eggSet = (egg: readonly WokComponent[], share?: number): Move['until'] => ({
  kind: 'progress',
  ids: ids(egg),
  at: share === undefined ? 1 : -Math.log(1 - share) / Math.max(...egg.map(({ goal }) => goal)),
  mostS: MOST_S.egg,
})
