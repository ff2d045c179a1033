import type { Temperature } from '../measure/temperature'

/** Rule sets a kitchen can choose. The local code and the local inspector decide: every screen that shows one says so. */
export const RULE_SETS = ['us', 'uk', 'au'] as const
export type RuleSet = (typeof RULE_SETS)[number]

/** What a kitchen cooks by: its rule set, and whether rice is reheated as Scotland asks. */
export type CookRules = { ruleSet: RuleSet; isScottish?: boolean | undefined }

/**
 * A core temperature [°C] and how long it is held [s]; where the rule set is published in °F, that figure too: 165 °F is the
 * limit of a thermometer that reads °F, not 74 °C in other figures.
 */
export type HoldPair = { coreC: number; coreF?: number | undefined; holdS: number }
/**
 * What a check asks: a pair that frying can give. `equals` are the pairs that the rule set takes as the same, coolest first,
 * absent on scores from before they were kept.
 */
export type CookLimit = HoldPair & { source: string; equals?: readonly HoldPair[] | undefined }

/** Foods that must be cooked through or heated through at the station. */
export const CHECKED_FOODS = ['poultry', 'meat', 'mince', 'seafood', 'egg', 'rice'] as const
export type CheckedFood = (typeof CHECKED_FOODS)[number]

/** Longer than this nobody holds food at a temperature in a wok [s]: the equivalent pair above is asked for. */
const MAX_HELD_S = 30

/** UK guidance, from memory of the Food Standards Agency: the same kill at each pair. */
const UK_PAIRS: readonly HoldPair[] = [
  { coreC: 60, holdS: 2700 },
  { coreC: 65, holdS: 600 },
  { coreC: 70, holdS: 120 },
  { coreC: 75, holdS: 30 },
  { coreC: 80, holdS: 6 },
]
/** Comminuted meat, FDA Food Code 2022 §3-401.11(A)(2), from memory. */
const US_MINCE_PAIRS: readonly HoldPair[] = [
  { coreC: 63, coreF: 145, holdS: 180 },
  { coreC: 66, coreF: 150, holdS: 60 },
  { coreC: 68, coreF: 155, holdS: 17 },
  { coreC: 70, coreF: 158, holdS: 0 },
]
const once = (coreC: number, holdS: number, coreF?: number): readonly HoldPair[] => [
  { coreC, ...(coreF !== undefined && { coreF }), holdS },
]

type Rule = { pairs: readonly HoldPair[]; source: string }
/**
 * Core temperatures by rule set. From memory of the published texts: check against your own code. Rice served at once may
 * be at any temperature under the US code; the house default keeps 74 °C.
 */
const RULES: Readonly<Record<RuleSet, Readonly<Record<CheckedFood, Rule>>>> = {
  us: {
    poultry: { pairs: once(74, 0, 165), source: 'FDA Food Code 2022 §3-401.11' },
    meat: { pairs: once(63, 15, 145), source: 'FDA Food Code 2022 §3-401.11' },
    mince: { pairs: US_MINCE_PAIRS, source: 'FDA Food Code 2022 §3-401.11' },
    seafood: { pairs: once(63, 15, 145), source: 'FDA Food Code 2022 §3-401.11' },
    egg: { pairs: once(63, 15, 145), source: 'FDA Food Code 2022 §3-401.11' },
    rice: { pairs: once(74, 0, 165), source: 'house default, after FDA Food Code 2022 §3-403.11' },
  },
  uk: {
    poultry: { pairs: UK_PAIRS, source: 'UK guidance: 70 °C 2 min or equivalent' },
    meat: { pairs: UK_PAIRS, source: 'UK guidance: 70 °C 2 min or equivalent' },
    mince: { pairs: UK_PAIRS, source: 'UK guidance: 70 °C 2 min or equivalent' },
    seafood: { pairs: UK_PAIRS, source: 'UK guidance: 70 °C 2 min or equivalent, or supplier advice' },
    egg: { pairs: UK_PAIRS, source: 'UK guidance: 70 °C 2 min or equivalent' },
    rice: { pairs: once(75, 0), source: 'UK guidance: reheat once' },
  },
  au: {
    poultry: { pairs: once(75, 0), source: 'Australian usual guidance' },
    meat: { pairs: once(63, 0), source: 'Australian usual guidance' },
    mince: { pairs: once(75, 0), source: 'Australian usual guidance' },
    seafood: { pairs: once(63, 0), source: 'Australian usual guidance' },
    egg: { pairs: once(75, 0), source: 'Australian usual guidance' },
    rice: { pairs: once(74, 0), source: 'house default, above Standard 3.2.2 (60 °C)' },
  },
}
const SCOTTISH_RICE: Rule = { pairs: once(82, 0), source: 'Scotland: reheat to 82 °C, once' }

/** What a check asks of a food under a kitchen's rules: the coolest pair that a wok can hold. */
export function cookLimit({ ruleSet, isScottish }: CookRules, food: CheckedFood): CookLimit {
  const { pairs, source } = food === 'rice' && ruleSet === 'uk' && isScottish ? SCOTTISH_RICE : RULES[ruleSet][food]
  const input = pairs.find((pair) => pair.holdS <= MAX_HELD_S) ?? pairs[pairs.length - 1]
  if (!input) throw new RangeError(`no limit for ${food} under ${ruleSet}`)
  return { ...input, source, ...(pairs.length > 1 && { equals: pairs }) }
}

/** The temperature of a pair, in both units where the rule set has both. */
export const coreOf = ({ coreC, coreF = null }: { coreC: number; coreF?: number | null | undefined }): Temperature => ({
  tempC: coreC,
  tempF: coreF,
})

const isReached = (pair: HoldPair, read: Temperature) =>
  read.tempF !== null && pair.coreF !== undefined ? read.tempF >= pair.coreF : read.tempC >= pair.coreC

/** How long a core must be held at a temperature read in it [s]; null where no pair of the limit is that cool. */
export function holdAtS(limit: CookLimit, read: Temperature): number | null {
  const pairs = [...(limit.equals ?? [limit])].sort((a, b) => b.coreC - a.coreC)
  return pairs.find((pair) => isReached(pair, read))?.holdS ?? null
}
