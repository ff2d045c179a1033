import { CARROT, CHICKEN, DUCK, GREENS, ONION, PASTE, PEAS, PLAIN, SHRIMP, aBatch } from '../../test/wokDishes'
import { aWok } from '../../test/stations'
import type { StatedSchools } from '../../book/schools'
import type { Reason } from '../score'
import { sequenceBatch } from './sequenceBatch'
import type { DerivedStep } from './steps'
import type { ComponentInput } from './vocabulary'

const SPROUTS: ComponentInput = { id: 'sprouts', role: 'vegetable', ratioG: 8, cut: { sizeMm: 3 } }
const TOMATO: ComponentInput = { id: 'tomato', role: 'vegetable', food: 'softVeg', ratioG: 10 }
const BUTTER: ComponentInput = { id: 'butter', role: 'fat', food: 'butter', ratioG: 2 }
const PEPPER: ComponentInput = { id: 'pepper', role: 'drySeasoning', ratioG: 0.1, tags: ['volatile'] }
const BELLY: ComponentInput = {
  id: 'belly',
  role: 'protein',
  food: 'meat',
  ratioG: 20,
  fatFraction: 0.4,
  cut: { sizeMm: 4 },
}

function stepsOf(more: readonly ComponentInput[], schools: StatedSchools, components = PLAIN): readonly DerivedStep[] {
  const { steps, finding } = sequenceBatch(
    aBatch([], schools, { station: aWok(15_000), batchMassG: 400, dish: { components: [...components, ...more] } }),
  )
  expect(finding).toBeNull()
  return steps
}
const stepOf = (steps: readonly DerivedStep[], id: string, motion: 'in' | 'out' | 'back' | 'plate' = 'in') =>
  steps.find(({ entries }) => entries.some((one) => one.componentId === id && one.motion === motion))!

/** Why each thing stands where it stands, by what it is and by the school of the dish. */
test.each<[string, readonly ComponentInput[], StatedSchools, string, 'in' | 'out' | 'back', Reason]>([
  ['an egg by itself', [], { egg: 'firstOut' }, 'egg', 'in', 'eggFirstStaysApart'],
  ['an egg that leaves', [], { egg: 'firstOut' }, 'egg', 'out', 'eggOutStaysTender'],
  ['an egg that comes back', [], { egg: 'firstOut' }, 'egg', 'back', 'backToWarm'],
  ['an egg under the rice', [], { egg: 'firstUnder' }, 'egg', 'in', 'eggGoesUnder'],
  ['an egg in passing', [], { egg: 'inPassing' }, 'egg', 'in', 'eggInPassing'],
  ['an egg in a well', [], { egg: 'well' }, 'egg', 'in', 'eggWellKeepsRiceDry'],
  ['rice that an egg coats', [], { egg: 'coated' }, 'rice', 'in', 'yolkCoatsGrains'],
  ['rice', [], { egg: 'well' }, 'rice', 'in', 'riceNeedsDryHeat'],
  ['rice under an edge', [], { egg: 'well', tool: 'edge' }, 'rice', 'in', 'edgeChopsLumps'],
  ['garlic', [], { egg: 'well' }, 'garlic', 'in', 'aromaticsBurnSoon'],
  ['a paste', [PASTE], { egg: 'well' }, 'paste', 'in', 'pasteBlooms'],
  ['onion that softens', [ONION], { egg: 'well' }, 'onion', 'in', 'slowFirst'],
  ['carrot that softens', [CARROT], { egg: 'well' }, 'carrot', 'in', 'slowFirst'],
  ['sprouts that stay crisp', [SPROUTS], { egg: 'well' }, 'sprouts', 'in', 'crispIsSoonDone'],
  ['sprouts after an egg under the rice', [SPROUTS], { egg: 'firstUnder' }, 'sprouts', 'in', 'crispIsSoonDone'],
  ['peas with the base', [PEAS], { egg: 'well', readyVeg: 'base' }, 'peas', 'in', 'readyOnlyWarms'],
  ['peas half way', [PEAS], { egg: 'well', readyVeg: 'halfTime' }, 'peas', 'in', 'halfTimeStaysMoist'],
  ['peas late', [PEAS], { egg: 'well', readyVeg: 'late' }, 'peas', 'in', 'readyOnlyWarms'],
  ['duck with the base', [DUCK], { egg: 'well', readyProtein: 'base' }, 'duck', 'in', 'readyOnlyWarms'],
  ['raw shrimp in company', [SHRIMP], { rawProtein: 'inSequence' }, 'shrimp', 'in', 'rawInCompany'],
  ['raw chicken by itself', [CHICKEN], { rawProtein: 'ownOut' }, 'chicken', 'in', 'rawAloneNeedsItsTime'],
  ['chicken in a marinade', [{ ...CHICKEN, state: 'marinated' }], {}, 'chicken', 'in', 'marinadeScorchesInCompany'],
  ['tomato', [TOMATO], { egg: 'well' }, 'tomato', 'in', 'softGoesLate'],
  ['leaves', [GREENS], { egg: 'well' }, 'greens', 'in', 'leavesWiltLast'],
  ['butter beside oil', [BUTTER], { egg: 'well' }, 'butter', 'in', 'butterBrownsLate'],
  ['salt', [], { egg: 'well' }, 'salt', 'in', 'dryDissolvesFirst'],
  ['pepper that smells', [PEPPER], { egg: 'well' }, 'pepper', 'in', 'smellGoesLast'],
  ['sauce into the rice', [], { egg: 'well', sauce: 'lastPour' }, 'soy', 'in', 'sauceIntoRice'],
  ['sauce off the heat', [], { egg: 'well', sauce: 'offHeat' }, 'soy', 'in', 'sauceOffHeatStaysBright'],
  ['scallion', [], { egg: 'well' }, 'scallion', 'in', 'offSoItStaysFresh'],
])('%s', (_, more, schools, id, motion, reason) =>
  expect(stepOf(stepsOf(more, schools), id, motion)).toMatchObject({ reason }),
)

test('where nothing else is greasy, fat meat says that the rest fries in what runs out of it', () => {
  const lean = PLAIN.filter(({ id }) => id !== 'oil')
  expect(stepOf(stepsOf([BELLY], { egg: 'well' }, lean), 'belly')).toMatchObject({ reason: 'itsFatFriesTheRest' })
})

test('sauce on metal that is hot enough browns, and says how hot it is', () => {
  const { reason, figures } = stepOf(stepsOf([], { egg: 'well', sauce: 'wall' }), 'soy')
  expect(['sauceCaramelisesOnMetal', 'sauceTooCoolToBrown']).toContain(reason)
  expect(reason === 'sauceCaramelisesOnMetal').toBe((figures.metalC ?? 0) >= 180)
})

test('what is in the base says how near it is to burning as the rice covers it, never over its limit', () => {
  const { figures } = stepOf(stepsOf([], { egg: 'well' }), 'garlic')
  expect(figures.burnFraction).toBeGreaterThan(0)
  expect(figures.burnFraction).toBeLessThan(1)
})

test('rice says how hot the metal was, how far it fell and when it was dry', () => {
  const { figures, durationS } = stepOf(stepsOf([], { egg: 'well' }), 'rice')
  expect(figures.metalC).toBeGreaterThanOrEqual(figures.lowestC!)
  expect(Math.abs(figures.dryS! - durationS)).toBeLessThanOrEqual(2)
})
