import fc from 'fast-check'
import { anyComponents } from '../../test/anyDish'
import { cookLimit, RULE_SETS, type CookRules } from '../../safety/limits'
import { componentOf, portionFor, READY_C, type WokComponent } from './component'
import type { ComponentInput } from './vocabulary'

const US: CookRules = { ruleSet: 'us' }
type Given = Partial<ComponentInput> & Pick<ComponentInput, 'role'>
const of = (input: Given, rules: CookRules = US, riceG = 300): WokComponent =>
  componentOf({ id: 'it', ratioG: 20, ...input }, riceG, 5, rules)

/** What is asked of each, by the US rule set; common practice for what each place means. */
test.each<[string, Given, WokComponent['place'], WokComponent['checked']]>([
  ['protein of which nobody says what it is', { role: 'protein' }, 'raw', 'poultry'],
  ['raw beef', { role: 'protein', food: 'meat' }, 'raw', 'meat'],
  ['beef that is ground', { role: 'protein', food: 'meat', tags: ['mince'] }, 'raw', 'mince'],
  ['chicken that is ground', { role: 'protein', food: 'poultry', tags: ['mince'] }, 'raw', 'mince'],
  ['raw bacon', { role: 'protein', food: 'cured' }, 'raw', 'meat'],
  ['cured ham that its row calls ready', { role: 'protein', food: 'cured', readyToEat: true }, 'ready', null],
  ['frozen shrimp', { role: 'protein', food: 'seafood', state: 'frozen' }, 'raw', 'seafood'],
  ['cooked duck', { role: 'protein', food: 'poultry', state: 'cooked' }, 'ready', null],
  [
    'duck that is called cooked and must be cooked',
    { role: 'protein', food: 'poultry', state: 'cooked', mustCook: true },
    'raw',
    'poultry',
  ],
  ['tofu', { role: 'protein', food: 'tofu' }, 'ready', null],
  ['minced pork that stands among the aromatics', { role: 'aromatic', food: 'mince' }, 'raw', 'mince'],
  ['dried shrimp as a seasoning', { role: 'drySeasoning', food: 'seafood', readyToEat: true }, 'dry', null],
  ['raw egg', { role: 'egg' }, 'egg', 'egg'],
  ['egg among the vegetables', { role: 'vegetable', food: 'egg' }, 'raw', 'egg'],
  ['boiled egg', { role: 'egg', state: 'cooked' }, 'ready', null],
  ['rice', { role: 'rice' }, 'rice', 'rice'],
  ['paste', { role: 'paste' }, 'paste', null],
  ['a soft herb', { role: 'vegetable', food: 'herb', tags: ['tender'] }, 'finish', null],
])('%s', (_, input, place, checked) => expect(of(input)).toMatchObject({ place, checked }))

test('what is cooked through reaches the core of its rule set; what is only heated, the 74 °C of the house', () => {
  for (const ruleSet of RULE_SETS) {
    const rules = { ruleSet }
    expect(of({ role: 'protein', food: 'seafood' }, rules).coreC).toBe(cookLimit(rules, 'seafood').coreC)
    expect(of({ role: 'protein' }, rules).coreC).toBe(cookLimit(rules, 'poultry').coreC)
    expect(of({ role: 'rice' }, rules).coreC).toBe(cookLimit(rules, 'rice').coreC)
    expect(of({ role: 'protein', state: 'cooked' }, rules).coreC).toBe(READY_C.checked)
  }
  expect(of({ role: 'rice' }, { ruleSet: 'uk', isScottish: true }).coreC).toBe(82)
})

test('law: whatever it is, raw food has a core, a kill and a name for its check, and nothing else has a raw one', () => {
  fc.assert(
    fc.property(anyComponents, fc.constantFrom(...RULE_SETS), (components, ruleSet) => {
      for (const input of components) {
        const one = of(input, { ruleSet })
        if (one.place === 'raw') {
          const limit = cookLimit({ ruleSet }, one.checked!)
          expect(one.coreC).toBe(limit.coreC)
          expect(one.logKill).toBeGreaterThanOrEqual(4)
        } else expect([one.place, one.checked]).toContainEqual(['rice', 'egg'].includes(one.place) ? one.place : null)
        expect(one.massG).toBeCloseTo((input.ratioG * 300) / 100, 9)
        expect(portionFor(one)).toBe(portionFor(one))
      }
    }),
    { endOnFailure: true },
  )
})

test('law: that something must be cooked never asks for less, that it is ready never for more', () => {
  const asked = ({ coreC, logKill }: WokComponent) => [coreC ?? 0, logKill ?? 0] as const
  fc.assert(
    fc.property(anyComponents, fc.constantFrom(...RULE_SETS), (components, ruleSet) => {
      for (const input of components.filter(({ role }) => role !== 'rice')) {
        const { readyToEat: _, ...unsaid } = input
        const [plain, must, ready] = [{}, { mustCook: true }, { readyToEat: true }].map((more) =>
          of({ ...unsaid, ...more }, { ruleSet }),
        )
        const isRaw = ({ place }: WokComponent) => place === 'raw' || place === 'egg'
        if (isRaw(plain!)) expect(isRaw(must!)).toBe(true)
        if (isRaw(ready!)) expect(isRaw(plain!)).toBe(true)
        if (isRaw(plain!)) expect(asked(must!)).toEqual(asked(plain!))
      }
    }),
    { endOnFailure: true },
  )
})

test('what comes from the fridge, the freezer or the rail is as cold as that, unless somebody measured it', () => {
  expect(of({ role: 'protein', food: 'meat' }).tempC).toBe(4)
  expect(of({ role: 'vegetable', food: 'peas', state: 'frozen' })).toMatchObject({ tempC: -18, isFrozen: true })
  expect(of({ role: 'liquidSeasoning' }).tempC).toBe(20)
  expect(of({ role: 'rice' }).tempC).toBe(5)
  expect(of({ role: 'vegetable', food: 'peas', tempC: -10 })).toMatchObject({ tempC: -10, isFrozen: true })
  expect(of({ role: 'protein', food: 'meat', tempC: 12 }).tempC).toBe(12)
})

test('only fat meat gives fat, and no more than most of what it has', () => {
  const rendersG = (food: ComponentInput['food'], fatFraction?: number) =>
    of({ role: 'protein', food, ...(fatFraction !== undefined && { fatFraction }) }).rendersG
  expect(rendersG('meat', 0.3)).toBeCloseTo(0.6 * 0.3 * 60, 9)
  expect(rendersG('meat', 0.05)).toBe(0)
  expect(rendersG('tofu', 0.3)).toBe(0)
  expect(rendersG('meat', 0.8)).toBeLessThan(0.8 * 60)
})
