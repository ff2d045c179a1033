import fc from 'fast-check'
import { celsiusOf, fahrenheitOf } from '../measure/temperature'
import { CHECKED_FOODS, cookLimit, holdAtS, RULE_SETS } from './limits'

test('every rule set answers for every food, says where from, and asks for nothing that frying cannot give', () => {
  for (const ruleSet of RULE_SETS) {
    for (const food of CHECKED_FOODS) {
      const limit = cookLimit({ ruleSet }, food)
      expect(limit.source).not.toBe('')
      expect(limit.holdS).toBeLessThanOrEqual(30)
    }
  }
})

test('US model code, FDA Food Code 2022 §3-401.11 (from memory): poultry 74 °C at once, mince 68 °C 17 s, the rest 63 °C 15 s', () => {
  const us = (food: (typeof CHECKED_FOODS)[number]) => cookLimit({ ruleSet: 'us' }, food)
  expect(us('poultry')).toMatchObject({ coreC: 74, holdS: 0 })
  expect(us('mince')).toMatchObject({ coreC: 68, holdS: 17 })
  for (const food of ['meat', 'seafood', 'egg'] as const) expect(us(food)).toMatchObject({ coreC: 63, holdS: 15 })
})

test.each([
  [59, null],
  [60, 2700],
  [65, 600],
  [70, 120],
  [74.9, 120],
  [75, 30],
  [80, 6],
  [96, 6],
])('UK guidance (from memory): %d °C in the core asks for %s s', (coreC, holdS) => {
  for (const food of ['poultry', 'meat', 'mince', 'seafood', 'egg'] as const)
    expect(holdAtS(cookLimit({ ruleSet: 'uk' }, food), { tempC: coreC, tempF: null })).toBe(holdS)
})

test.each([
  ['egg', 145, 15],
  ['egg', 144.9, null],
  ['poultry', 165, 0],
  ['poultry', 164, null],
  ['mince', 155, 17],
  ['mince', 154.9, 60],
  ['mince', 158, 0],
] as const)(
  'FDA Food Code 2022 §3-401.11 in its own °F (from memory): %s at %d °F is held %s s',
  (food, tempF, holdS) => {
    expect(holdAtS(cookLimit({ ruleSet: 'us' }, food), { tempC: celsiusOf(tempF), tempF })).toBe(holdS)
  },
)

test('Scotland asks for 82 °C in reheated rice (from memory), and only there', () => {
  expect(cookLimit({ ruleSet: 'uk', isScottish: true }, 'rice').coreC).toBe(82)
  expect(cookLimit({ ruleSet: 'uk' }, 'rice').coreC).toBe(75)
  expect(cookLimit({ ruleSet: 'us', isScottish: true }, 'rice').coreC).toBe(74)
})

test('the house never goes below 74 °C in rice, whatever the rule set allows', () => {
  for (const ruleSet of RULE_SETS) expect(cookLimit({ ruleSet }, 'rice').coreC).toBeGreaterThanOrEqual(74)
})

test('poultry is never asked for less than other meat', () => {
  for (const ruleSet of RULE_SETS)
    expect(cookLimit({ ruleSet }, 'poultry').coreC).toBeGreaterThanOrEqual(cookLimit({ ruleSet }, 'meat').coreC)
})

test('law: hotter never has to be held longer, and what is too cool for every pair is never enough', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...RULE_SETS),
      fc.constantFrom(...CHECKED_FOODS),
      fc.double({ min: 20, max: 100, noNaN: true }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      fc.boolean(),
      (ruleSet, food, tempC, hotter, isInF) => {
        const limit = cookLimit({ ruleSet }, food)
        const heldS = (coreC: number) =>
          holdAtS(limit, { tempC: coreC, tempF: isInF ? fahrenheitOf(coreC) : null }) ?? Infinity
        expect(heldS(tempC + hotter)).toBeLessThanOrEqual(heldS(tempC))
        const coolestC = Math.min(...(limit.equals ?? [limit]).map(({ coreC }) => coreC))
        if (tempC < coolestC - 0.6) expect(heldS(tempC)).toBe(Infinity)
        expect(heldS(limit.coreC + 0.6)).toBeLessThanOrEqual(limit.holdS)
      },
    ),
    { numRuns: 400, endOnFailure: true },
  )
})

test('what a check asks for is one of the pairs, and the coolest that a wok can hold', () => {
  for (const ruleSet of RULE_SETS)
    for (const food of CHECKED_FOODS) {
      const limit = cookLimit({ ruleSet }, food)
      const cooler = (limit.equals ?? []).filter(({ coreC }) => coreC < limit.coreC)
      for (const { holdS } of cooler) expect(holdS).toBeGreaterThan(30)
      expect(holdAtS(limit, { tempC: limit.coreC, tempF: null })).toBe(limit.holdS)
    }
})
