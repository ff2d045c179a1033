import { inOrder } from '../../event/eventOrder'
import { struckOut } from '../../event/struckOut'
import { isAbove } from '../../measure/temperature'
import type { RuleSet } from '../../safety/limits'
import { ColdClock } from './coldClock'
import { countedReadings, lastColdMs, openDoubts } from './countedReadings'
import { coolingVerdict, isCoolingDecided, unprovenSteps, type CoolingVerdict } from './coolingVerdict'
import { loosenessAfter } from './loosenessAfter'
import type { LotEvent, ShownReading, StepKey } from './lotEvent'
import { heldCold, outLimitMs, useByMs } from './lotHolding'
import { LotStanding } from './lotStanding'
import type { BornLot, HousePolicy, LoggedEvent, LotEnd, LotState, WhyNot } from './lotState'
import { RiceMass } from './riceMass'
import { stageOf } from './stageOf'
import { whyNotUsable } from './whyNotUsable'

type EventOf<K extends LotEvent['kind']> = Extract<LotEvent, { kind: K }>

/** A lot as events are taken one after the other; `lotState` decides which events those are. */
export class LotFold {
  private readonly mass: RiceMass
  private readonly standing: LotStanding
  private trays = 1
  private cookedAtMs: number | null
  private spreadAtMs: number | null = null
  private spreadMassG: number | null = null
  private cooledAtMs: number | null = null
  private readings: ShownReading[] = []
  /** Rule sets that its cooling must keep, and those that hold it: a lot that was cold when the rule set changed has cooled. */
  private coolingSets: RuleSet[]
  private readonly holdingSets: RuleSet[]
  private acceptedSteps: StepKey[] = []
  private readonly clock = new ColdClock()
  private end: LotEnd | null = null
  private readonly logged: { event: LotEvent; why: WhyNot | null }[] = []

  constructor(
    private readonly born: BornLot,
    private readonly house: HousePolicy,
    private readonly confirmed: ReadonlySet<string>,
  ) {
    this.mass = new RiceMass(born.massG ?? 0)
    this.standing = new LotStanding(born)
    this.cookedAtMs = born.cookedAtMs
    this.coolingSets = [born.ruleSet]
    this.holdingSets = [born.ruleSet]
    if (born.tempC !== null) {
      const { id, bornAtMs, tempC, tempF = null } = born
      this.readings.push({ eventId: id, atMs: bornAtMs, tempC, tempF, source: 'dial', doubt: null })
      this.holdBy(this.readings[0]!)
    } else if (this.isInWarmth()) this.clock.outSinceMs = born.bornAtMs
    if (born.place === 'freezer') this.clock.cameFrozen(born.bornAtMs)
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
    if (!this.end && this.mass.isEmpty() && this.hasMass() && EMPTIES.includes(event.kind))
      this.end = { atMs: event.atMs, kind: 'used', reason: null }
  }

  /** What was said too late: it changes nothing, but rice that went into the wok went into the wok. */
  takeAfterEnd(event: LotEvent): WhyNot {
    if (event.kind === 'used') this.mass.draw(event.massG)
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
        this.mass.count(event.massG)
        return null
      case 'gave':
        this.mass.give(event.massG)
        return null
      case 'took':
        return this.join(event)
      case 'used':
        this.mass.draw(event.massG)
        return null
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
      case 'loosened':
      case 'undone':
        return null
    }
  }

  private hasMass(): boolean {
    return this.born.massG !== null || this.spreadAtMs !== null
  }

  private discard(event: EventOf<'discarded'>): null {
    this.mass.discard(event.massG)
    if (this.mass.isEmpty()) this.end = { atMs: event.atMs, kind: 'discarded', reason: event.reason }
    return null
  }

  private spread(event: EventOf<'spread'>): WhyNot | null {
    this.mass.nowG += event.massG - (this.spreadMassG ?? 0)
    this.spreadMassG = event.massG
    this.spreadAtMs ??= event.atMs
    this.cookedAtMs ??= event.atMs
    this.trays = event.trays
    this.standing.stand(event)
    return this.read(event.id, event, 'dial', null)
  }

  private isInWarmth(): boolean {
    return this.standing.isInWarmth(heldCold(this.holdingSets))
  }

  private move(event: EventOf<'moved'>): null {
    const hasCooled = this.hasCooled(event.atMs)
    this.standing.stand(event)
    const isFrozen = event.place === 'freezer'
    if (hasCooled && (this.isInWarmth() || isFrozen)) this.cooledAtMs ??= event.atMs
    const heardMs = event.heardMs === undefined ? event.atMs : (event.heardMs ?? Infinity)
    this.clock.moved({ isInWarmth: this.isInWarmth(), isFreezer: isFrozen }, event.atMs, heardMs)
    return null
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
    const cooling = this.judge(atMs)
    if (cooling.verdict === 'broken') this.end = { atMs, kind: 'refused', reason: 'cooling' }
    else if (this.spreadAtMs !== null && isCoolingDecided(cooling, atMs)) this.cooledAtMs ??= atMs
    return null
  }

  /** The clock of rice that was cold: it runs from the last cold reading, or from where it left the cold. */
  private holdBy(reading: ShownReading): void {
    this.clock.reading(!isAbove(reading, heldCold(this.holdingSets)), this.isInWarmth(), reading.atMs)
  }

  private join(event: EventOf<'took'>): null {
    const brought = event.brought ?? null
    const isEmpty = this.mass.isEmpty() && this.readings.length === 0
    this.mass.nowG += event.massG
    this.cookedAtMs = Math.min(this.cookedAtMs ?? event.cookedAtMs, event.cookedAtMs)
    this.clock.join(event, isEmpty)
    if (brought && isEmpty) {
      this.spreadAtMs = brought.spreadAtMs
      this.cooledAtMs = brought.cooledAtMs
      this.coolingSets = [...brought.ruleSets]
      this.acceptedSteps = [...brought.acceptedSteps]
      this.readings = brought.readings.map((one) => (this.confirmed.has(one.eventId) ? { ...one, doubt: null } : one))
      this.clock.lastColdMs = lastColdMs(this.readings, heldCold(this.holdingSets)) ?? event.atMs
    }
    if (brought?.isOut || this.isInWarmth()) this.clock.outSinceMs ??= event.atMs
    else if (!brought) this.clock.lastColdMs ??= event.atMs
    return null
  }

  private accept(event: EventOf<'accepted'>): WhyNot | null {
    if (event.staffId === null || !this.house.leadIds.includes(event.staffId)) return 'notLead'
    const cooling = this.judge(event.atMs)
    if (cooling.judged !== 'unproven') return 'notUnproven'
    this.acceptedSteps.push(...unprovenSteps(cooling))
    return null
  }

  private hasCooled(atMs: number): boolean {
    return this.hasMass() && this.judge(atMs).judged === 'met'
  }

  private judge(nowMs: number): CoolingVerdict {
    const { spreadAtMs, cooledAtMs, coolingSets: ruleSets, acceptedSteps } = this
    const cameCold = this.born.massG !== null && this.clock.lastColdMs !== null
    return coolingVerdict(
      { spreadAtMs, cooledAtMs, readings: countedReadings(this.readings), ruleSets, acceptedSteps, cameCold },
      nowMs,
    )
  }

  private changeRuleSet(to: RuleSet, atMs: number): null {
    if (!this.hasCooled(atMs) && !this.coolingSets.includes(to)) this.coolingSets.push(to)
    if (!this.holdingSets.includes(to)) this.holdingSets.push(to)
    return null
  }

  state(nowMs: number): Omit<LotState, 'log'> {
    const judgedNow = this.judge(nowMs)
    const stage = stageOf(judgedNow, {
      ...this.standing.now,
      end: this.end,
      hasMass: this.hasMass(),
      isInWarmth: this.isInWarmth(),
    })
    const { end, clock, cookedAtMs, holdingSets, house } = this
    const { nowG: massG, overdrawnG, usedG, discardedG } = this.mass
    const outMs = clock.outMs(nowMs, end !== null)
    const mostOutMs = outLimitMs(holdingSets, house)
    const frozenMs = clock.frozenMs(nowMs)
    const keptUntilMs = cookedAtMs === null ? null : useByMs(holdingSets, house, cookedAtMs) + frozenMs
    const { judged } = judgedNow
    const notUsable = whyNotUsable({ end, stage, judged, massG, useByMs: keptUntilMs, outMs, mostOutMs, nowMs })
    return {
      stage,
      massG,
      overdrawnG,
      usedG,
      discardedG,
      ...this.standing.now,
      trays: this.trays,
      cookedAtMs,
      spreadAtMs: this.spreadAtMs,
      cooledAtMs: this.cooledAtMs,
      spreadMassG: this.spreadMassG,
      stages: this.standing.stages,
      readings: this.readings,
      lastTempC: countedReadings(this.readings).at(-1)?.tempC ?? null,
      ...judgedNow,
      acceptedSteps: this.acceptedSteps,
      useByMs: keptUntilMs,
      outSinceMs: end ? null : clock.outSinceMs,
      outS: outMs / 1000,
      outByMs: end || clock.outSinceMs === null ? null : nowMs + mostOutMs - outMs,
      looseness: loosenessAfter(this.logged.map(({ event }) => event)),
      freezes: clock.freezes,
      frozenMs,
      notUsable,
      isUsable: notUsable === null,
      end,
    }
  }

  openDoubts = () => openDoubts(this.readings)

  /** What was taken, with why it changed nothing. */
  log(): Omit<LoggedEvent, 'struckBy'>[] {
    return this.logged.map(({ event, why }) => ({ event, why, counts: why === null }))
  }

  /** What no later word can change: refused, or thrown away as warm or old. */
  finalEnd(): LotEnd | null {
    const isFinal = this.end?.kind === 'refused' || this.end?.reason === 'warm' || this.end?.reason === 'old'
    return isFinal ? this.end : null
  }
}

/** Events after which a lot without rice is used up. */
const EMPTIES: readonly LotEvent['kind'][] = ['counted', 'gave', 'used']
