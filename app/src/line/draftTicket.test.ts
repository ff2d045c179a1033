import fc from 'fast-check'
import type { Dish } from 'contract/dish'
import { NewTicket } from 'contract/ticket'
import { v7 } from 'uuid'
import {
  addPortion,
  allowLine,
  draftFault,
  draftGone,
  EMPTY_DRAFT,
  noAllergy,
  setPortions,
  splitOne,
  ticketOf,
  toggleAllergy,
  toggleModifier,
  type TicketDraft,
} from './draftTicket'

const dish = {
  id: 'duck',
  version: 1,
  name: 'Duck',
  shortName: 'duck',
  stationKind: 'wok',
  schools: { egg: 'firstOut', heat: 'full' },
  portionRiceG: 220,
  components: [
    {
      id: 'rice',
      name: 'rice',
      role: 'rice',
      state: 'cooked',
      food: 'rice',
      cut: null,
      ratioG: 100,
      scaling: 'linear',
      allergens: [],
      mayContain: [],
      ingredientId: 'rice',
    },
    {
      id: 'egg',
      name: 'egg',
      role: 'egg',
      state: 'raw',
      food: 'egg',
      cut: null,
      ratioG: 10,
      scaling: 'linear',
      allergens: ['egg'],
      mayContain: [],
      ingredientId: 'egg',
    },
    {
      id: 'soy',
      name: 'soy sauce',
      role: 'liquidSeasoning',
      state: 'fresh',
      food: 'seasoning',
      cut: null,
      ratioG: 3,
      scaling: 'linear',
      allergens: ['soy'],
      mayContain: ['gluten'],
      ingredientId: 'soy',
    },
  ],
  modifiers: [{ id: 'no-egg', name: 'no egg', removes: ['egg'], scales: [] }],
} satisfies Dish
const total = (draft: TicketDraft) => draft.lines.reduce((sum, line) => sum + line.portions, 0)

test('a tap is a portion; a second tap is one more on the same line', () => {
  const draft = addPortion(addPortion(EMPTY_DRAFT, 'duck', 'a'), 'duck', 'b')
  expect(draft).toMatchObject({ lines: [{ id: 'a', portions: 2 }], chosenId: 'a', isAllergyAsked: false })
})

test('a line that was made differently is not mixed with a plain one', () => {
  const varied = toggleModifier(addPortion(EMPTY_DRAFT, 'duck', 'a'), 'a', 'no-egg')
  expect(addPortion(varied, 'duck', 'b').lines.map((line) => line.modifiers)).toEqual([['no-egg'], []])
})

test('one of several can differ', () => {
  const draft = splitOne(setPortions(addPortion(EMPTY_DRAFT, 'duck', 'a'), 'a', 3), 'a', 'b')
  expect(draft.lines.map((line) => line.portions)).toEqual([2, 1])
  expect(draft.chosenId).toBe('b')
  expect(splitOne(addPortion(EMPTY_DRAFT, 'duck', 'a'), 'a', 'b').lines).toHaveLength(1)
})

test('asked is asked: "none" and an allergen both count, silence does not', () => {
  const draft = addPortion(EMPTY_DRAFT, 'duck', 'a')
  expect(noAllergy(draft, 'a').isAllergyAsked).toBe(true)
  expect(toggleAllergy(draft, 'a', 'egg')).toMatchObject({ isAllergyAsked: true, lines: [{ allergies: ['egg'] }] })
})

test('what the kitchen cannot leave out is found before it is sent', () => {
  const draft = addPortion(EMPTY_DRAFT, 'duck', 'a')
  expect(draftFault(toggleAllergy(draft, 'a', 'egg'), [dish], 'eu')).toBeNull()
  expect(draftFault(toggleAllergy(draft, 'a', 'soy'), [dish], 'eu')).toMatchObject({
    allergen: 'soy',
    kind: 'stays',
    components: ['soy sauce'],
  })
})

test('what may be in it waits for the lead, and the lead’s word goes when the line changes', () => {
  const draft = toggleAllergy(addPortion(EMPTY_DRAFT, 'duck', 'a'), 'a', 'gluten')
  expect(draftFault(draft, [dish], 'eu')).toMatchObject({ kind: 'may', components: ['soy sauce'] })
  const allowed = allowLine(draft, 'a', 'ilse')
  expect(draftFault(allowed, [dish], 'eu')).toBeNull()
  expect(ticketOf(allowed, v7(), 1, 'hatch').items[0]).toMatchObject({ allowedBy: 'ilse' })
  expect(draftFault(toggleModifier(allowed, 'a', 'no-egg'), [dish], 'eu')?.kind).toBe('may')
})

test('what nobody knows is named', () => {
  const { ingredientId: _row, ...mayonnaise } = { ...dish.components[2]!, id: 'mayo', name: 'mayonnaise' }
  const draft = toggleAllergy(addPortion(EMPTY_DRAFT, 'duck', 'a'), 'a', 'peanut')
  const odd = { ...dish, components: [...dish.components, mayonnaise] }
  expect(draftFault(draft, [odd], 'eu')).toMatchObject({ kind: 'unknown', components: ['mayonnaise'] })
})

const NOW_MS = Date.UTC(2027, 2, 10, 18)

test('whatever is tapped, portions are never lost to a split and the ticket is one that the contract takes', () => {
  const tap = fc.constantFrom('add', 'split', 'modify', 'less')
  fc.assert(
    fc.property(fc.array(tap, { minLength: 1, maxLength: 25 }), (taps) => {
      let draft = addPortion(EMPTY_DRAFT, 'duck', v7())
      for (const one of taps) {
        const before = total(draft)
        const chosen = draft.lines.find((line) => line.id === draft.chosenId)
        if (one === 'add') draft = addPortion(draft, 'duck', v7())
        else if (chosen && one === 'split') draft = splitOne(draft, chosen.id, v7())
        else if (chosen && one === 'modify') draft = toggleModifier(draft, chosen.id, 'no-egg')
        else if (chosen) draft = setPortions(draft, chosen.id, chosen.portions - 1)
        expect(total(draft) - before).toBe(one === 'add' ? 1 : one === 'less' && chosen ? -1 : 0)
      }
      if (draft.lines.length > 0) expect(NewTicket.safeParse(ticketOf(draft, v7(), NOW_MS, 'hatch')).success).toBe(true)
    }),
  )
})

test('what is 86 keeps a ticket back: the dish itself, or what no modifier takes out of it', () => {
  const draft = addPortion(EMPTY_DRAFT, 'duck', 'a')
  const gone = (goneDishes: string[], goneMatters: string[], one = draft) =>
    draftGone(one, [dish], { goneDishes, goneMatters }, 'us')?.name ?? null
  expect(gone([], [])).toBe(null)
  expect(gone(['duck'], [])).toBe('duck')
  expect(gone([], ['egg'])).toBe('egg')
  expect(gone([], ['egg'], toggleModifier(draft, 'a', 'no-egg'))).toBe(null)
  expect(gone(['crab'], ['kimchi'])).toBe(null)
})
