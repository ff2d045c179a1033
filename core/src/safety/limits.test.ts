import { COOK_LIMITS, RULE_SETS, type CheckedFood } from './limits'

const FOODS: CheckedFood[] = ['poultry', 'meat', 'mince', 'seafood', 'egg', 'rice']

test('every rule set answers for every food, and says where from', () => {
  for (const ruleSet of RULE_SETS) {
    for (const food of FOODS) expect(COOK_LIMITS[ruleSet][food].source).not.toBe('')
  }
})

test('US model code, FDA Food Code 2022 §3-401.11 (from memory): poultry 74 °C at once, mince 68 °C 17 s, the rest 63 °C 15 s', () => {
  const { poultry, mince, meat, seafood, egg } = COOK_LIMITS.us
  expect([poultry.coreC, poultry.holdS]).toEqual([74, 0])
  expect([mince.coreC, mince.holdS]).toEqual([68, 17])
  for (const limit of [meat, seafood, egg]) expect([limit.coreC, limit.holdS]).toEqual([63, 15])
})

test('UK guidance (from memory): 70 °C for 2 min or the equivalent', () => {
  for (const food of ['meat', 'mince', 'seafood', 'egg'] as const) {
    expect([COOK_LIMITS.uk[food].coreC, COOK_LIMITS.uk[food].holdS]).toEqual([70, 120])
  }
  expect(COOK_LIMITS.uk.poultry).toMatchObject({ coreC: 75, holdS: 30 })
})

test('the house never goes below 74 °C in rice, whatever the rule set allows', () => {
  for (const ruleSet of RULE_SETS) expect(COOK_LIMITS[ruleSet].rice.coreC).toBeGreaterThanOrEqual(74)
})

test('poultry is never asked for less than other meat', () => {
  for (const ruleSet of RULE_SETS) {
    expect(COOK_LIMITS[ruleSet].poultry.coreC).toBeGreaterThanOrEqual(COOK_LIMITS[ruleSet].meat.coreC)
  }
})
