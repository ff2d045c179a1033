import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import { DISH, TOOLS } from 'core/test/kitchen'
import { addPortion, EMPTY_DRAFT, setPortions, type TicketDraft } from './draftTicket'
import { effectOf } from './draftEffect'
import { KNOWN } from '../wok/test/known'
import { lineOf } from './useLinePlan'
import type { ShownTicket } from './useTickets'

const NOW_MS = 1_700_000_000_000
const MIN_MS = 60_000
const kitchen = {
  ruleSet: 'us',
  tools: TOOLS,
  staff: ['bram', 'wen'].map((id) => ({ id, name: id, role: 'cook' })),
  stations: [
    { id: 'a', name: 'Ring A', kind: 'wok', capPortions: 4 },
    { id: 'b', name: 'Ring B', kind: 'wok', capPortions: 2 },
  ],
} as unknown as Kitchen
const dish = DISH as unknown as Dish
const waiting = (portions: number): ShownTicket =>
  ({
    id: 't1',
    number: 1,
    placedAtMs: NOW_MS - MIN_MS,
    promisedAtMs: NOW_MS + 8 * MIN_MS,
    isCancelled: false,
    items: [{ id: 'i1', dishId: dish.id, portions, firedPortions: 0, donePortions: 0, modifiers: [], allergies: [] }],
  }) as unknown as ShownTicket
const line = (...tickets: ShownTicket[]) =>
  lineOf({ kitchen, dishes: [dish], tickets, later: null, runs: [], pasts: [], nowMs: NOW_MS, known: KNOWN })
const draft = (portions: number, part: Partial<TicketDraft> = {}): TicketDraft => ({
  ...setPortions(addPortion(EMPTY_DRAFT, dish.id, 'new'), 'new', portions),
  ...part,
})

test('an empty ticket does nothing to the line', () => {
  expect(effectOf(EMPTY_DRAFT, line(), NOW_MS)).toBeNull()
})

test('alone it is a batch of its own, ready when its score is over', () => {
  const effect = effectOf(draft(2), line(), NOW_MS)!
  expect(effect).toMatchObject({ dish: dish.shortName, station: 'Ring A', joins: false, batches: 1 })
  expect(effect.readyMs).toBeGreaterThan(NOW_MS + MIN_MS)
})

test('beside a ticket that waits for the same it joins its batch, as long as the station takes both', () => {
  expect(effectOf(draft(2), line(waiting(2)), NOW_MS)).toMatchObject({ joins: true, batches: 1 })
  expect(effectOf(draft(2), line(waiting(4)), NOW_MS)!.batches).toBeGreaterThanOrEqual(1)
})

test('more than a station takes is several batches, and it is ready with the last of them', () => {
  const one = effectOf(draft(4), line(), NOW_MS)!
  const many = effectOf(draft(11), line(), NOW_MS)!
  expect(many.batches).toBe(3)
  expect(many.readyMs).toBeGreaterThan(one.readyMs)
})

test('a ticket that is wanted later goes behind one that is wanted sooner', () => {
  const soon = effectOf(draft(4), line(waiting(4)), NOW_MS)!
  const later = effectOf(draft(4, { promisedAtMs: NOW_MS + 60 * MIN_MS }), line(waiting(4)), NOW_MS)!
  expect(later.readyMs).toBeGreaterThanOrEqual(soon.readyMs)
})
