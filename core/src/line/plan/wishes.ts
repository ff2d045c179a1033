import { compareEvents, type Stamped } from '../../event/eventOrder'
import { USUAL_WEIGHTS, type LineWeights } from '../planner/instance'

/** How much the house minds something, in words. */
export const EMPHASES = ['less', 'usual', 'more'] as const
export type Emphasis = (typeof EMPHASES)[number]
const TIMES: Readonly<Record<Emphasis, number>> = { less: 0.5, usual: 1, more: 2 }

/** What the house weighs: guests who wait past their promise, food that waits, hands that are busy. */
export type HouseWeights = { lateness: Emphasis; holds: Emphasis; hands: Emphasis }
export const USUAL_HOUSE: HouseWeights = { lateness: 'usual', holds: 'usual', hands: 'usual' }

/** Portions of ticket lines that somebody wants fried together, at a station, or not before an instant. */
export type Pin = {
  pinId: string
  parts: readonly { itemId: string; portions: number }[]
  /** Null leaves the station to the plan. */
  stationId: string | null
  notBeforeMs: number | null
}

/** Pairs of hands that may cook at once. */
export const MOST_PAIRS = 3

/** What somebody decided of the line. The last word on a subject holds; taking it back is another word. */
export type LineWish =
  | { kind: 'hands'; pairs: number }
  | ({ kind: 'weights' } & HouseWeights)
  | { kind: 'dish'; dishId: string; isGone: boolean }
  | { kind: 'component'; matterId: string; isGone: boolean }
  /** Down until somebody says that it cooks again, or until an instant: it starts later. */
  | { kind: 'station'; stationId: string; isDown: boolean; backAtMs?: number | null | undefined }
  | { kind: 'ticket'; ticketId: string; weight: number; notBeforeMs: number | null }
  | ({ kind: 'pin'; isOff: boolean } & Pin)

/** Who said it, and on which device. */
export type WishedBy = { staffId: string | null; deviceId: string }
/** A wish with its place in time, and who wishes it. */
export type SaidWish = LineWish & Stamped & WishedBy

/** What a wish is about: of several about one subject the last holds. */
export function subjectOf(wish: LineWish): string {
  switch (wish.kind) {
    case 'hands':
    case 'weights':
      return wish.kind
    case 'dish':
      return `dish ${wish.dishId}`
    case 'component':
      return `component ${wish.matterId}`
    case 'station':
      return `station ${wish.stationId}`
    case 'ticket':
      return `ticket ${wish.ticketId}`
    case 'pin':
      return `pin ${wish.pinId}`
  }
}

/** What holds of all that was decided. */
export type LineWishes = {
  /** Null where nobody said: as many as are usual. */
  pairs: number | null
  house: HouseWeights
  goneDishes: readonly string[]
  goneMatters: readonly string[]
  downStations: readonly string[]
  /** Stations that start later, and from when. */
  laterStations: ReadonlyMap<string, number>
  tickets: ReadonlyMap<string, { weight: number; notBeforeMs: number | null }>
  /** The last first: where two ask for the same portions, the last has them. */
  pins: readonly Pin[]
  pinnedBy: ReadonlyMap<string, WishedBy>
}
export const NO_WISHES: LineWishes = {
  pairs: null,
  house: USUAL_HOUSE,
  goneDishes: [],
  goneMatters: [],
  downStations: [],
  laterStations: new Map(),
  tickets: new Map(),
  pins: [],
  pinnedBy: new Map(),
}

/** Folds what was decided, in whatever order it came: the last word on each subject holds. */
export function lineWishes(said: readonly SaidWish[]): LineWishes {
  const last = new Map<string, SaidWish>()
  for (const wish of [...said].sort(compareEvents)) {
    last.delete(subjectOf(wish))
    last.set(subjectOf(wish), wish)
  }
  const of = <K extends LineWish['kind']>(kind: K) =>
    [...last.values()].filter((wish): wish is SaidWish & { kind: K } => wish.kind === kind)
  const [hands] = of('hands')
  const [weights] = of('weights')
  const downs = of('station').filter(({ isDown }) => isDown)
  const pins = of('pin')
    .filter(({ isOff }) => !isOff)
    .reverse()
  return {
    pairs: hands ? hands.pairs : null,
    house: weights ? { lateness: weights.lateness, holds: weights.holds, hands: weights.hands } : USUAL_HOUSE,
    goneDishes: of('dish').flatMap(({ dishId, isGone }) => (isGone ? [dishId] : [])),
    goneMatters: of('component').flatMap(({ matterId, isGone }) => (isGone ? [matterId] : [])),
    downStations: downs.flatMap(({ stationId, backAtMs }) => (typeof backAtMs === 'number' ? [] : [stationId])),
    laterStations: new Map(
      downs.flatMap(({ stationId, backAtMs }) => (typeof backAtMs === 'number' ? [[stationId, backAtMs]] : [])),
    ),
    tickets: new Map(of('ticket').map(({ ticketId, weight, notBeforeMs }) => [ticketId, { weight, notBeforeMs }])),
    pins: pins.map(({ pinId, parts, stationId, notBeforeMs }) => ({ pinId, parts, stationId, notBeforeMs })),
    pinnedBy: new Map(pins.map(({ pinId, staffId, deviceId }) => [pinId, { staffId, deviceId }])),
  }
}

/**
 * Another next batch than the one that was shown costs so much on the screens. Measured on evenings as they come
 * (`npm run bench line`): at the 60 of the model every tenth replan changes what was told, at 300 every thirty-fifth.
 */
const CHANGED_POINTS = 300

/** The house's words as points of the plan. */
export function weightsOf({ lateness, holds, hands }: HouseWeights): LineWeights {
  const { late, late2, hold, spoil, ...rest } = USUAL_WEIGHTS
  return {
    ...rest,
    changed: CHANGED_POINTS,
    late: late * TIMES[lateness],
    late2: late2 * TIMES[lateness],
    hold: hold * TIMES[holds],
    spoil: spoil * TIMES[holds],
    hands: rest.hands * TIMES[hands],
    batch: rest.batch * TIMES[hands],
  }
}

/** As many pairs of hands as cooks, or one for each station, three at most; nobody said, so it is a guess that can be changed. */
export const usualPairs = (stations: number, cooks: number): number =>
  Math.max(1, Math.min(MOST_PAIRS, stations, cooks))
