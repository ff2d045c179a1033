import fc from 'fast-check'
import { DISH } from '../test/kitchen'
import { changesBetween, mergeDishes } from './compareDish'
import type { Pin } from './pins'

const { version: _version, ...BASE } = DISH
type Draft = typeof BASE
const withRatio = (dish: Draft, id: string, ratioG: number): Draft => ({
  ...dish,
  components: dish.components.map((one) => (one.id === id ? { ...one, ratioG } : one)),
})
const without = (dish: Draft, id: string): Draft => ({
  ...dish,
  components: dish.components.filter((one) => one.id !== id),
})

test('changes are named: amounts, what came, what went, order and head', () => {
  const moved = { ...BASE, components: [BASE.components[1]!, BASE.components[0]!, ...BASE.components.slice(2)] }
  expect(changesBetween(BASE, BASE)).toEqual([])
  expect(changesBetween(BASE, withRatio(BASE, 'soy', 5))).toMatchObject([
    { kind: 'changed', componentId: 'soy', fromG: 3, toG: 5, isAmountOnly: true },
  ])
  expect(changesBetween(BASE, without(BASE, 'egg'))).toMatchObject([{ kind: 'removed', componentId: 'egg' }])
  expect(changesBetween(without(BASE, 'egg'), BASE)).toMatchObject([{ kind: 'added', componentId: 'egg' }])
  expect(changesBetween(BASE, moved)).toEqual([{ kind: 'moved' }])
  expect(changesBetween(BASE, { ...BASE, priceMinor: 5 })).toEqual([{ kind: 'head', field: 'priceMinor' }])
})

test('two edits that do not touch become one; where they clash, mine stays and is named', () => {
  const mine = withRatio(BASE, 'soy', 5)
  const theirs = { ...without(BASE, 'nori'), name: 'Theirs' }
  const both = mergeDishes(BASE, mine, theirs)
  expect(both.conflicts).toEqual([])
  expect(both.dish.name).toBe('Theirs')
  expect(both.dish.components.map((one) => one.id)).not.toContain('nori')
  expect(both.dish.components.find((one) => one.id === 'soy')?.ratioG).toBe(5)
  const clash = mergeDishes(BASE, mine, withRatio(BASE, 'soy', 2))
  expect(clash.conflicts).toEqual(['soy'])
  expect(clash.dish.components.find((one) => one.id === 'soy')?.ratioG).toBe(5)
})

test('what one of them took out and the other changed is a clash, and mine stays', () => {
  const clash = mergeDishes(BASE, without(BASE, 'egg'), withRatio(BASE, 'egg', 20))
  expect(clash.conflicts).toEqual(['egg'])
  expect(clash.dish.components.map((one) => one.id)).not.toContain('egg')
})

test('laws: with an untouched other, mine is what comes out; with both the same, no clash', () => {
  const id = fc.constantFrom(...BASE.components.map((one) => one.id))
  const edit = fc.array(fc.tuple(id, fc.integer({ min: 1, max: 50 })), { maxLength: 5 })
  const apply = (edits: [string, number][]) => edits.reduce((dish, [one, g]) => withRatio(dish, one, g), BASE)
  fc.assert(
    fc.property(edit, (edits) => {
      const mine = apply(edits)
      expect(mergeDishes(BASE, mine, BASE)).toEqual({ dish: mine, conflicts: [] })
      expect(mergeDishes(BASE, BASE, mine).dish).toEqual(mine)
      expect(mergeDishes(BASE, mine, mine).conflicts).toEqual([])
    }),
  )
})

describe('schools, pins and variations are merged one by one', () => {
  const pinned = (...pins: Pin[]): Draft => ({ ...BASE, pins })
  const early: Pin = { component: 'soy', slot: 'beforeRice' }
  const out: Pin = { component: 'egg', leaves: true }

  test('each held another thing: both are held', () => {
    const { dish, conflicts } = mergeDishes(BASE, pinned(early), pinned(out))
    expect(conflicts).toEqual([])
    expect(dish.pins).toEqual([early, out])
  })

  test('both held the same thing otherwise: it is in conflict, mine stays, and the rest is merged', () => {
    const late: Pin = { component: 'soy', slot: 'afterOff' }
    const { dish, conflicts } = mergeDishes(BASE, pinned(early), pinned(late, out))
    expect(conflicts).toEqual(['pins soy place'])
    expect(dish.pins).toEqual([early, out])
  })

  test('a pin on what the other took out goes with it', () => {
    expect(mergeDishes(BASE, pinned(early), without(BASE, 'soy')).dish.pins).toEqual([])
  })

  test('one changed the egg, the other the sauce: both schools are in it', () => {
    const { dish, conflicts } = mergeDishes(
      BASE,
      { ...BASE, schools: { ...BASE.schools, egg: 'well' } },
      { ...BASE, schools: { ...BASE.schools, sauce: 'offHeat' } },
    )
    expect(conflicts).toEqual([])
    expect(dish.schools).toEqual({ ...BASE.schools, egg: 'well', sauce: 'offHeat' })
  })

  test('each wrote a variation: both are there', () => {
    const variation = (id: string) => ({ id, name: id, removes: [], scales: [] })
    const { dish, conflicts } = mergeDishes(
      BASE,
      { ...BASE, modifiers: [...BASE.modifiers, variation('mine')] },
      { ...BASE, modifiers: [...BASE.modifiers, variation('theirs')] },
    )
    expect(conflicts).toEqual([])
    expect(dish.modifiers.map(({ id }) => id)).toEqual([...BASE.modifiers.map(({ id }) => id), 'mine', 'theirs'])
  })
})
