import type { Dish } from '../../book/dish'
import { allergyMarksOf, type AllergyMark } from '../allergyMarks'
import { holdOf } from '../plan/holds'
import { BOX_EXTRA_S } from '../plan/lineInstance'
import type { TicketUp } from '../ticketUps'
import type { TicketKind } from '../waiting'

/** Portions of a ticket line that a run brought up. */
export type PassUp = {
  itemId: string
  dishId: string
  portions: number
  upAtMs: number
  marks: readonly AllergyMark[]
}
/** A ticket with something on the pass. */
export type PassInput = {
  id: string
  kind: TicketKind
  promisedAtMs: number
  items: readonly { id: string; dishId: string; portions: number; allergies: readonly string[] }[]
  ups: readonly PassUp[]
}

/** How long food on the pass is still good: as if just up, longer than it should wait, or too long: then it is made again. */
export type PassHold = 'fresh' | 'waits' | 'tooLong'

/** A ticket on the pass: what of it is up, what is still to come, and how long it stays good. */
export type PassTicket = {
  id: string
  upPortions: number
  toComePortions: number
  isWhole: boolean
  /** When the rest is planned up; null where nothing is planned or nothing is to come. */
  wholeAtMs: number | null
  /** Until then it is as if just up, and until then it may wait at all: of what is up the soonest. */
  freshUntilMs: number
  goodUntilMs: number
  hold: PassHold
  /** Why a ticket with an allergy must not be handed over as it is. */
  allergyMarks: readonly AllergyMark[]
}

/**
 * What stands on the pass: whole tickets first, of those the one that has waited longest; then those that wait for the rest. Dishes
 * that are not in the book any more hold as is usual. House figures, no food safety limit: hot food is held hot.
 */
export function passNow(
  tickets: readonly PassInput[],
  dishes: ReadonlyMap<string, Dish>,
  planned: ReadonlyMap<string, TicketUp>,
  nowMs: number,
): PassTicket[] {
  return tickets
    .filter(({ ups }) => ups.length > 0)
    .map((ticket) => onPass(ticket, dishes, planned, nowMs))
    .sort((a, b) => Number(b.isWhole) - Number(a.isWhole) || a.freshUntilMs - b.freshUntilMs || (a.id < b.id ? -1 : 1))
}

function onPass(
  { id, kind, items, ups }: PassInput,
  dishes: ReadonlyMap<string, Dish>,
  planned: ReadonlyMap<string, TicketUp>,
  nowMs: number,
): PassTicket {
  const isForAllergy = (itemId: string) =>
    items.some(({ id: own, allergies }) => own === itemId && allergies.length > 0)
  const boxS = kind === 'take' ? BOX_EXTRA_S : 0
  const holds = ups.map(({ dishId, upAtMs }) => {
    const { freeS, mostS } = holdOf(dishes.get(dishId) ?? {})
    return { freshMs: upAtMs + (freeS + boxS) * 1000, goodMs: upAtMs + (mostS + boxS) * 1000 }
  })
  const freshUntilMs = Math.min(...holds.map(({ freshMs }) => freshMs))
  const goodUntilMs = Math.min(...holds.map(({ goodMs }) => goodMs))
  const upPortions = ups.reduce((sum, { portions }) => sum + portions, 0)
  const toComePortions = items.reduce((sum, item) => {
    const up = ups.filter(({ itemId }) => itemId === item.id).reduce((n, { portions }) => n + portions, 0)
    return sum + Math.max(0, item.portions - up)
  }, 0)
  return {
    id,
    upPortions,
    toComePortions,
    isWhole: toComePortions === 0,
    wholeAtMs: toComePortions === 0 ? null : (planned.get(id)?.upMs ?? null),
    freshUntilMs,
    goodUntilMs,
    hold: nowMs <= freshUntilMs ? 'fresh' : nowMs <= goodUntilMs ? 'waits' : 'tooLong',
    allergyMarks: allergyMarksOf(ups.flatMap(({ itemId, marks }) => (isForAllergy(itemId) ? marks : []))),
  }
}
