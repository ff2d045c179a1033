import type { RetimeWhy } from '../runEvent'
import type { HeatLevel, Score, Step } from '../score'
import { READY_C } from '../sequence/component'
import { RICE } from '../sequence/run'
import { startMetalC } from '../warmMetal'
import { LiveCooking, type LiveBatch, type Mark, type Planned, type PlannedMarks } from './liveCooking'
import { warningsOf, type Warning } from './warnings'

const { max, min, round } = Math

/** A run on its way, in seconds since it was fired. */
export type RunOnItsWay = {
  /** Its steps now: those of the score, what was put in on the way, without what was left out. */
  steps: readonly Step[]
  stepIndex: number
  /** Of the steps that have ended, in their order, and of the step in hand. */
  times: readonly { stepId: string; startS: number; endS: number | null }[]
  /** Flames that the cook set by hand, and when. */
  flames: readonly { stepId: string; heat: HeatLevel; atS: number }[]
  nowS: number
  /** Whether the step in hand was given more time by the cook: then it keeps what it has. */
  isHeld: boolean
}

/** The rest of a run, worked out again from the true state of vessel and food. */
export type Retimed = {
  /** New durations [s] of the steps that are not over; those that stay as they are are not named. */
  steps: { stepId: string; durationS: number }[]
  /** How much later the food is up than by the steps as they stand [s]; negative is earlier. */
  laterS: number
  why: RetimeWhy
  /** What is at its limit, or decides. */
  componentId: string | null
  warnings: readonly Warning[]
}

/** Burn at which nothing is waited for any more; between half and one and a half times its seconds a step may move. [C] */
const LIVE = {
  burnMost: 0.9,
  leastShare: 0.5,
  leastS: 3,
  mostShare: 1.5,
  mostMoreS: 15,
  sameWithinS: 2,
  movesBy: 0.03,
} as const

/**
 * Works out how long each step that is not over should last, so that everything comes as far as the score meant it to: late
 * food is already further, food that came late is not so far. Nothing is waited for once something is at 0.9 of its burn
 * limit. Checks stay where they are: no time proves a core. Seconds are whole, and a change below two seconds is none.
 */
export function retime(batch: LiveBatch, score: Pick<Score, 'steps'>, run: RunOnItsWay): Retimed {
  const plan = planOf(batch, score)
  const live = new LiveCooking(batch, startMetalC(score))
  const marks: { step: Step; atS: number; mark: Mark }[] = []
  const note = (step: Step) => marks.push({ step, atS: live.atS, mark: live.mark() })
  run.times.forEach(({ stepId, startS, endS }) => {
    const step = run.steps.find(({ id }) => id === stepId)
    if (!step) return
    // A turned flame stands in the step from the fold; until it was turned the step burnt as the score has it.
    live.begin({ ...step, heat: score.steps.find(({ id }) => id === stepId)?.heat ?? step.heat })
    const untilS = endS ?? run.nowS
    const flames = run.flames.filter((flame) => flame.stepId === stepId && flame.atS >= startS && flame.atS <= untilS)
    let fromS = startS
    for (const { heat, atS } of flames) {
      live.go(atS - fromS)
      live.setFlame(step, heat)
      fromS = atS
    }
    live.go(max(0, untilS - fromS))
    if (endS === null) return
    live.end(step)
    note(step)
  })
  const durations = new Map<string, number>()
  let limit: string | null = null
  let most: { byS: number; id: string | null } = { byS: 0, id: null }
  const rest = run.steps.slice(run.stepIndex)
  rest.forEach((step, index) => {
    const spentS = index === 0 ? run.nowS - (run.times.at(-1)?.startS ?? 0) : 0
    if (index > 0) live.begin(step)
    const isHeld = index === 0 && run.isHeld
    const ended = isHeld ? holdOn(live, step, spentS) : goOn(live, step, spentS, plan.get(step.id))
    limit ??= ended.limit
    live.end(step)
    note(step)
    const durationS = round(ended.durationS)
    const byS = durationS - step.durationS
    if (isHeld || Math.abs(byS) < LIVE.sameWithinS) return
    durations.set(step.id, durationS)
    if (Math.abs(byS) > Math.abs(most.byS)) most = { byS, id: ended.decides }
  })
  const laterS = rest.reduce((sum, { id, durationS }) => sum + (durations.get(id) ?? durationS) - durationS, 0)
  return {
    steps: [...durations].map(([stepId, durationS]) => ({ stepId, durationS })),
    laterS,
    why: limit ? 'burnLimit' : durations.size === 0 ? 'asPlanned' : laterS < 0 ? 'furtherAlready' : 'notSoFar',
    componentId: limit ?? most.id,
    warnings: warningsOf(batch, marks, run.nowS, plan),
  }
}

/** The score cooked as it is written. */
function planOf(batch: LiveBatch, score: Pick<Score, 'steps'>): PlannedMarks {
  const { steps } = score
  const first = new LiveCooking(batch, startMetalC(score))
  const marks = steps.map((step) => {
    const before = first.mark()
    first.begin(step)
    first.go(step.durationS)
    first.end(step)
    return { before, after: first.mark() }
  })
  const second = new LiveCooking(batch, startMetalC(score))
  return new Map(
    steps.map((step, index): [string, Planned] => {
      const { before, after } = marks[index]!
      const goals = goalsOf(step, { before, after })
      second.begin(step)
      const startS = second.atS
      while (second.atS - startS < step.durationS - ROUNDING && behind(goals, second) !== null)
        second.step(min(STEP_S, step.durationS - (second.atS - startS)))
      const slackS = step.durationS - (second.atS - startS)
      second.go(slackS)
      second.end(step)
      return [step.id, { before, after, durationS: step.durationS, slackS }]
    }),
  )
}
const STEP_S = 1
const ROUNDING = 1e-6
/** What comes ever slower nearer to its goal is there when so little of the way is left: the rest of its time is slack. [C] */
const NEARLY = 0.02

type StepEnd = { durationS: number; limit: string | null; decides: string | null }

/** A step that the cook gave more time, or that changes nothing in the food, keeps its time. */
function holdOn(live: LiveCooking, step: Step, spentS: number): StepEnd {
  live.go(max(0, step.durationS - spentS))
  return { durationS: max(spentS, step.durationS), limit: null, decides: null }
}

/** Goes on with a step until the food is as far as the score meant it to be at its end. */
function goOn(live: LiveCooking, step: Step, spentS: number, planned: Planned | undefined): StepEnd {
  const goals = goalsOf(step, planned)
  if (goals.length === 0) return holdOn(live, step, spentS)
  const plannedS = planned?.durationS ?? step.durationS
  const leastS = max(spentS, min(plannedS, max(LIVE.leastS, LIVE.leastShare * plannedS)))
  const mostS = max(leastS, LIVE.mostShare * plannedS + LIVE.mostMoreS)
  const fromS = live.atS - spentS
  const spent = () => live.atS - fromS
  let decides: string | null = null
  let untilS = mostS
  let isReached = false
  while (spent() < untilS - ROUNDING) {
    const limit = spent() >= leastS ? atLimit(live, planned?.after) : null
    if (limit) return { durationS: spent(), limit, decides }
    const slow = isReached ? null : behind(goals, live)
    decides = slow ?? decides
    if (!isReached && slow === null) {
      isReached = true
      const slackS = planned?.slackS ?? 0
      // Food that is there as a step is looked at in its midst came there before: at the latest when the score meant it to.
      const sinceS = spent() <= spentS ? min(spentS, max(0, plannedS - slackS)) : spent()
      untilS = min(mostS, max(leastS, sinceS + slackS))
    }
    if (spent() < untilS - ROUNDING) live.step(min(untilS - spent(), STEP_S))
  }
  return { durationS: spent(), limit: null, decides }
}

/** What a step brings further, and how far the score meant it to be. */
type Goal = { id: string; isReached: (live: LiveCooking) => boolean }
const behind = (goals: readonly Goal[], live: LiveCooking): string | null =>
  goals.find((goal) => !goal.isReached(live))?.id ?? null

function goalsOf(step: Step, planned: Pick<Planned, 'before' | 'after'> | undefined): Goal[] {
  if (step.heat === 'off') return []
  if (!planned)
    return step.entries
      .filter(({ motion }) => motion === 'in')
      .map(({ componentId }) => ({ id: componentId, isReached: (live) => live.progressOf(componentId) >= 1 }))
  const goals: Goal[] = []
  for (const [id, after] of planned.after.progress) {
    const goal = min(1, after)
    const moves = goal - min(1, planned.before.progress.get(id) ?? 0)
    if (moves < LIVE.movesBy) continue
    goals.push({ id, isReached: (live) => live.progressOf(id) >= goal - NEARLY * moves })
  }
  const before = planned.before.rice
  const after = planned.after.rice
  if (!after) return goals
  const coreC = min(READY_C.aimed, after.coreC)
  const warmsK = coreC - (before?.coreC ?? 0)
  /** Nearly warm is warm, but never below what its check asks for. */
  const enoughC = max(coreC - NEARLY * warmsK, min(coreC, READY_C.checked)) - ROUNDING
  if (warmsK > 1) goals.push({ id: after.id, isReached: (live) => (live.rice()?.coreC ?? coreC) >= enoughC })
  const free = max(RICE.freeFraction, after.freeFraction)
  const dries = Math.abs((before?.freeFraction ?? 0) - after.freeFraction)
  if (step.action === 'riceIn' || step.action === 'sauceIn')
    goals.push({
      id: after.id,
      isReached: (live) => (live.rice()?.freeFraction ?? 0) <= free + NEARLY * dries + ROUNDING,
    })
  return goals
}

/** What is at its burn limit, although the score kept it below. */
function atLimit(live: LiveCooking, planned: Mark | undefined): string | null {
  for (const [id, burn] of live.mark().burn)
    if (burn >= LIVE.burnMost && burn > (planned?.burn.get(id) ?? 0) + ROUNDING) return id
  return null
}
