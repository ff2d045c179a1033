import { inOrder } from '../event/eventOrder'
import { standing } from '../event/struckOut'
import type { RiceReading } from '../rice/reading/riceReading'
import { forgottenStep } from './forgot'
import { leftOut } from './leftOut'
import {
  isOfComponent,
  NOT_YET_S,
  TROUBLE_DELAY_S,
  type RetimeWhy,
  type RunEvent,
  type StandIn,
  type Trouble,
} from './runEvent'
import { standingIn } from './standIn'
import type { HeatLevel, Score, Step } from './score'

/** What a run was fired with: never changes afterwards. */
export type FiredRun = {
  id: string
  firedAtMs: number
  score: Score
  handsFree: boolean
  /** Whether its rice is read; it is, where nobody said otherwise. */
  riceReading?: RiceReading | null | undefined
}

/** When a step of a run began and ended [ms since 1970, UTC]. */
export type StepTimes = {
  stepId: string
  startMs: number
  /** Null while it runs. */
  endMs: number | null
  /** Who ended it: the score by itself at the planned second, or the cook. */
  endedBy: 'score' | 'cook' | null
}

/** A run as it stands at an instant. */
export type RunState = {
  /** The steps of the score, with those that were put in on the way. */
  steps: readonly Step[]
  status: 'cooking' | 'waiting' | 'finished' | 'stopped'
  /** Index of the step in hand; the last one once finished or stopped. */
  stepIndex: number
  times: StepTimes[]
  /** When the step in hand is due to end, +10 s included. */
  dueMs: number
  /** When the food is up, if everything from here on goes to plan. */
  upMs: number
  handsFree: boolean
  /** Seconds added to steps by +10 s and by remedies. */
  addedS: number
  troubles: {
    eventId: string
    trouble: Trouble
    stepId: string
    componentId: string | null
    /** What went in for what ran out; null where it was left out. */
    standIn: StandIn | null
    atMs: number
  }[]
  /** Answers to safety checks, in their order. */
  checks: { eventId: string; stepId: string; ok: boolean; tempC: number | null; tempF: number | null; atMs: number }[]
  /** Flames that the cook turned by hand, in their order. */
  flames: { eventId: string; stepId: string; heat: HeatLevel; atMs: number }[]
  /** The last time that the rest was worked out again; null while the score stands as it was fired. */
  retimed: { eventId: string; why: RetimeWhy; componentId: string | null; laterS: number; atMs: number } | null
  endedMs: number | null
}

/**
 * A run at `nowMs`, from what it was fired with and everything said since. Rules, so that every device sees one run:
 * - events are taken in the order of `compareEvents`, each id once, without those that were undone;
 * - hands-free, a step without a check ends by itself when it is due; a step with a check never does: it waits for its
 *   own answer, and a no gives it more time;
 * - `done` for a step that has ended changes nothing; for a later step it ends those before it, but never a check that
 *   nobody answered; so does the answer to a check: whoever gave it stood at that step;
 * - the rice check of a batch that is not asked for ends like any step; answered all the same, a no makes it wait again;
 * - `later` and a remedy lengthen the step in hand; a forgotten raw component becomes the next step, with its check;
 * - what ran out is left out of every step that has not ended, and a step that then has nothing to do is gone; or what stands
 *   in for it goes in there, with the check of what it replaces;
 * - a rest that was worked out again gives new durations to steps that have not ended; a check stays where it is;
 * - what is said after the end changes nothing.
 */
export function runState(run: FiredRun, events: readonly RunEvent[], nowMs: number): RunState {
  const said = standing(inOrder(events.filter((event) => event.runId === run.id)))
  const ids = new Set(said.map(({ id }) => id))
  const taken = said.filter((event) => event.kind !== 'retimed' || event.causeId === null || ids.has(event.causeId))
  const fold = new Fold(run)
  for (const event of taken) {
    if (event.atMs > nowMs) break
    fold.passTo(Math.max(event.atMs, run.firedAtMs))
    fold.take(event)
  }
  fold.passTo(Math.max(nowMs, run.firedAtMs))
  return fold.state(nowMs)
}

class Fold {
  private stepIndex = 0
  private startMs: number
  private addedMs = 0
  private totalAddedS = 0
  private handsFree: boolean
  private endedMs: number | null = null
  private isStopped = false
  private readonly times: StepTimes[] = []
  private readonly troubles: RunState['troubles'] = []
  private readonly checks: RunState['checks'] = []
  private readonly flames: RunState['flames'] = []
  private retimed: RunState['retimed'] = null
  private steps: readonly Step[]

  constructor(private readonly run: FiredRun) {
    this.steps = run.riceReading?.isAsked === false ? run.score.steps.map(offeredIfRice) : run.score.steps
    this.startMs = run.firedAtMs
    this.handsFree = run.handsFree
  }

  private step(): Step {
    const step = this.steps[this.stepIndex]
    if (!step) throw new RangeError(`run ${this.run.id} has no step ${this.stepIndex}`)
    return step
  }

  private dueMs(): number {
    return this.startMs + this.step().durationS * 1000 + this.addedMs
  }

  /** Lets the score go on by itself up to an instant. */
  passTo(ms: number): void {
    while (this.endedMs === null && this.handsFree && this.step().check === null && this.dueMs() <= ms) {
      this.endStep(this.dueMs(), 'score')
    }
  }

  take(event: RunEvent): void {
    if (this.endedMs !== null) return
    const atMs = Math.max(event.atMs, this.startMs)
    switch (event.kind) {
      case 'done':
        this.endUpTo(event.stepId, atMs)
        return
      case 'checked':
        this.answer(event, atMs)
        return
      case 'later':
        this.lengthen(event.delayS)
        return
      case 'handsFree':
        this.switchHandsFree(event.on, atMs)
        return
      case 'trouble':
        this.troubles.push({
          eventId: event.id,
          trouble: event.trouble,
          stepId: event.stepId,
          componentId: isOfComponent(event.trouble) && 'componentId' in event ? event.componentId : null,
          standIn: event.trouble === 'ranOut' ? (event.standIn ?? null) : null,
          atMs,
        })
        if (event.trouble === 'forgot') this.putIn(event.componentId)
        else if (event.trouble === 'ranOut') this.runOut(event)
        else this.lengthen(TROUBLE_DELAY_S[event.trouble])
        return
      case 'flame':
        this.turnFlame(event, atMs)
        return
      case 'retimed':
        this.retime(event, atMs)
        return
      case 'stopped':
        this.isStopped = true
        this.endedMs = atMs
        return
      case 'undone':
        return
    }
  }

  private endUpTo(stepId: string, atMs: number): void {
    const target = this.steps.findIndex((step) => step.id === stepId)
    while (this.endedMs === null && this.stepIndex <= target) {
      const waits = this.step().check !== null && (this.stepIndex < target || this.run.score.engine !== 'rules-1')
      if (waits) return
      this.endStep(atMs, 'cook')
    }
  }

  private answer(event: Extract<RunEvent, { kind: 'checked' }>, atMs: number): void {
    const { id, stepId, ok, tempC, tempF } = event
    const before = this.steps.findIndex((step) => step.id === stepId) - 1
    if (before >= this.stepIndex) this.endUpTo(this.steps[before]!.id, atMs)
    const { check, offered } = this.step()
    if (this.step().id !== stepId || (check === null && offered === undefined)) return
    this.checks.push({ eventId: id, stepId, ok, tempC, tempF, atMs })
    if (ok) return this.endStep(atMs, 'cook')
    this.lengthen(NOT_YET_S)
    if (offered) this.steps = this.steps.map((step) => (step.id === stepId ? { ...step, check: offered } : step))
  }

  private putIn(componentId: string): void {
    const own = forgottenStep(this.steps, this.stepIndex, componentId)
    if (!own) return this.lengthen(TROUBLE_DELAY_S.forgot)
    if (this.steps.some((step) => step.id === own.id)) return
    this.steps = [...this.steps.slice(0, this.stepIndex + 1), own, ...this.steps.slice(this.stepIndex + 1)]
  }

  private runOut({ componentId, standIn }: Extract<RunEvent, { trouble: 'ranOut' }>): void {
    this.steps = standIn
      ? standingIn(this.steps, this.stepIndex, componentId, standIn.name)
      : leftOut(this.steps, this.stepIndex, componentId)
  }

  private turnFlame({ id, stepId, heat }: Extract<RunEvent, { kind: 'flame' }>, atMs: number): void {
    if (this.step().id !== stepId) return
    this.flames.push({ eventId: id, stepId, heat, atMs })
    this.steps = this.steps.map((step) => (step.id === stepId ? { ...step, heat } : step))
  }

  private retime({ id, steps, why, componentId }: Extract<RunEvent, { kind: 'retimed' }>, atMs: number): void {
    const durations = new Map(steps.map(({ stepId, durationS }) => [stepId, durationS]))
    let laterS = 0
    const spentS = Math.ceil((atMs - this.startMs - this.addedMs) / 1000)
    this.steps = this.steps.map((step, index) => {
      const said = durations.get(step.id)
      if (said === undefined || index < this.stepIndex) return step
      const durationS = index === this.stepIndex ? Math.max(said, spentS) : said
      laterS += durationS - step.durationS
      return { ...step, durationS }
    })
    this.retimed = { eventId: id, why, componentId, laterS, atMs }
  }

  private lengthen(delayS: number): void {
    this.addedMs += delayS * 1000
    this.totalAddedS += delayS
  }

  /** A step overdue when the hands are taken off again is ended then, not in the past. */
  private switchHandsFree(on: boolean, atMs: number): void {
    this.handsFree = on
    if (on && this.step().check === null && this.dueMs() <= atMs) this.endStep(atMs, 'score')
  }

  private endStep(endMs: number, endedBy: 'score' | 'cook'): void {
    this.times.push({ stepId: this.step().id, startMs: this.startMs, endMs, endedBy })
    this.startMs = endMs
    this.addedMs = 0
    if (this.stepIndex === this.steps.length - 1) this.endedMs = endMs
    else this.stepIndex += 1
  }

  state(nowMs: number): RunState {
    const isOver = this.endedMs !== null
    const dueMs = this.dueMs()
    const restS = this.steps.slice(this.stepIndex + 1).reduce((sum, step) => sum + step.durationS, 0)
    const isOpen = !isOver || this.isStopped
    return {
      steps: this.steps,
      status: this.isStopped ? 'stopped' : isOver ? 'finished' : nowMs >= dueMs ? 'waiting' : 'cooking',
      stepIndex: this.stepIndex,
      times: isOpen
        ? [
            ...this.times,
            { stepId: this.step().id, startMs: this.startMs, endMs: this.endedMs, endedBy: isOver ? 'cook' : null },
          ]
        : this.times,
      dueMs,
      upMs: this.endedMs ?? Math.max(dueMs, nowMs) + restS * 1000,
      handsFree: this.handsFree,
      addedS: this.totalAddedS,
      troubles: this.troubles,
      checks: this.checks,
      flames: this.flames,
      retimed: this.retimed,
      endedMs: this.endedMs,
    }
  }
}

const offeredIfRice = (step: Step): Step =>
  step.check?.food === 'rice' ? { ...step, check: null, offered: step.check } : step
