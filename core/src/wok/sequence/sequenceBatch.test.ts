import fc from 'fast-check'
import { aGriddle, HOB, RING } from '../../test/stations'
import { aBatch, CARROT, CHICKEN, DUCK, GREENS, ONION, PASTE, PEAS, PLAIN, SHRIMP } from '../../test/wokDishes'
import { sequenceBatch, type Sequenced } from './sequenceBatch'
import type { SequenceInput } from './derive'
import type { ComponentInput } from './vocabulary'
import { SCHOOLS, type StatedSchools } from '../../book/schools'

const stepOf = ({ steps }: Sequenced, id: string, motion = 'in') =>
  steps.find(({ entries }) => entries.some((entry) => entry.componentId === id && entry.motion === motion))
const startOf = (sequenced: Sequenced, id: string, motion = 'in') => stepOf(sequenced, id, motion)?.startS ?? Infinity
const derived = (...input: Parameters<typeof aBatch>): Sequenced => {
  const sequenced = sequenceBatch(aBatch(...input))
  expect(sequenced.finding).toBeNull()
  return sequenced
}

describe('plain rice on a hob, 280 g, egg first', () => {
  const plain = derived([], { egg: 'firstOut' })

  test('heats two minutes, sets the egg and takes it out, then garlic, rice, salt, egg back, soy, off, scallion', () => {
    const order = ['oil', 'egg', 'garlic', 'rice', 'salt', 'soy', 'scallion'].map((id) => startOf(plain, id))
    expect(order).toEqual([...order].sort((a, b) => a - b))
    expect(startOf(plain, 'egg', 'back')).toBeGreaterThan(startOf(plain, 'rice'))
    expect(plain.steps[0]).toMatchObject({ action: 'heatVessel', figures: { metalC: 230 } })
    expect(plain.steps[0]!.startS).toBeLessThan(-90)
    expect(plain.steps.at(-1)).toMatchObject({ action: 'finishOff', heat: 'off' })
  })

  test('egg within a minute, garlic 20 to 30 s, rice in 1 to 4 min: common practice', () => {
    expect(stepOf(plain, 'egg')!.durationS).toBeLessThanOrEqual(60)
    expect(stepOf(plain, 'garlic')!.durationS).toBeGreaterThanOrEqual(15)
    expect(stepOf(plain, 'garlic')!.durationS).toBeLessThanOrEqual(30)
    expect(stepOf(plain, 'rice')!.durationS).toBeGreaterThanOrEqual(60)
    expect(stepOf(plain, 'rice')!.durationS).toBeLessThanOrEqual(240)
  })

  test('the rice says how far the metal falls and when it is dry', () => {
    const { figures } = stepOf(plain, 'rice')!
    expect(figures.metalC).toBeGreaterThan(figures.lowestC!)
    expect(figures.lowestC).toBeGreaterThan(140)
    expect(figures.dryS).toBeGreaterThan(50)
  })

  test('a weak flame does not brown the soy, and the step says so', () => {
    expect(stepOf(plain, 'soy')!.reason).toBe('sauceTooCoolToBrown')
    const ring = derived([], { egg: 'firstOut' }, { station: RING, handling: 'toss' })
    expect(stepOf(ring, 'soy')!.reason).toBe('sauceCaramelisesOnMetal')
  })

  test('steps follow each other without a gap, and none is latest before its start', () => {
    plain.steps.slice(1).forEach((step, index) => {
      const before = plain.steps[index]!
      expect(step.startS).toBe(before.startS + before.durationS)
      expect(step.latestS).toBeGreaterThanOrEqual(step.startS)
    })
  })

  test('what goes in is the dish by the batch: oil in halves, the egg whole', () => {
    const massIn = (id: string) =>
      plain.steps.flatMap(({ entries }) => entries).filter((one) => one.componentId === id && one.motion === 'in')
    expect(massIn('oil').map(({ massG }) => massG)).toEqual([4.2, 4.2])
    expect(massIn('egg').map(({ massG }) => massG)).toEqual([39.2])
  })
})

const derivedCrumbs = () => stepOf(derived([], { egg: 'firstOut', eggBreak: 'crumbled' }), 'egg')!.durationS

/** What each school does to the order of the run. */
test.each<[string, StatedSchools, (one: Sequenced) => boolean]>([
  ['an egg in a well goes in after the rice', { egg: 'well' }, (one) => startOf(one, 'egg') > startOf(one, 'rice')],
  [
    'an egg under the rice goes in last before it',
    { egg: 'firstUnder' },
    (one) => startOf(one, 'egg') < startOf(one, 'rice'),
  ],
  [
    'an egg in passing meets bare metal before the rice',
    { egg: 'inPassing' },
    (one) => startOf(one, 'garlic') < startOf(one, 'egg') && startOf(one, 'egg') < startOf(one, 'rice'),
  ],
  [
    'pulled up the side, nothing is said to leave to a bowl',
    { egg: 'inPassingAside' },
    (one) => one.steps.some(({ action }) => action === 'eggAside'),
  ],
  ['a sheet comes back last', { egg: 'sheet' }, (one) => startOf(one, 'egg', 'back') > startOf(one, 'soy')],
  ['threads leave and come back', { egg: 'threads' }, (one) => startOf(one, 'egg', 'out') < startOf(one, 'rice')],
  ['coated, the egg goes in with the rice', { egg: 'coated' }, (one) => startOf(one, 'egg') === startOf(one, 'rice')],
  [
    'an egg returns before the rice where that is held',
    { egg: 'firstOut', eggReturn: 'beforeRice' },
    (one) => startOf(one, 'egg', 'back') <= startOf(one, 'rice'),
  ],
  [
    'garlic raw at the end goes in after the flame',
    { garlic: 'atEnd' },
    (one) => stepOf(one, 'garlic')!.heat === 'off',
  ],
  [
    'half of it early and half at the end',
    { garlic: 'halfAndHalf' },
    (one) =>
      one.steps.flatMap(({ entries }) => entries).filter(({ componentId }) => componentId === 'garlic').length === 2,
  ],
  ['sauce off the heat', { sauce: 'offHeat' }, (one) => stepOf(one, 'soy')!.heat === 'off'],
  [
    'part of the sauce, taste, then the rest',
    { sauce: 'partThenRest' },
    (one) => /sauceIn taste sauceIn/.test(one.steps.map(({ action }) => action).join(' ')),
  ],
  ['pressed flat, then lifted', { rice: 'pressLift' }, (one) => one.steps.some(({ action }) => action === 'turnRice')],
  ['left for a crust', { rice: 'leaveCrust' }, (one) => one.steps.some(({ action }) => action === 'leaveCrust')],
  ['dry seasoning last', { seasoningOrder: 'dryLast' }, (one) => startOf(one, 'salt') > startOf(one, 'soy')],
  [
    'a wipe between the stages',
    { egg: 'firstOut', wipe: 'betweenStages' },
    (one) => one.steps.some(({ action }) => action === 'wipe'),
  ],
  [
    'large soft curds leave sooner than crumbled egg',
    { egg: 'firstOut', eggBreak: 'curds' },
    (one) => stepOf(one, 'egg')!.durationS < derivedCrumbs(),
  ],
  ['oil with the flame off', { preheat: 'offWhileOiling' }, (one) => stepOf(one, 'oil')!.heat === 'off'],
  [
    'oil in from cold stands before the heating and never smokes',
    { preheat: 'oilFromCold' },
    (one) => one.steps[0]!.action === 'oilIn' && one.steps[1]!.figures.metalC! <= 190,
  ],
  [
    'the flame is lowered for the last toss',
    { heat: 'full', lastToss: 'lowered' },
    (one) => one.steps.find(({ action }) => action === 'hotCheck')!.heat === 'medium',
  ],
])('%s', (_what, schools, holds) => {
  expect(holds(derived([], schools))).toBe(true)
})

test('oil that is pressed out of the egg fries the rice', () => {
  const riceS = (oil: 'usual' | 'pressedBack') => stepOf(derived([], { egg: 'firstOut', oil }), 'rice')!.durationS
  expect(riceS('pressedBack')).toBeLessThanOrEqual(riceS('usual'))
})

test('an egg on top is fried beside and timed backwards, so that both are ready together', () => {
  const onTop = derived([], { egg: 'onTop' })
  const egg = onTop.steps.find(({ action }) => action === 'eggOnTop')!
  const plate = onTop.steps.find(({ action }) => action === 'pickUp')!
  expect(egg).toMatchObject({ surface: 'beside', check: { food: 'egg' } })
  expect(egg.startS + egg.durationS).toBe(plate.startS)
})

test('marinated meat is cooked alone and leaves, whatever the school of raw protein', () => {
  const beef: ComponentInput = {
    id: 'beef',
    role: 'protein',
    food: 'meat',
    state: 'marinated',
    ratioG: 20,
    cut: { sizeMm: 4 },
  }
  const one = derived([beef, ONION], { rawProtein: 'inSequence' })
  expect(startOf(one, 'beef', 'out')).toBeLessThan(startOf(one, 'onion'))
  expect(stepOf(one, 'beef', 'out')!.check).toMatchObject({ food: 'meat' })
})

test('slow ones before what burns, leaves late, pepper last, cooked duck only warms', () => {
  const pepper: ComponentInput = { id: 'pepper', role: 'drySeasoning', ratioG: 0.1, tags: ['volatile'] }
  const one = derived([ONION, CARROT, GREENS, DUCK, pepper], { egg: 'firstOut' })
  expect(startOf(one, 'carrot')).toBeLessThan(startOf(one, 'rice'))
  expect(startOf(one, 'greens')).toBeGreaterThan(startOf(one, 'rice'))
  expect(startOf(one, 'pepper')).toBeGreaterThan(startOf(one, 'soy'))
  expect(one.steps.flatMap(({ check }) => check?.food ?? [])).toEqual(['egg', 'rice'])
})

test('what no one knows to be cooked is raw poultry, with its check', () => {
  const unknown: ComponentInput = { id: 'thing', role: 'protein', ratioG: 15, cut: { sizeMm: 6 } }
  const one = derived([unknown])
  expect(one.steps.some(({ check }) => check?.food === 'poultry')).toBe(true)
})

test('bacon is raw and ham is not: what may be eaten as it is, its row says', () => {
  const cured = (readyToEat: boolean): ComponentInput => ({
    id: 'it',
    role: 'protein',
    food: 'cured',
    state: 'cured',
    ratioG: 12,
    readyToEat,
  })
  const foods = (one: Sequenced) => one.steps.flatMap(({ check }) => check?.food ?? [])
  expect(foods(derived([cured(false)]))).toContain('meat')
  expect(foods(derived([cured(true)]))).not.toContain('meat')
})

test.each(SCHOOLS.egg)(
  'a guest who may have no egg gets the oil and what is fried in it, where the dish says %s',
  (egg) => {
    const without = PLAIN.filter(({ role }) => role !== 'egg')
    const one = derived([], { egg }, { dish: { components: [...without, CARROT] } })
    expect(startOf(one, 'oil')).toBeLessThan(startOf(one, 'rice'))
    expect(startOf(one, 'carrot')).toBeLessThan(startOf(one, 'rice'))
  },
)

/** Dishes of many kinds at four stations. */
const EXTRAS = [SHRIMP, CHICKEN, DUCK, ONION, CARROT, GREENS, PEAS, PASTE]
const batches = fc
  .record({
    extras: fc.subarray(EXTRAS, { maxLength: 4 }),
    drops: fc.subarray(['egg', 'garlic', 'soy', 'salt', 'oil']),
    at: fc.constantFrom(
      { station: HOB, handling: 'stir' as const, batchMassG: 280 },
      { station: RING, handling: 'toss' as const, batchMassG: 600 },
      { station: aGriddle(), handling: 'flip' as const, batchMassG: 800 },
    ),
    ruleSet: fc.constantFrom('us' as const, 'uk' as const, 'au' as const),
    egg: fc.constantFrom(undefined, ...SCHOOLS.egg),
  })
  .map(({ extras, drops, at, ruleSet, egg }): SequenceInput => {
    const components = [...PLAIN.filter(({ id }) => !drops.includes(id)), ...extras]
    return aBatch([], egg === undefined ? {} : { egg }, { ...at, rules: { ruleSet }, dish: { components } })
  })

test('whatever is asked: every raw protein has its check after it went in, and everything has its place', () => {
  fc.assert(
    fc.property(batches, (input) => {
      const one = sequenceBatch(input)
      if (one.finding) return one.finding.bad.length > 0 && one.steps.length === 0
      const raw = input.dish.components.filter(({ role, state }) => role === 'protein' && state !== 'cooked')
      expect(one.steps.filter(({ check }) => check?.food === 'rice')).toHaveLength(1)
      for (const { id } of raw) {
        const from = one.steps.findIndex((step) => step === stepOf(one, id))
        expect(one.steps.slice(from).some(({ check }) => check && check.food !== 'rice' && check.food !== 'egg')).toBe(
          true,
        )
      }
      for (const { id } of input.dish.components) expect(stepOf(one, id) ?? stepOf(one, id, 'plate')).toBeDefined()
      return true
    }),
    { numRuns: 12, endOnFailure: true },
  )
})

test('the order of the list changes nothing, and the same input gives the same score', () => {
  fc.assert(
    fc.property(batches, fc.integer(), (input, seed) => {
      const shuffled = [...input.dish.components].sort((a, b) => hash(a.id, seed) - hash(b.id, seed))
      const other = { ...input, dish: { ...input.dish, components: shuffled } }
      expect(sequenceBatch(other)).toEqual(sequenceBatch(input))
    }),
    { numRuns: 5, endOnFailure: true },
  )
})

function hash(text: string, seed: number): number {
  let sum = seed | 0
  for (const letter of text) sum = (Math.imul(sum, 31) + letter.charCodeAt(0)) | 0
  return sum
}
