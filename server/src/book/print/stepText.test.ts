import { cookLimit, type CheckedFood, type CookRules } from 'core/safety/limits'
import type { Step } from 'core/wok/score'
import { stepText } from './stepText'
import { writeClock } from './writeClock'

const step = (part: Partial<Step>): Step =>
  ({
    id: 'egg',
    action: 'eggOut',
    startS: 52,
    durationS: 6,
    heat: 'high',
    entries: [],
    cue: 'eggSet',
    reason: 'eggSoft',
    cautions: [],
    check: null,
    ...part,
  }) as Step
const entry = (name: string, massG: number, motion = 'in') =>
  ({ componentId: name, name, role: 'egg', massG, motion, measure: null }) as unknown as Step['entries'][number]

test('a step stands in a line: when, what, how much, at which heat', () => {
  const entries = [entry('egg', 105.25), entry('scallion', 8)]
  expect(stepText(step({ action: 'eggIn', entries }), 'wok', 'g')).toBe('0:52 In: 105 g egg, 8 g scallion (high heat).')
})

test('what is taken out is named and not weighed, as if it went in', () => {
  const entries = [entry('egg', 105, 'out')]
  expect(stepText(step({ entries }), 'wok', 'g')).toBe('0:52 Out: egg (high heat).')
})

test('what is fried beside does not stand at the heat of the rice', () => {
  expect(stepText(step({ action: 'eggOnTop', surface: 'beside' }), 'griddle', 'g')).toContain(
    'another surface, gentle heat',
  )
})

test.each<[CookRules, CheckedFood, string]>([
  [{ ruleSet: 'us' }, 'egg', '63 °C (145 °F) in the core, held 15 s'],
  [{ ruleSet: 'us' }, 'poultry', '74 °C (165 °F) in the core'],
  [{ ruleSet: 'uk' }, 'mince', '75 °C in the core, held 30 s'],
  [{ ruleSet: 'uk', isScottish: true }, 'rice', '82 °C in the core'],
])('paper under %j says of %s: %s, and defers to the local code', (rules, food, words) => {
  const check = { food, limit: cookLimit(rules, food) }
  expect(stepText(step({ check }), 'wok', 'g')).toContain(` Check: ${words}; the local code decides.`)
})

test('a griddle is let come up to heat, a wok is heated dry; sauce off the flame says so', () => {
  expect(stepText(step({ action: 'heatVessel' }), 'griddle', 'g')).toContain('plate come up to heat')
  expect(stepText(step({ action: 'heatVessel' }), 'wok', 'g')).toContain('wok dry')
  expect(stepText(step({ action: 'sauceIn', heat: 'off' }), 'wok', 'g')).toContain('Flame off, sauce in, toss')
})

test('portions that differ are named with what they decline', () => {
  const apart = { portions: 1, without: ['peanut', 'scallion'] }
  expect(stepText(step({ action: 'takeOut', apart }), 'wok', 'g')).toContain('Take 1 out: no peanut, no scallion')
  expect(stepText(step({ action: 'finishOn', onPortions: 2 }), 'wok', 'g')).toContain('Only on the 2 that want it')
})

test.each([
  [0, '0:00'],
  [48, '0:48'],
  [59.6, '1:00'],
  [725, '12:05'],
])('%d s is written %s', (seconds, words) => expect(writeClock(seconds)).toBe(words))
