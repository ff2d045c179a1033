import fc from 'fast-check'
import { idOf } from '../../ids/idOf'
import { earlierPlace, itemsOn, withCard, withoutThing, withThing, type House } from './changeHouse'

const step = (equipment: string[]) => ({
  kind: 'cut' as const,
  handsOnS: 60,
  handsOnSPerKg: 0,
  waitS: 0,
  hands: 1,
  equipment,
})
const HOUSE: House = {
  equipment: [
    { id: 'oven', name: 'Oven', count: 1 },
    { id: 'sink', name: 'Sink', count: 2 },
  ],
  places: [
    { id: 'walk-in', name: 'Walk-in' },
    { id: 'bench', name: 'Bench' },
  ],
  homes: { 'ingredient:kimchi': 'walk-in', 'recipe:sauce': 'bench' },
  checks: [{ id: 'probe', name: 'Probe' }],
  cards: [{ itemId: 'recipe:toasted', steps: [step(['oven']), step(['oven', 'sink'])] }],
}

test('what stands on a tool or a place is named', () => {
  expect(itemsOn(HOUSE, 'equipment', 'oven')).toEqual(['recipe:toasted'])
  expect(itemsOn(HOUSE, 'places', 'walk-in')).toEqual(['ingredient:kimchi'])
  expect(itemsOn(HOUSE, 'checks', 'probe')).toEqual([])
})

test('a tool that goes leaves the cards their steps; a place that goes leaves nothing pointing at it', () => {
  const noOven = withoutThing(HOUSE, 'equipment', 'oven')
  expect(noOven.cards[0]!.steps.map((one) => one.equipment)).toEqual([[], ['sink']])
  expect(withoutThing(HOUSE, 'places', 'bench').homes).toEqual({ 'ingredient:kimchi': 'walk-in' })
})

test('named anew a thing keeps its id and its place in the list; a new one gets an id that nothing has', () => {
  const renamed = withThing(HOUSE, 'equipment', { id: 'oven', name: 'Deck oven', count: 2 })
  expect(renamed.equipment).toEqual([{ id: 'oven', name: 'Deck oven', count: 2 }, HOUSE.equipment[1]])
  const added = withThing(HOUSE, 'places', { id: '', name: 'Bench', count: 1 })
  expect(added.places.at(-1)).toEqual({ id: 'bench-2', name: 'Bench' })
  expect(earlierPlace(HOUSE, 'bench').places.map(({ id }) => id)).toEqual(['bench', 'walk-in'])
  expect(earlierPlace(HOUSE, 'walk-in')).toBe(HOUSE)
})

test('an own card takes the place of the usual one, and goes again', () => {
  const card = { itemId: 'recipe:toasted', steps: [step([])] }
  expect(withCard(HOUSE, 'recipe:toasted', card).cards).toEqual([card])
  expect(withCard(HOUSE, 'recipe:toasted', null).cards).toEqual([])
})

test('whatever is called whatever, an id has letters, figures and hyphens, and is nobody else’s', () => {
  fc.assert(
    fc.property(fc.array(fc.string(), { maxLength: 12 }), (names) => {
      const ids = names.reduce<string[]>((all, name) => [...all, idOf(name, 'place', all)], [])
      expect(new Set(ids).size).toBe(names.length)
      for (const id of ids) expect(id).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/)
    }),
    { endOnFailure: true },
  )
})
