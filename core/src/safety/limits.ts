/** Rule sets a kitchen can choose. The local code and the local inspector decide: every screen that shows one says so. */
export const RULE_SETS = ['us', 'uk', 'au'] as const
export type RuleSet = (typeof RULE_SETS)[number]

export type CookLimit = { coreC: number; holdS: number; source: string }

/** Foods that must be cooked through or heated through at the station. */
export type CheckedFood = 'poultry' | 'meat' | 'mince' | 'seafood' | 'egg' | 'rice'

/**
 * Core temperature [°C] and time [s] by rule set. From memory of the published texts: check against your own code.
 * Rice served at once may be at any temperature under the US code; the house default keeps 74 °C.
 */
export const COOK_LIMITS: Readonly<Record<RuleSet, Readonly<Record<CheckedFood, CookLimit>>>> = {
  us: {
    poultry: { coreC: 74, holdS: 0, source: 'FDA Food Code 2022 §3-401.11' },
    meat: { coreC: 63, holdS: 15, source: 'FDA Food Code 2022 §3-401.11' },
    mince: { coreC: 68, holdS: 17, source: 'FDA Food Code 2022 §3-401.11' },
    seafood: { coreC: 63, holdS: 15, source: 'FDA Food Code 2022 §3-401.11' },
    egg: { coreC: 63, holdS: 15, source: 'FDA Food Code 2022 §3-401.11' },
    rice: { coreC: 74, holdS: 0, source: 'house default, after FDA Food Code 2022 §3-403.11' },
  },
  uk: {
    poultry: { coreC: 75, holdS: 30, source: 'UK guidance: 70 °C 2 min or equivalent' },
    meat: { coreC: 70, holdS: 120, source: 'UK guidance' },
    mince: { coreC: 70, holdS: 120, source: 'UK guidance' },
    seafood: { coreC: 70, holdS: 120, source: 'UK guidance, or supplier advice' },
    egg: { coreC: 70, holdS: 120, source: 'UK guidance' },
    rice: { coreC: 75, holdS: 0, source: 'UK guidance: reheat once' },
  },
  au: {
    poultry: { coreC: 75, holdS: 0, source: 'Australian usual guidance' },
    meat: { coreC: 63, holdS: 0, source: 'Australian usual guidance' },
    mince: { coreC: 75, holdS: 0, source: 'Australian usual guidance' },
    seafood: { coreC: 63, holdS: 0, source: 'Australian usual guidance' },
    egg: { coreC: 75, holdS: 0, source: 'Australian usual guidance' },
    rice: { coreC: 74, holdS: 0, source: 'house default, above Standard 3.2.2 (60 °C)' },
  },
}
