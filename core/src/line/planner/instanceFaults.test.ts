import { smallInstance } from '../../test/lineInstances'
import type { LineDish, LineInstance } from './instance'
import { instanceFaults } from './instanceFaults'
import { MOST_ALLERGENS } from './names'

const whole = smallInstance(3)
const [ticket] = whole.tickets
const item = ticket!.items[0]!
const dish = whole.dishes.find(({ id }) => id === item.dish)!
const withItem = (more: Partial<typeof item>): Partial<LineInstance> => ({
  tickets: [{ ...ticket!, items: [{ ...item, ...more }] }],
})
const withDish = (more: Partial<LineDish>): Partial<LineInstance> => ({
  dishes: whole.dishes.map((one) => (one.id === dish.id ? { ...one, ...more } : one)),
})
const phases = (...hands: boolean[]) => hands.map((one) => ({ hands: one, a: 10, b: 0 }))
const frozen = {
  station: whole.stations[0]!.id,
  start: 0,
  wash: false,
  parts: ['nobody'],
  cooks: [0],
} as unknown as LineInstance['frozen'][number]

test('an evening that fits together has nothing against it', () => expect(instanceFaults(whole)).toEqual([]))

/** What each slip is told: where, and what to do. */
test.each<[string, Partial<LineInstance>, string, RegExp]>([
  [
    'two stations of one name',
    { stations: [whole.stations[0]!, whole.stations[0]!] },
    'stations',
    /stands twice: give each its own id/,
  ],
  ['two dishes of one name', { dishes: [...whole.dishes, dish] }, 'dishes', /stands twice/],
  ['two tickets of one name', { tickets: [ticket!, ticket!] }, 'tickets', /stands twice/],
  [
    'a kind of station without set-up times',
    { setup: {} },
    `setup.${whole.stations[0]!.kind}`,
    /say their set-up times/,
  ],
  [
    'what fries at a station that is not there',
    { frozen: [{ ...frozen, station: 'attic', parts: [item.id] }] },
    'stations',
    /no station "attic": use one of/,
  ],
  [
    'what fries of an item that is not there',
    { frozen: [frozen] },
    'frozen',
    /no item of part "nobody": keep the items/,
  ],
  ['a dish that is not there', withItem({ dish: 'soup' }), 'tickets.0.items.0', /no dish "soup": use one of/],
  [
    'a variation that the dish has not',
    withItem({ mods: ['extra-gold'] }),
    'tickets.0.items.0',
    /has no modifier "extra-gold"/,
  ],
  [
    'a dish that no station takes',
    withDish({ on: {} }),
    'tickets.0.items.0',
    /no station takes .*: add one, or take it off the list/,
  ],
  [
    'hands three times',
    withDish({ on: { wok: { cap: 2, phases: phases(true, false, true, false, true) } } }),
    `dishes.${dish.id}.on.wok`,
    /join the other times/,
  ],
  [
    'hands twice, but not from the start',
    withDish({ on: { wok: { cap: 2, phases: phases(false, true, false, true) } } }),
    `dishes.${dish.id}.on.wok`,
    /at the start and once more/,
  ],
  [
    'a guest who must not meet what they order',
    { ...withDish({ allergens: ['egg'] }), ...withItem({ mods: [], avoid: ['egg'] }) },
    'tickets.0.items.0',
    /must not meet egg.*order it without, or another dish/,
  ],
  [
    'more allergens than can be told apart',
    withDish({ allergens: Array.from({ length: MOST_ALLERGENS + 1 }, (_, n) => `a${n}`) }),
    'dishes',
    /name at most/,
  ],
])('%s', (_, change, field, message) => {
  const faults = instanceFaults({ ...whole, ...change })
  const own = faults.filter((one) => one.field === field)
  expect(own).not.toEqual([])
  expect(own.map((one) => one.message).join('; ')).toMatch(message)
})

test('of very many slips the first twenty are told', () => {
  const tickets = Array.from({ length: 60 }, (_, n) => ({
    ...ticket!,
    id: `t${n}`,
    items: [{ ...item, id: `i${n}`, dish: 'soup' }],
  }))
  expect(instanceFaults({ ...whole, tickets, told: [], frozen: [] })).toHaveLength(20)
})
