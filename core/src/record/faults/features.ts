import { runState, type FiredRun } from '../../wok/run'
import type { RunEvent } from '../../wok/runEvent'
import { HEAT_LEVELS, type Action, type Step } from '../../wok/score'

/** What is compared of runs, as far as a run has it: fractions, grams per 100 g of rice, seconds, times the plan. */
export const FEATURES = [
  'riceWater',
  'riceTempC',
  'riceG',
  'sauceG',
  'fatG',
  'seasoningG',
  'riceTimes',
  'sauceTimes',
  'baseTimes',
  'eggTimes',
  'rawTimes',
  'bowlS',
  'flameLevels',
  'waitedS',
  'leftOut',
] as const
export type Feature = (typeof FEATURES)[number]
export type RunFeatures = Readonly<Record<Feature, number | null>>

const STEPS: Readonly<Partial<Record<Feature, readonly Action[]>>> = {
  riceTimes: ['riceIn', 'turnRice', 'leaveCrust'],
  sauceTimes: ['sauceIn'],
  baseTimes: ['baseIn', 'lateIn'],
  eggTimes: ['eggIn', 'eggWell'],
  rawTimes: ['proteinIn', 'checkCore'],
}

/** What a run was like, by arithmetic alone: how wet and cold its rice was, what went in, and how long its parts truly took. */
export function featuresOf(run: FiredRun, events: readonly RunEvent[], nowMs: number): RunFeatures {
  const state = runState(run, events, nowMs)
  const { steps, basis, riceMassG } = run.score
  const tookS = (step: Step): number | null => {
    const times = state.times.find(({ stepId }) => stepId === step.id)
    return times && times.endMs !== null ? (times.endMs - times.startMs) / 1000 : null
  }
  const gramsOf = (role: 'liquidSeasoning' | 'fat' | 'drySeasoning'): number =>
    (100 / riceMassG) *
    steps
      .flatMap(({ entries }) => entries)
      .filter((entry) => entry.role === role && (entry.motion === 'in' || entry.motion === 'plate'))
      .reduce((sum, { massG }) => sum + massG, 0)
  const timesOf = (feature: Feature): number | null => {
    const some = steps.filter(({ action }) => STEPS[feature]?.includes(action))
    const known = some.flatMap((step) => tookS(step) ?? [])
    const plannedS = some.reduce((sum, { durationS }) => sum + durationS, 0)
    return some.length === 0 || known.length < some.length || plannedS === 0
      ? null
      : known.reduce((sum, s) => sum + s, 0) / plannedS
  }
  const lowered = state.flames.map(({ stepId, heat }) => {
    const planned = steps.find(({ id }) => id === stepId)?.heat ?? heat
    return HEAT_LEVELS.indexOf(planned) - HEAT_LEVELS.indexOf(heat)
  })
  return {
    riceWater: basis?.riceWaterFraction ?? null,
    riceTempC: basis?.riceTempC ?? null,
    riceG: riceMassG,
    sauceG: gramsOf('liquidSeasoning'),
    fatG: gramsOf('fat'),
    seasoningG: gramsOf('drySeasoning'),
    riceTimes: timesOf('riceTimes'),
    sauceTimes: timesOf('sauceTimes'),
    baseTimes: timesOf('baseTimes'),
    eggTimes: timesOf('eggTimes'),
    rawTimes: timesOf('rawTimes'),
    bowlS: bowlS(run, state.times),
    flameLevels: Math.max(0, ...lowered),
    waitedS: state.addedS,
    leftOut: state.troubles.filter(({ trouble }) => trouble === 'forgot' || trouble === 'ranOut').length,
  }
}

/** The longest that anything lay in a bowl beside the flame [s]; null where nothing did. */
function bowlS({ score }: FiredRun, times: ReturnType<typeof runState>['times']): number | null {
  const startOf = (stepId: string) => times.find((one) => one.stepId === stepId)?.startMs ?? null
  let longest: number | null = null
  for (const out of score.steps)
    for (const { componentId } of out.entries.filter(({ motion }) => motion === 'out')) {
      const back = score.steps.find(
        (step) =>
          step.startS > out.startS &&
          step.entries.some(
            (one) => one.componentId === componentId && (one.motion === 'back' || one.motion === 'plate'),
          ),
      )
      const from = startOf(out.id)
      const to = back ? startOf(back.id) : null
      if (from !== null && to !== null) longest = Math.max(longest ?? 0, (to - from) / 1000)
    }
  return longest
}
