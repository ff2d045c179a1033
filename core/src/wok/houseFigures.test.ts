import { component, DISH, TOOLS, US } from '../test/kitchen'
import type { Component } from '../book/dish'
import { BASE_S, HOUSE_S, RAW_PROTEIN_S, SCHOOL_HEAT } from './houseFigures'
import { HEAT_LEVELS } from './score'
import { sequence } from './sequence'

/** Bands of common practice [s]: a house figure outside one is a slip of the pen. */
test.each<[string, number | undefined, number, number]>([
  ['garlic to fragrant', BASE_S.garlic, 20, 30],
  ['ginger to fragrant', BASE_S.ginger, 20, 30],
  ['onion', BASE_S.allium, 20, 120],
  ['fine dice of a hard vegetable', BASE_S.hardVeg, 49, 186],
  ['minced stems', BASE_S.stem, 41, 119],
  ['tender-crisp', BASE_S.crispVeg, 20, 120],
  ['leaves', HOUSE_S.leaf, 19, 33],
  ['scallion off the flame', HOUSE_S.finish, 5, 15],
  ['13 mm shrimp', RAW_PROTEIN_S.seafood?.seconds, 98, 170],
  ['thin poultry, both sides', RAW_PROTEIN_S.poultry?.seconds, 80, 240],
  ['fine beef', RAW_PROTEIN_S.meat?.seconds, 70, 120],
  ['cooked protein', HOUSE_S.readyProtein, 30, 60],
])('%s lasts as cooks say (common practice)', (_what, seconds, least, most) => {
  expect(seconds).toBeGreaterThanOrEqual(least)
  expect(seconds).toBeLessThanOrEqual(most)
})

const rice = component({ id: 'rice', role: 'rice', food: 'rice', ratioG: 100 })
const durationOf = (part: Component, riceMassG = 220) => {
  const result = sequence({ dish: DISH, components: [rice, part], riceMassG, tools: TOOLS, rules: US })
  const steps = result.kind === 'score' ? result.score.steps : []
  return steps.find((step) => step.entries.some((entry) => entry.componentId === part.id))?.durationS ?? 0
}

test('a thicker cut of raw protein is never quicker', () => {
  const seconds = [3, 5, 8, 13, 20, 30, 60].map((sizeMm) =>
    durationOf(component({ id: 'x', role: 'protein', food: 'poultry', ratioG: 20, cut: { shape: 'dice', sizeMm } })),
  )
  expect(seconds).toEqual([...seconds].sort((a, b) => a - b))
})

test('blanched takes less than fresh, frozen more', () => {
  const inState = (state: Component['state']) =>
    durationOf(component({ id: 'x', role: 'vegetable', food: 'crispVeg', state, ratioG: 10 }))
  expect(inState('blanched')).toBeLessThan(inState('fresh'))
  expect(inState('frozen')).toBeGreaterThan(inState('fresh'))
})

test('more rice takes longer, up to four minutes (common practice)', () => {
  const seconds = [220, 440, 880, 1760, 5000].map((massG) => durationOf(rice, massG))
  expect(seconds).toEqual([...seconds].sort((a, b) => a - b))
  expect(seconds.at(-1)).toBe(240)
})

test('full flame means full flame from start to end, and rice is on full in every school', () => {
  expect(new Set(Object.values(SCHOOL_HEAT.full))).toEqual(new Set(['full']))
  for (const school of Object.values(SCHOOL_HEAT)) {
    expect(school.rice).toBe('full')
    expect(HEAT_LEVELS.indexOf(school.base)).toBeLessThanOrEqual(HEAT_LEVELS.indexOf(school.rice))
  }
})
