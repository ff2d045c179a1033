import type { BatchGroup } from '../book/batchComponents'
import type { Component, Dish, EggSchool } from '../book/dish'
import { amountOf, componentMassG, totalMassG } from '../book/scale'
import type { MeasureTools } from '../measure/practical'
import { cookLimit, type CookRules } from '../safety/limits'
import { placeComponents, type PlacedComponent } from './place'
import type { Entry, Score, Step } from './score'
import { baseSteps, riceSteps } from './baseStages'
import { finishSteps, lateSteps } from './endStages'
import { eggSteps, ownSteps, preheat, wipeStep } from './firstStages'
import type { StepDraft, Kitchen } from './stageParts'

/** A dish as a batch: components, rice, measures and rules. */
export type SequenceInput = {
  dish: Pick<Dish, 'portionRiceG' | 'schools' | 'stationKind'>
  /** The dish's components after modifiers and allergies. */
  components: readonly Component[]
  /** Where some portions are finished differently. */
  groups?: readonly BatchGroup[]
  riceMassG: number
  tools: MeasureTools
  rules: CookRules
}

/** The score, or why there is none. */
export type SequenceResult =
  | { kind: 'score'; score: Score }
  | { kind: 'no-rice' }
  | { kind: 'too-much'; riceMassG: number }
  /** A raw egg, and no school that says how it is cooked: it is never left out. */
  | { kind: 'no-egg-school'; names: string[] }

/** The most rice [g] that any station of this trade holds: above it, a slipped digit is likelier than an order. */
const MAX_RICE_G = 20_000

/**
 * The order, heat and seconds in which a batch is cooked, by rule: heat · egg out · raw proteins, each alone and out ·
 * aromatics and vegetables, slow ones first · rice · dry seasoning · egg in a well · sauce on the metal · leaves · what
 * was set aside comes back · hot-through check · flame off and finish · pick-up.
 * Durations are house figures (`houseFigures.ts`); error: as large as one kitchen's flame differs from another's.
 */
export function sequence(input: SequenceInput): SequenceResult {
  const { components, dish, groups = [], riceMassG, tools, rules } = input
  if (!components.some((one) => one.role === 'rice') || !(riceMassG > 0)) return { kind: 'no-rice' }
  if (riceMassG > MAX_RICE_G) return { kind: 'too-much', riceMassG }
  const kitchen: Kitchen = {
    massG: (component) => componentMassG(component, riceMassG, dish.portionRiceG),
    amount: (component, share, motion) => ({
      ...amountOf(component, componentMassG(component, riceMassG, dish.portionRiceG) * share, tools),
      motion,
    }),
    apart: (component, massG, motion) => ({ ...amountOf(component, massG, tools), motion }),
    limit: (food) => ({ food, limit: cookLimit(rules, food) }),
    schools: dish.schools,
    stationKind: dish.stationKind,
    riceMassG,
  }
  const placed = placeComponents(components, dish.schools.garlic)
  const { egg } = dish.schools
  if (placed.egg.length > 0 && egg === 'none')
    return { kind: 'no-egg-school', names: placed.egg.map((component) => component.name) }
  const school: EggSchool = placed.egg.length > 0 ? egg : 'none'
  return { kind: 'score', score: scoreOf(draftSteps(placed, school, groups, kitchen), riceMassG) }
}

function draftSteps(
  placed: PlacedComponent,
  egg: EggSchool,
  groups: readonly BatchGroup[],
  kitchen: Kitchen,
): StepDraft[] {
  return [
    preheat(kitchen),
    ...eggSteps(placed, egg, kitchen),
    ...ownSteps(placed, egg, kitchen),
    ...wipeStep(placed, egg, kitchen),
    ...baseSteps(placed, egg, kitchen),
    ...riceSteps(placed, egg, kitchen),
    ...lateSteps(placed, egg, kitchen),
    ...finishSteps(placed, groups, kitchen),
  ]
}

function scoreOf(drafts: readonly StepDraft[], riceMassG: number): Score {
  const seen = new Map<string, number>()
  let startS = 0
  const steps = drafts.map((draft): Step => {
    const nth = (seen.get(draft.action) ?? 0) + 1
    seen.set(draft.action, nth)
    const durationS = Math.round(draft.durationS)
    const step: Step = {
      ...draft,
      id: nth === 1 ? draft.action : `${draft.action}-${nth}`,
      startS,
      durationS,
      check: draft.check ?? null,
      figure: 'house',
    }
    startS += durationS
    return step
  })
  const added: Entry[] = steps.flatMap((step) =>
    step.entries.filter((one) => one.motion === 'in' || one.motion === 'plate'),
  )
  return { engine: 'rules-2', steps, totalS: startS, riceMassG, batchMassG: totalMassG(added) }
}
