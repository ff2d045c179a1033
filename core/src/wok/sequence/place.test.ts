import { aBatch } from '../../test/wokDishes'
import { componentOf } from './component'
import { startDeriving } from './derive'
import { isRawProtein, isSlow, type Place } from './place'
import type { ComponentInput } from './vocabulary'

const RULES = { ruleSet: 'us' } as const
const one = (role: ComponentInput['role'], more: Partial<ComponentInput> = {}) =>
  componentOf({ id: 'it', role, ratioG: 10, ...more }, 300, 5, RULES)

/** Where kitchens put things, by role, food, state and tags: common practice. */
test.each<[string, ComponentInput['role'], Partial<ComponentInput>, Place]>([
  ['rice', 'rice', {}, 'rice'],
  ['an egg', 'egg', {}, 'egg'],
  ['a boiled egg', 'egg', { state: 'cooked' }, 'ready'],
  ['a protein of which nobody knows anything', 'protein', {}, 'raw'],
  ['bacon', 'protein', { food: 'cured' }, 'raw'],
  ['ham that may be eaten as it is', 'protein', { food: 'cured', readyToEat: true }, 'ready'],
  ['roast duck', 'protein', { food: 'poultry', state: 'cooked' }, 'ready'],
  ['roast duck whose row says that it is raw', 'protein', { food: 'poultry', state: 'cooked', mustCook: true }, 'raw'],
  ['tofu', 'protein', { food: 'tofu' }, 'ready'],
  ['thawed shrimp that a recipe calls a vegetable', 'vegetable', { food: 'seafood', state: 'thawed' }, 'raw'],
  ['garlic', 'aromatic', {}, 'quick'],
  ['basil leaves among the vegetables', 'vegetable', { food: 'herb' }, 'leaf'],
  ['a soft herb', 'vegetable', { food: 'herb', tags: ['tender'] }, 'finish'],
  ['white of scallion, to smell', 'aromatic', { food: 'allium', target: { kind: 'fragrant' } }, 'quick'],
  ['a paste', 'paste', {}, 'paste'],
  ['curry powder that blooms', 'drySeasoning', { target: { kind: 'bloomed' } }, 'paste'],
  ['salt', 'drySeasoning', {}, 'dry'],
  ['white pepper', 'drySeasoning', { tags: ['volatile'] }, 'volatile'],
  ['soy sauce', 'liquidSeasoning', {}, 'sauce'],
  ['sesame oil among the sauces', 'liquidSeasoning', { food: 'sesameOil' }, 'sesame'],
  ['butter', 'fat', { food: 'butter' }, 'butter'],
  ['oil', 'fat', {}, 'fat'],
  ['cabbage', 'vegetable', {}, 'crisp'],
  ['blanched greens', 'vegetable', { food: 'leafy', state: 'blanched' }, 'readyVeg'],
  ['raw greens', 'vegetable', { food: 'leafy' }, 'leaf'],
  ['tomato', 'vegetable', { food: 'softVeg' }, 'soft'],
  ['thin slices that go late', 'vegetable', { tags: ['quick'] }, 'soft'],
  ['frozen peas', 'vegetable', { food: 'peas', state: 'frozen' }, 'readyVeg'],
  ['noodles', 'vegetable', { food: 'noodle', state: 'cooked' }, 'readyVeg'],
  ['cashews', 'finish', { food: 'nut' }, 'finish'],
  ['a finish that has to be hot', 'finish', { target: { kind: 'heatedThrough' } }, 'soft'],
  ['seaweed on top', 'garnish', {}, 'garnish'],
])('%s', (_, role, more, place) => expect(one(role, more).place).toBe(place))

test('what softens and needs a minute is slow; what only has to stay crisp, or to smell, is not', () => {
  const placed = (role: ComponentInput['role'], more: Partial<ComponentInput>) =>
    startDeriving(aBatch([{ id: 'it', role, ratioG: 10, ...more }])).components.find(({ id }) => id === 'it')?.place
  expect(placed('aromatic', { food: 'allium', cut: { sizeMm: 6 } })).toBe('slow')
  expect(placed('vegetable', { food: 'hardVeg', cut: { sizeMm: 4 } })).toBe('slow')
  expect(placed('vegetable', { food: 'allium', cut: { sizeMm: 6 } })).toBe('crisp')
  expect(placed('vegetable', { food: 'stem', target: { kind: 'softened' }, cut: { sizeMm: 12 } })).toBe('slow')
  expect(placed('vegetable', { food: 'hardVeg', target: { kind: 'tenderCrisp' } })).toBe('crisp')
  expect(placed('aromatic', { food: 'allium', target: { kind: 'fragrant' } })).toBe('quick')
  expect(isSlow({ place: 'crisp', target: 'softened' }, 59)).toBe(false)
})

test('raw is every protein that nobody says is cooked; a plant is none, whatever its role', () => {
  const isRaw = (
    more: Partial<ComponentInput>,
    food: Parameters<typeof isRawProtein>[1],
    role: ComponentInput['role'],
  ) => isRawProtein({ id: 'it', role, ratioG: 1, ...more }, food, more.state ?? 'raw')
  expect(isRaw({}, 'crispVeg', 'protein')).toBe(true)
  expect(isRaw({}, 'nut', 'protein')).toBe(false)
  expect(isRaw({ state: 'thawed' }, 'poultry', 'finish')).toBe(true)
  expect(isRaw({ readyToEat: true }, 'seafood', 'protein')).toBe(false)
  expect(isRaw({ readyToEat: true, mustCook: true }, 'seafood', 'protein')).toBe(true)
})
