/* eslint-disable max-lines -- one fold over the events of a lot: what is split apart here has differed before */
import { inOrder } from '../../event/eventOrder'
import { struckOut } from '../../event/struckOut'
import { isAbove } from '../../measure/temperature'
import { COOLING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { judgeReadings, worstOf, type StepVerdict } from './judgeReadings'
import type { LotEvent, LotPlace, ShownReading, StepKey } from './lotEvent'
import { heldCold, isWarmPlace, outLimitMs, READING_NOW_MS, useByMs } from './lotHolding'
import type { BornLot, HousePolicy, LoggedEvent, LotEnd, LotStage, LotState, NotUsable, WhyNot } from './lotState'

const EMPTY_G = 1

type Standing = Pick<LotState, 'place' | 'placeId' | 'covered' | 'airTempC' | 'depthM'>
type Judged = Pick<LotState, 'logs' | 'verdict' | 'judged' | 'isAccepted'>
type EventOf<K extends LotEvent['kind']> = Extract<LotEvent, { kind: K }>

const keyOf = (ruleSet: RuleSet, tempC: number): StepKey => `${ruleSet} ${tempC}`

/** A lot as events are taken one after the other; `lotState` decides which events those are. */
export class LotFold {
  private massG: number
  private usedG = 0
  private discardedG = 0
  private overdrawnG = 0
  private standing: Standing
  private trays = 1
  private cookedAtMs: number | null
  private spreadAtMs: number | null = null
  private spreadMassG: number | null = null
  private cooledAtMs: number | null = null
  private readonly stages: LotState['stages'] = []
  private readings: ShownReading[] = []
  /** Rule sets that its cooling must keep, and those that hold it: a lot that was cold when the rule set changed has cooled. */
  private coolingSets: RuleSet[]
  private readonly holdingSets: RuleSet[]
  private acceptedSteps: StepKey[] = []
  private outSinceMs: number | null = null
  private outMs = 0
  private lastColdMs: number | null = null
  private frozenSinceMs: number | null = null
  private frozenMs = 0
  private freezes = 0
  private end: LotEnd | null = null
  private readonly logged: { event: LotEvent; why: WhyNot | null }[] = []

  constructor(
    private readonly born: BornLot,
    private readonly house: HousePolicy,
    private readonly confirmed: ReadonlySet<string>,
  ) {
    this.massG = born.massG ?? 0
    this.standing = { place: born.place, placeId: born.placeId, covered: false, airTempC: null, depthM: null }
    this.cookedAtMs = born.cookedAtMs
    this.coolingSets = [born.ruleSet]
    this.holdingSets = [born.ruleSet]
    if (born.tempC !== null) {
      const { id, bornAtMs, tempC, tempF = null } = born
      this.readings.push({ eventId: id, atMs: bornAtMs, tempC, tempF, source: 'dial', doubt: null })
      this.holdBy(this.readings[0]!)
    } else if (this.isInWarmth()) this.outSinceMs = born.bornAtMs
    if (born.place === 'freezer') this.frozenSinceMs = born.bornAtMs
  }

  /** Takes every event of a list in the order of the fold, without those that were struck out. */
  static of(born: BornLot, house: HousePolicy, events: readonly LotEvent[]): LotFold {
    const ordered = inOrder(events)
    const struck = struckOut(ordered)
    const standing = ordered.filter((event) => event.kind !== 'undone' && !struck.has(event.id))
    const confirmed = standing.flatMap((event) => (event.kind === 'confirmed' ? [event.eventId] : []))
    const fold = new LotFold(born, house, new Set(confirmed))
    for (const event of standing) fold.take(event)
    return fold
  }

  take(event: LotEvent): void {
    const why = this.end ? this.takeAfterEnd(event) : this.takeOpen(event)
    this.logged.push({ event, why })
    if (!this.end && this.massG < EMPTY_G && this.hasMass() && EMPTIES.includes(event.kind))
      this.end = { atMs: event.atMs, kind: 'used', reason: null }
  }

  /** What was said too late: it changes nothing, but rice that went into the wok went into the wok. */
  takeAfterEnd(event: LotEvent): WhyNot {
    if (event.kind === 'used') this.draw(event.massG)
    return 'afterEnd'
  }

  private takeOpen(event: LotEvent): WhyNot | null {
    switch (event.kind) {
      case 'spread':
        return this.spread(event)
      case 'moved':
        return this.move(event)
      case 'read':
        return this.read(event.id, event, event.source, event.doubt)
      case 'counted':
        this.massG = event.massG
        this.overdrawnG = 0
        return null
      case 'gave':
        this.massG = Math.max(0, this.massG - event.massG)
        return null
      case 'took':
        return this.join(event)
      case 'used':
        return this.draw(event.massG)
      case 'discarded':
        return this.discard(event)
      case 'refused':
        this.end = { atMs: event.atMs, kind: 'refused', reason: event.reason }
        return null
      case 'accepted':
        return this.accept(event)
      case 'finished':
        this.end = { atMs: event.atMs, kind: 'used', reason: null }
        return null
      case 'ruleSet':
        return this.changeRuleSet(event.to, event.atMs)
      case 'confirmed':
        return this.readings.some((one) => one.eventId === event.eventId) ? null : 'nothingThere'
      case 'undone':
        return null
    }
  }

  private hasMass(): boolean {
    return this.born.massG !== null || this.spreadAtMs !== null
  }

  private draw(massG: number): null {
    this.usedG += massG
    const beyondG = massG - this.massG
    this.massG = Math.max(0, this.massG - massG)
    if (beyondG > EMPTY_G) this.overdrawnG += beyondG
    return null
  }

  private discard(event: EventOf<'discarded'>): null {
    const massG = Math.min(event.massG ?? this.massG, this.massG)
    this.massG -= massG
    this.discardedG += massG
    if (this.massG < EMPTY_G) this.end = { atMs: event.atMs, kind: 'discarded', reason: event.reason }
    return null
  }

  private spread(event: EventOf<'spread'>): WhyNot | null {
    this.massG += event.massG - (this.spreadMassG ?? 0)
    this.spreadMassG = event.massG
    this.spreadAtMs ??= event.atMs
    this.cookedAtMs ??= event.atMs
    this.trays = event.trays
    this.stand(event)
    return this.read(event.id, event, 'dial', null)
  }

  private stand({ place, placeId, covered, airTempC, depthM, atMs }: Standing & { place: LotPlace; atMs: number }) {
    this.standing = { place, placeId, covered, airTempC, depthM: depthM ?? this.standing.depthM }
    this.stages.push({ fromMs: atMs, place, covered, airTempC, depthM: this.standing.depthM })
  }

  private isInWarmth(): boolean {
    return isWarmPlace(this.standing.place, this.standing.airTempC, heldCold(this.holdingSets))
  }

  private move(event: EventOf<'moved'>): null {
    const hasCooled = this.hasCooled(event.atMs)
    this.stand(event)
    const isFrozen = event.place === 'freezer'
    if (hasCooled && (this.isInWarmth() || isFrozen)) this.cooledAtMs ??= event.atMs
    if (this.lastColdMs !== null) {
      if (this.isInWarmth()) this.outSinceMs ??= event.atMs
      else if (isFrozen || event.atMs - this.lastColdMs <= READING_NOW_MS) this.comeIn(event.atMs)
    }
    if (isFrozen && this.frozenSinceMs === null) {
      this.frozenSinceMs = Math.max(event.atMs, event.heardMs === undefined ? event.atMs : (event.heardMs ?? Infinity))
      this.freezes += 1
    }
    if (!isFrozen && this.frozenSinceMs !== null) {
      this.frozenMs += Math.max(0, event.atMs - this.frozenSinceMs)
      this.frozenSinceMs = null
    }
    return null
  }

  private comeIn(atMs: number): void {
    if (this.outSinceMs === null) return
    this.outMs += Math.max(0, atMs - this.outSinceMs)
    this.outSinceMs = null
  }

  private read(
    eventId: string,
    { atMs, tempC, tempF = null }: { atMs: number; tempC: number; tempF?: number | null | undefined },
    source: ShownReading['source'],
    doubted: ShownReading['doubt'],
  ): WhyNot | null {
    const doubt = this.confirmed.has(eventId) ? null : doubted
    const reading = { eventId, atMs, tempC, tempF, source, doubt }
    this.readings.push(reading)
    if (doubt !== null) return 'doubt'
    this.holdBy(reading)
    const { logs, verdict } = this.judge(atMs)
    if (verdict === 'broken') this.end = { atMs, kind: 'refused', reason: 'cooling' }
    else if (this.spreadAtMs !== null) {
      const isDecided = logs.every(({ log }) =>
        log.steps.every((step) => step.reachedMs !== null && step.limitMs !== null && step.limitMs <= atMs),
      )
      if (isDecided) this.cooledAtMs ??= atMs
    }
    return null
  }

  /** The clock of rice that was cold: it runs from the last cold reading, or from where it left the cold. */
  private holdBy(reading: ShownReading): void {
    const { atMs } = reading
    if (!isAbove(reading, heldCold(this.holdingSets))) {
      this.lastColdMs = atMs
      if (this.isInWarmth()) this.outSinceMs ??= atMs
      else this.comeIn(atMs)
    } else if (this.lastColdMs !== null) this.outSinceMs ??= this.lastColdMs
  }

  private join(event: EventOf<'took'>): null {
    const brought = event.brought ?? null
    const isEmpty = this.massG < EMPTY_G && this.readings.length === 0
    this.massG += event.massG
    this.cookedAtMs = Math.min(this.cookedAtMs ?? event.cookedAtMs, event.cookedAtMs)
    this.outMs = Math.max(this.outMs, event.outS * 1000)
    this.frozenMs = isEmpty ? event.frozenMs : Math.min(this.frozenMs, event.frozenMs)
    this.freezes = Math.max(this.freezes, event.freezes)
    if (brought && isEmpty) {
      this.spreadAtMs = brought.spreadAtMs
      this.cooledAtMs = brought.cooledAtMs
      this.coolingSets = [...brought.ruleSets]
      this.acceptedSteps = [...brought.acceptedSteps]
      this.readings = brought.readings.map((one) => (this.confirmed.has(one.eventId) ? { ...one, doubt: null } : one))
      const cold = heldCold(this.holdingSets)
      this.lastColdMs =
        this.counted()
          .filter((one) => !isAbove(one, cold))
          .at(-1)?.atMs ?? event.atMs
    }
    if (brought?.isOut || this.isInWarmth()) this.outSinceMs ??= event.atMs
    else if (!brought) this.lastColdMs ??= event.atMs
    return null
  }

  private accept(event: EventOf<'accepted'>): WhyNot | null {
    if (event.staffId === null || !this.house.leadIds.includes(event.staffId)) return 'notLead'
    const { logs, judged } = this.judge(event.atMs)
    if (judged !== 'unproven') return 'notUnproven'
    for (const { ruleSet, log } of logs)
      for (const step of log.steps) if (step.verdict === 'unproven') this.acceptedSteps.push(keyOf(ruleSet, step.tempC))
    return null
  }

  private counted(): ShownReading[] {
    return this.readings.filter((reading) => reading.doubt === null)
  }

  private hasCooled(atMs: number): boolean {
    return this.hasMass() && this.judge(atMs).judged === 'met'
  }

  private judge(nowMs: number): Judged {
    if (this.spreadAtMs === null) {
      const verdict: StepVerdict = this.born.massG !== null && this.lastColdMs !== null ? 'met' : 'open'
      return { logs: [], verdict, judged: verdict, isAccepted: false }
    }
    const spreadAtMs = this.spreadAtMs
    const untilMs = this.cooledAtMs ?? Infinity
    const cooling = this.counted().filter((reading) => reading.atMs >= spreadAtMs && reading.atMs <= untilMs)
    const logs = this.coolingSets.map((ruleSet) => ({
      ruleSet,
      log: judgeReadings(cooling, COOLING_LIMITS[ruleSet], spreadAtMs, nowMs),
    }))
    const steps = logs.flatMap(({ ruleSet, log }) => log.steps.map((step) => ({ ...step, ruleSet })))
    const isTaken = (step: (typeof steps)[number]) =>
      step.verdict === 'unproven' && this.acceptedSteps.includes(keyOf(step.ruleSet, step.tempC))
    return {
      logs,
      verdict: worstOf(steps.map((step) => step.verdict)),
      judged: worstOf(steps.map((step) => (isTaken(step) ? 'met' : step.verdict))),
      isAccepted: steps.some(isTaken),
    }
  }

  private changeRuleSet(to: RuleSet, atMs: number): null {
    if (!this.hasCooled(atMs) && !this.coolingSets.includes(to)) this.coolingSets.push(to)
    if (!this.holdingSets.includes(to)) this.holdingSets.push(to)
    return null
  }

  private stage({ judged, logs }: Judged): LotStage {
    if (this.end) return this.end.kind
    if (!this.hasMass()) return 'cooking'
    if (this.standing.place === 'freezer') return 'frozen'
    if (judged === 'met') return this.isInWarmth() ? 'tempering' : 'ready'
    const isPastFirst = logs.every(({ log }) => log.steps.length > 1 && log.steps[0]?.reachedMs !== null)
    return isPastFirst ? 'chilling' : 'cooling'
  }

  state(nowMs: number): Omit<LotState, 'log'> {
    const judgedNow = this.judge(nowMs)
    const stage = this.stage(judgedNow)
    const outMs = this.outMs + (this.outSinceMs === null || this.end ? 0 : Math.max(0, nowMs - this.outSinceMs))
    const mostOutMs = outLimitMs(this.holdingSets, this.house)
    const frozenMs = this.frozenMs + (this.frozenSinceMs === null ? 0 : Math.max(0, nowMs - this.frozenSinceMs))
    const keptUntilMs =
      this.cookedAtMs === null ? null : useByMs(this.holdingSets, this.house, this.cookedAtMs) + frozenMs
    const notUsable = this.notUsable({ stage, judged: judgedNow.judged, keptUntilMs, outMs, mostOutMs, nowMs })
    return {
      stage,
      massG: this.massG,
      overdrawnG: this.overdrawnG,
      usedG: this.usedG,
      discardedG: this.discardedG,
      ...this.standing,
      trays: this.trays,
      cookedAtMs: this.cookedAtMs,
      spreadAtMs: this.spreadAtMs,
      cooledAtMs: this.cooledAtMs,
      spreadMassG: this.spreadMassG,
      stages: this.stages,
      readings: this.readings,
      lastTempC: this.counted().at(-1)?.tempC ?? null,
      ...judgedNow,
      acceptedSteps: this.acceptedSteps,
      useByMs: keptUntilMs,
      outSinceMs: this.end ? null : this.outSinceMs,
      outS: outMs / 1000,
      outByMs: this.end || this.outSinceMs === null ? null : nowMs + mostOutMs - outMs,
      freezes: this.freezes,
      frozenMs,
      notUsable,
      isUsable: notUsable === null,
      end: this.end,
    }
  }

  private notUsable(now: {
    stage: LotStage
    judged: StepVerdict
    keptUntilMs: number | null
    outMs: number
    mostOutMs: number
    nowMs: number
  }): NotUsable | null {
    const { stage, judged, keptUntilMs, outMs, mostOutMs, nowMs } = now
    if (this.end) return { kind: 'over', end: this.end }
    if (stage === 'cooking' || stage === 'frozen') return { kind: stage }
    if (judged === 'unproven' || judged === 'overdue') return { kind: judged }
    if (stage === 'cooling' || stage === 'chilling') return { kind: 'cooling' }
    if (keptUntilMs !== null && keptUntilMs < nowMs) return { kind: 'tooOld', useByMs: keptUntilMs }
    if (outMs > mostOutMs) return { kind: 'outTooLong', outS: outMs / 1000, mostS: mostOutMs / 1000 }
    if (this.massG < EMPTY_G) return { kind: 'empty' }
    return null
  }

  /** Doubtful readings that nobody confirmed or measured again, the newest last. */
  openDoubts(): ShownReading[] {
    const lastMs = this.counted().at(-1)?.atMs ?? -Infinity
    return this.readings.filter((one) => one.doubt !== null && one.atMs >= lastMs)
  }

  /** What was taken, with why it changed nothing. */
  log(): Omit<LoggedEvent, 'struckBy'>[] {
    return this.logged.map(({ event, why }) => ({ event, why, counts: why === null }))
  }

  /** What no later word can change: refused, or thrown away as warm or old. */
  finalEnd(): LotEnd | null {
    if (!this.end) return null
    return this.end.kind === 'refused' || this.end.reason === 'warm' || this.end.reason === 'old' ? this.end : null
  }
}

/** Events after which a lot without rice is used up. */
const EMPTIES: readonly LotEvent['kind'][] = ['counted', 'gave', 'used']
