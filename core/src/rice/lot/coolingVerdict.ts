import { COOLING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { judgeReadings, worstOf, type StepVerdict } from './judgeReadings'
import type { ShownReading, StepKey } from './lotEvent'
import type { LotState } from './lotState'

/** A lot's cooling by its log, and with what the lead accepted taken as met. */
export type CoolingVerdict = Pick<LotState, 'logs' | 'verdict' | 'judged' | 'isAccepted'>

/** What a lot's cooling is judged by; `readings` are those that count. */
export type CoolingRecord = {
  spreadAtMs: number | null
  /** When its cooling was over; null while it goes on. */
  cooledAtMs: number | null
  readings: readonly ShownReading[]
  /** Rule sets that were in force while it cooled: it must keep each of them. */
  ruleSets: readonly RuleSet[]
  acceptedSteps: readonly StepKey[]
  /** Rice that came cold from elsewhere: it has no cooling of ours to judge. */
  cameCold: boolean
}

const keyOf = (ruleSet: RuleSet, tempC: number): StepKey => `${ruleSet} ${tempC}`

/** How a lot's cooling stands at an instant: the worst step of the worst rule set decides. */
export function coolingVerdict(record: CoolingRecord, nowMs: number): CoolingVerdict {
  const { spreadAtMs, cooledAtMs, readings, ruleSets, acceptedSteps, cameCold } = record
  if (spreadAtMs === null) {
    const verdict: StepVerdict = cameCold ? 'met' : 'open'
    return { logs: [], verdict, judged: verdict, isAccepted: false }
  }
  const untilMs = cooledAtMs ?? Infinity
  const cooling = readings.filter((reading) => reading.atMs >= spreadAtMs && reading.atMs <= untilMs)
  const logs = ruleSets.map((ruleSet) => ({
    ruleSet,
    log: judgeReadings(cooling, COOLING_LIMITS[ruleSet], spreadAtMs, nowMs),
  }))
  const steps = logs.flatMap(({ ruleSet, log }) => log.steps.map((step) => ({ ...step, ruleSet })))
  const isTaken = (step: (typeof steps)[number]) =>
    step.verdict === 'unproven' && acceptedSteps.includes(keyOf(step.ruleSet, step.tempC))
  return {
    logs,
    verdict: worstOf(steps.map((step) => step.verdict)),
    judged: worstOf(steps.map((step) => (isTaken(step) ? 'met' : step.verdict))),
    isAccepted: steps.some(isTaken),
  }
}

/** Whether every step was shown by a reading and its limit is past: nothing can still break. */
export const isCoolingDecided = ({ logs }: CoolingVerdict, nowMs: number): boolean =>
  logs.every(({ log }) =>
    log.steps.every((step) => step.reachedMs !== null && step.limitMs !== null && step.limitMs <= nowMs),
  )

/** The steps that a lead may accept: reached, but shown too late. */
export const unprovenSteps = ({ logs }: CoolingVerdict): StepKey[] =>
  logs.flatMap(({ ruleSet, log }) =>
    log.steps.filter((step) => step.verdict === 'unproven').map((step) => keyOf(ruleSet, step.tempC)),
  )
