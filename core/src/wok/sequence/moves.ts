import type { Handling } from '../heat/parameters'

/** Parts of a run that have a heat of their own. */
export type Segment = 'egg' | 'own' | 'base' | 'rice' | 'end' | 'last'

/** Where a move stands in the grammar; it decides the words of its step. */
export type Slot =
  | 'oil'
  | 'egg'
  | 'own'
  | 'base'
  | 'eggUnder'
  | 'eggPassing'
  | 'rice'
  | 'turn'
  | 'crust'
  | 'lid'
  | 'halfTime'
  | 'butter'
  | 'afterRice'
  | 'dry'
  | 'eggWell'
  | 'late'
  | 'sauce'
  | 'taste'
  | 'leaf'
  | 'back'
  | 'volatile'
  | 'wipe'
  | 'check'
  | 'hotCheck'
  | 'off'
  | 'finish'
  | 'top'
  | 'lap'
  | 'bowl'

/** What ends a move. `mostS` is the longest that anybody would wait. */
export type Until =
  | { kind: 'seconds'; seconds: number }
  /** So long because somebody holds it so, whatever the food has come to. */
  | { kind: 'held'; seconds: number }
  | { kind: 'progress'; ids: readonly string[]; at: number; leastS?: number; mostS: number }
  /**
   * All done, or one of them at 0.7 of its burn limit. Aromatics are waited for no longer than so: among other food they
   * brown slowly, and have given their smell long before.
   */
  | { kind: 'baseEnd'; ids: readonly string[]; aromatics: readonly string[]; aromaticS: number; mostS: number }
  | { kind: 'riceHalf' }
  /** The rice is done, and so is what coats its grains or went in with it half way. */
  | { kind: 'riceDone'; ids: readonly string[] }
  | { kind: 'crust'; mostS: number }
  | { kind: 'dry'; leastS: number; mostS: number }

/** One thing that the cook does, before its seconds are known. */
export type Move = {
  kind: 'in' | 'out' | 'aside' | 'back' | 'oil' | 'wipe' | 'taste' | 'check' | 'off' | 'plate' | 'bowl'
  slot: Slot
  ids: readonly string[]
  segment: Segment
  until: Until
  /** Of what goes in more than once: the share of its mass that goes in here. */
  shares?: Readonly<Record<string, number>>
  handling?: Handling
  /** It gets metal of its own among the food, and is folded in at the end. */
  isPatch?: boolean
  /** Poured on the bare metal. */
  isOnWall?: boolean
}

/** Whatever goes in takes this long to get there [s]; common practice. */
export const ENTRY_S = 3

export const forSeconds = (seconds: number): Until => ({ kind: 'seconds', seconds })
