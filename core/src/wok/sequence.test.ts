import fc from 'fast-check'
import { component, DISH, EVERYTHING, TOOLS, US } from '../test/kitchen'
import { cookLimit } from '../safety/limits'
import type { Component, EggSchool } from '../book/dish'
import { isRawEgg, isRawProtein } from './place'
import type { Score } from './score'
import { sequence } from './sequence'

function scoreOf(components: readonly Component[], egg: EggSchool = 'firstOut', riceMassG = 660): Score {
  const dish = { ...DISH, schools: { ...DISH.schools, egg } }
  const result = sequence({ dish, components, riceMassG, tools: TOOLS, rules: US })
  if (result.kind !== 'score') throw new Error(result.kind)
  return result.score
}
const startOf = (score: Score, id: string, motion = 'in') =>
  score.steps.find((step) => step.entries.some((one) => one.componentId === id && one.motion === motion))?.startS ??
  Number.NaN

describe('the order of a run', () => {
  const score = scoreOf(EVERYTHING)
  const before = (a: string, b: string) => expect(startOf(score, a)).toBeLessThan(startOf(score, b))

  test('egg first and out, raw proteins alone, slow before quick, rice, dry before wet, leaves late, finish off the flame', () => {
    before('egg', 'chicken')
    before('chicken', 'carrot')
    before('carrot', 'garlic')
    before('garlic', 'rice')
    before('bean-paste', 'rice')
    before('ham', 'rice')
    before('rice', 'salt')
    before('salt', 'soy')
    before('soy', 'lettuce')
    before('lettuce', 'scallion')
    expect(startOf(score, 'egg', 'out')).toBeLessThan(startOf(score, 'garlic'))
    expect(startOf(score, 'egg', 'back')).toBeGreaterThan(startOf(score, 'lettuce'))
  })

  test('sesame oil and scallion only with the flame off; everything else on it', () => {
    const heatAt = (id: string) => score.steps.find((step) => step.entries.some((one) => one.componentId === id))?.heat
    expect([heatAt('sesame-oil'), heatAt('scallion')]).toEqual(['off', 'off'])
    expect(heatAt('rice')).toBe('full')
  })

  test('an egg in the well goes in after the dry seasoning and does not leave', () => {
    const well = scoreOf(EVERYTHING, 'well')
    expect(startOf(well, 'egg')).toBeGreaterThan(startOf(well, 'salt'))
    expect(startOf(well, 'egg', 'out')).toBeNaN()
  })

  test('a mince of a 13 mm shrimp takes 1 to 3 minutes alone (common practice: 2 to 3 at a home flame)', () => {
    const step = score.steps.find((one) => one.entries.some((entry) => entry.componentId === 'shrimp'))
    expect(step?.durationS).toBeGreaterThanOrEqual(60)
    expect(step?.durationS).toBeLessThanOrEqual(180)
  })

  test('garlic gets 20 to 30 s, leaves about 30 s, rice 1 to 4 min (common practice)', () => {
    const lasts = (id: string) =>
      score.steps.find((step) => step.entries.some((one) => one.componentId === id))?.durationS ?? 0
    expect([lasts('garlic') >= 20, lasts('garlic') <= 30]).toEqual([true, true])
    expect(lasts('lettuce')).toBe(30)
    expect([lasts('rice') >= 60, lasts('rice') <= 240]).toEqual([true, true])
  })
})

describe('laws of any dish', () => {
  const roles = [
    'egg',
    'aromatic',
    'paste',
    'protein',
    'vegetable',
    'drySeasoning',
    'liquidSeasoning',
    'fat',
    'finish',
    'garnish',
  ] as const
  const foods = [
    'garlic',
    'allium',
    'hardVeg',
    'leafy',
    'readyVeg',
    'seafood',
    'poultry',
    'meat',
    'oil',
    'sesameOil',
    'nut',
  ] as const
  const states = ['raw', 'marinated', 'cooked', 'cured', 'fresh', 'frozen', 'thawed', 'blanched'] as const
  const anyDish = fc
    .array(
      fc.record({
        role: fc.constantFrom(...roles),
        food: fc.constantFrom(...foods),
        state: fc.constantFrom(...states),
        ratioG: fc.double({ min: 0.1, max: 40, noNaN: true }),
      }),
      { maxLength: 14 },
    )
    .map((parts) => [EVERYTHING[0]!, ...parts.map((part, n) => component({ ...part, id: `c-${n}` }))])
  const school = fc.constantFrom<EggSchool[]>('firstOut', 'well', 'onTop')

  test('nothing is forgotten, doubled or lost: what goes in is the ratio, what leaves comes back', () => {
    fc.assert(
      fc.property(anyDish, school, (components, egg) => {
        const entries = scoreOf(components, egg).steps.flatMap((step) => step.entries)
        for (const one of components) {
          const added = entries.filter(
            (entry) => entry.componentId === one.id && (entry.motion === 'in' || entry.motion === 'plate'),
          )
          expect(added.reduce((sum, entry) => sum + entry.massG, 0)).toBeCloseTo(one.ratioG * 6.6, 6)
          const out = entries.filter((entry) => entry.componentId === one.id && entry.motion === 'out').length
          expect(entries.filter((entry) => entry.componentId === one.id && entry.motion === 'back')).toHaveLength(out)
        }
      }),
    )
  })

  test('steps follow one another without a gap, ids differ, and the rice is always checked', () => {
    fc.assert(
      fc.property(anyDish, school, (components, egg) => {
        const { steps, totalS } = scoreOf(components, egg)
        let at = 0
        for (const step of steps) {
          expect(step.startS).toBe(at)
          at += step.durationS
        }
        expect(totalS).toBe(at)
        expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length)
        expect(steps.filter((step) => step.check?.food === 'rice')).toHaveLength(1)
      }),
    )
  })

  test('every raw protein is checked at its own limit after it went in and before the rice; every raw egg too', () => {
    fc.assert(
      fc.property(anyDish, school, (components, egg) => {
        const { steps } = scoreOf(components, egg)
        const indexOf = (id: string, motion: string) =>
          steps.findIndex((step) => step.entries.some((one) => one.componentId === id && one.motion === motion))
        for (const one of components.filter(isRawProtein)) {
          const check = steps[indexOf(one.id, 'out')]?.check
          expect(check?.limit).toEqual(cookLimit(US, check!.food))
          expect(check!.limit.coreC).toBeGreaterThanOrEqual(one.food === 'poultry' ? 74 : 63)
          expect(indexOf(one.id, 'out')).toBeGreaterThan(indexOf(one.id, 'in'))
          expect(indexOf(one.id, 'out')).toBeLessThan(steps.findIndex((step) => step.action === 'riceIn'))
        }
        const rawEgg = components.filter((one) => isRawEgg(one) && !isRawProtein(one))
        if (rawEgg.length > 0) expect(steps.filter((step) => step.check?.food === 'egg')).toHaveLength(1)
      }),
    )
  })

  test('the order in which components are listed changes nothing', () => {
    fc.assert(
      fc.property(
        anyDish.chain((list) => fc.tuple(fc.constant(list), fc.shuffledSubarray(list, { minLength: list.length }))),
        school,
        ([list, shuffled], egg) => {
          const order = (components: Component[]) =>
            scoreOf(components, egg).steps.map((step) => [step.id, step.durationS])
          expect(order(shuffled)).toEqual(order(list))
        },
      ),
    )
  })
})

test('every duration is marked as a house figure, every step says why', () => {
  for (const step of scoreOf(EVERYTHING).steps)
    expect(step).toMatchObject({ figure: 'house', reason: expect.any(String) })
})

test('no rice, no run; a slipped digit is answered', () => {
  const input = { dish: DISH, components: EVERYTHING, riceMassG: 660, tools: TOOLS, rules: US }
  expect(sequence({ ...input, components: EVERYTHING.slice(1) }).kind).toBe('no-rice')
  expect(sequence({ ...input, riceMassG: 0 }).kind).toBe('no-rice')
  expect(sequence({ ...input, riceMassG: 660_000 }).kind).toBe('too-much')
})

test('the UK rule set asks for what a wok can hold, with the pairs it takes as the same: 70 °C over 2 min among them', () => {
  const result = sequence({
    dish: DISH,
    components: EVERYTHING,
    riceMassG: 660,
    tools: TOOLS,
    rules: { ruleSet: 'uk' },
  })
  const checks = result.kind === 'score' ? result.score.steps.flatMap((step) => step.check ?? []) : []
  expect(checks.find((check) => check.food === 'seafood')?.limit).toMatchObject({
    coreC: 75,
    holdS: 30,
    equals: expect.arrayContaining([{ coreC: 70, holdS: 120 }]),
  })
})

describe('schools of a house', () => {
  const of = (schools: Partial<typeof DISH.schools>) => {
    const dish = { ...DISH, schools: { ...DISH.schools, ...schools } }
    const result = sequence({ dish, components: EVERYTHING, riceMassG: 660, tools: TOOLS, rules: US })
    if (result.kind !== 'score') throw new Error(result.kind)
    return result.score
  }
  const usual = of({})

  test('sauce off the heat goes in after the hot-through check, with the flame off', () => {
    const score = of({ sauce: 'offHeat' })
    const step = score.steps.find((one) => one.action === 'sauceIn')
    expect(step?.heat).toBe('off')
    expect(step!.startS).toBeGreaterThan(score.steps.find((one) => one.action === 'hotCheck')!.startS)
  })

  test('garlic at the end is not fried at all', () => {
    expect(startOf(of({ garlic: 'atEnd' }), 'garlic')).toBe(
      startOf(usual, 'scallion') - (usual.totalS - of({ garlic: 'atEnd' }).totalS),
    )
  })

  test('a crust takes its time and has its own sign; wiping comes once, after what was taken out', () => {
    const crust = of({ rice: 'crust' })
    expect(crust.steps.find((one) => one.action === 'riceIn')?.cue).toBe('crustForms')
    expect(crust.totalS - usual.totalS).toBe(45)
    const wiped = of({ wipe: 'afterOut' }).steps
    const at = wiped.findIndex((one) => one.action === 'wipe')
    expect(wiped.filter((one) => one.action === 'wipe')).toHaveLength(1)
    expect(wiped.slice(0, at).some((one) => one.action === 'proteinOut')).toBe(true)
    expect(wiped[at]?.cautions).toContain('steamWhenWiped')
  })
})

describe('raw is what its row does not call cooked or ready to eat', () => {
  const rice = EVERYTHING[0]!
  const stepsWith = (part: Component) => scoreOf([rice, part]).steps

  test.each([
    ['fresh', 'protein'],
    ['soaked', 'protein'],
    ['blanched', 'protein'],
    ['cured', 'protein'],
    ['fresh', 'finish'],
    ['fresh', 'garnish'],
    ['fresh', 'vegetable'],
  ] as const)('%s chicken as %s: in alone before the rice, long enough, with its check', (state, role) => {
    const chicken = component({ id: 'chicken', role, food: 'poultry', state, ratioG: 20, isRaw: true })
    const steps = stepsWith(chicken)
    const alone = steps.find((step) => step.entries.some((one) => one.componentId === 'chicken'))!
    expect(alone.entries).toHaveLength(1)
    expect(alone.durationS).toBeGreaterThanOrEqual(60)
    const check = steps.findIndex((step) => step.check?.food === 'poultry')
    expect(check).toBeGreaterThanOrEqual(0)
    expect(check).toBeLessThan(steps.findIndex((step) => step.action === 'riceIn'))
  })

  test('a protein of which nobody knows what it is, is raw; what its row calls ready is not checked', () => {
    const { isRaw: _known, ...unknown } = component({
      id: 'x',
      role: 'protein',
      food: 'meat',
      state: 'cured',
      ratioG: 9,
    })
    expect(stepsWith(unknown).some((step) => step.check?.food === 'meat')).toBe(true)
    expect(stepsWith({ ...unknown, isRaw: false }).some((step) => step.check?.food === 'meat')).toBe(false)
  })

  test('a raw egg that is written as something on top is cooked all the same', () => {
    const egg = component({ id: 'yolk', role: 'garnish', food: 'egg', state: 'raw', ratioG: 8, isRaw: true })
    expect(stepsWith(egg).some((step) => step.check?.food === 'egg')).toBe(true)
  })

  test('a raw egg without a school is no score: it names the egg', () => {
    const dish = { ...DISH, schools: { ...DISH.schools, egg: 'none' as const } }
    const result = sequence({ dish, components: EVERYTHING, riceMassG: 660, tools: TOOLS, rules: US })
    expect(result).toEqual({ kind: 'no-egg-school', names: ['egg'] })
  })
})
