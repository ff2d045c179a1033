import { COOLING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { inOrder } from '../../event/eventOrder'
import { judgeReadings, worstVerdict, type StepVerdict } from './judgeReadings'
import type { LotEvent, LotPlace } from './lotEvent'
import { heldColdC, outLimitMs, useByMs } from './lotHolding'
import type { BornLot, HousePolicy, LotEnd, LotStage, LotState, ShownReading } from './lotState'

const EMPTY_G = 1
type Standing = Pick<LotState, 'place' | 'placeId' | 'covered' | 'airTempC' | 'depthM'>

/**
 * A lot at `nowMs`, from what it was born with and everything said since. Rules, so that every device sees one lot:
 * - events are taken in the order of `compareEvents`, each id once, without those that were undone;
 * - a reading with a doubt counts once it was confirmed;
 * - a cooling log that is broken under any rule set in force while the lot cooled refuses the lot, at the reading that
 *   shows it; frying does not rescue it;
 * - the first end (used up, refused, thrown away) is the end; what comes after is kept and changes nothing.
 */
export function lotState(born: BornLot, events: readonly LotEvent[], house: HousePolicy, nowMs: number): LotState {
  const taken = withoutUndone(inOrder(events.filter((event) => event.lotId === born.id && event.atMs <= nowMs)))
  const fold = new Fold(born, house, taken)
  for (const event of taken) fold.take(event)
  return fold.state(nowMs)
}

function withoutUndone(events: LotEvent[]): LotEvent[] {
  const undone = new Set(events.flatMap((event) => (event.kind === 'undone' ? [event.eventId] : [])))
  return events.filter((event) => event.kind !== 'undone' && !undone.has(event.id))
}

class Fold {
  private massG: number
  private usedG = 0
  private discardedG = 0
  private overdrawnG = 0
  private standing: Standing
  private trays = 1
  private cookedAtMs: number | null
  private spreadAtMs: number | null = null
  private spreadMassG: number | null = null
  private readonly stages: LotState['stages'] = []
  private readonly readings: ShownReading[] = []
  private readonly confirmed: ReadonlySet<string>
  /** Rule sets that its cooling must keep, and those that hold it: a lot that was cold when the rule set changed has cooled. */
  private readonly coolingSets: RuleSet[]
  private readonly holdingSets: RuleSet[]
  private isAccepted = false
  private outSinceMs: number | null = null
  private outMs = 0
  private frozenSinceMs: number | null = null
  private frozenMs = 0
  private freezes = 0
  private wasCold: boolean
  private end: LotEnd | null = null
  private readonly afterEnd: LotEvent[] = []

  constructor(
    private readonly born: BornLot,
    private readonly house: HousePolicy,
    events: readonly LotEvent[],
  ) {
    this.massG = born.massG ?? 0
    this.standing = { place: born.place, placeId: born.placeId, covered: false, airTempC: null, depthM: null }
    this.cookedAtMs = born.cookedAtMs
    this.coolingSets = [born.ruleSet]
    this.holdingSets = [born.ruleSet]
    this.wasCold = born.tempC !== null && born.tempC <= heldColdC([born.ruleSet])
    if (born.tempC !== null)
      this.readings.push({ eventId: born.id, atMs: born.bornAtMs, tempC: born.tempC, source: 'dial', doubt: null })
    this.confirmed = new Set(events.flatMap((event) => (event.kind === 'confirmed' ? [event.eventId] : [])))
    if (born.place === 'bench') this.outSinceMs = born.bornAtMs
    if (born.place === 'freezer') this.frozenSinceMs = born.bornAtMs
  }

  take(event: LotEvent): void {
    if (this.end) {
      if (event.kind === 'used') this.draw(event.massG)
      this.afterEnd.push(event)
      return
    }
    switch (event.kind) {
      case 'spread':
        this.spread(event)
        return
      case 'moved':
        this.move(event)
        return
      case 'read':
        this.read(event)
        return
      case 'counted':
        this.massG = event.massG
        this.overdrawnG = 0
        break
      case 'gave':
        this.massG = Math.max(0, this.massG - event.massG)
        break
      case 'took':
        this.join(event)
        return
      case 'used':
        this.draw(event.massG)
        break
      case 'discarded': {
        const massG = Math.min(event.massG ?? this.massG, this.massG)
        this.massG -= massG
        this.discardedG += massG
        if (this.massG < EMPTY_G) this.end = { atMs: event.atMs, kind: 'discarded', reason: event.reason }
        return
      }
      case 'refused':
        this.end = { atMs: event.atMs, kind: 'refused', reason: event.reason }
        return
      case 'accepted':
        this.isAccepted = true
        return
      case 'finished':
        this.end = { atMs: event.atMs, kind: 'used', reason: null }
        return
      case 'ruleSet':
        this.changeRuleSet(event.to, event.atMs)
        return
      case 'confirmed':
      case 'undone':
        return
    }
    if (this.massG < EMPTY_G && this.hasMass()) this.end = { atMs: event.atMs, kind: 'used', reason: null }
  }

  private hasMass(): boolean {
    return this.born.massG !== null || this.spreadAtMs !== null
  }

  private draw(massG: number): void {
    this.usedG += massG
    const beyondG = massG - this.massG
    this.massG = Math.max(0, this.massG - massG)
    if (beyondG > EMPTY_G) this.overdrawnG += beyondG
  }

  private spread(event: Extract<LotEvent, { kind: 'spread' }>): void {
    this.massG += event.massG - (this.spreadMassG ?? 0)
    this.spreadMassG = event.massG
    this.spreadAtMs ??= event.atMs
    this.cookedAtMs ??= event.atMs
    this.trays = event.trays
    this.stand(event)
    this.readings.push({ eventId: event.id, atMs: event.atMs, tempC: event.tempC, source: 'dial', doubt: null })
  }

  private stand({ place, placeId, covered, airTempC, depthM, atMs }: Standing & { place: LotPlace; atMs: number }) {
    this.standing = { place, placeId, covered, airTempC, depthM: depthM ?? this.standing.depthM }
    this.stages.push({ fromMs: atMs, place, covered, airTempC, depthM: this.standing.depthM })
  }

  private move(event: Extract<LotEvent, { kind: 'moved' }>): void {
    const isOut = event.place === 'bench'
    const isFrozen = event.place === 'freezer'
    if (isOut && this.outSinceMs === null) this.outSinceMs = event.atMs
    if (!isOut) this.comeIn(event.atMs)
    if (isFrozen && this.frozenSinceMs === null) {
      this.frozenSinceMs = event.atMs
      this.freezes += 1
    }
    if (!isFrozen && this.frozenSinceMs !== null) {
      this.frozenMs += event.atMs - this.frozenSinceMs
      this.frozenSinceMs = null
    }
    this.stand(event)
  }

  private comeIn(atMs: number): void {
    if (this.outSinceMs === null) return
    this.outMs += atMs - this.outSinceMs
    this.outSinceMs = null
  }

  private read(event: Extract<LotEvent, { kind: 'read' }>): void {
    const doubt = this.confirmed.has(event.id) ? null : event.doubt
    const before = this.lastReading()
    this.readings.push({ eventId: event.id, atMs: event.atMs, tempC: event.tempC, source: event.source, doubt })
    if (doubt !== null) return
    const coldC = heldColdC(this.holdingSets)
    if (event.tempC <= coldC) {
      this.wasCold = true
      if (this.standing.place !== 'bench') this.comeIn(event.atMs)
    } else if (this.wasCold && this.outSinceMs === null && this.standing.place !== 'freezer') {
      this.outSinceMs = before && before.tempC <= coldC ? before.atMs : event.atMs
    }
    const { verdict } = this.judge(event.atMs)
    if (verdict === 'broken') this.end = { atMs: event.atMs, kind: 'refused', reason: 'cooling' }
  }

  private lastReading(): ShownReading | undefined {
    return this.readings.filter((reading) => reading.doubt === null).at(-1)
  }

  private join(event: Extract<LotEvent, { kind: 'took' }>): void {
    this.massG += event.massG
    this.cookedAtMs = Math.min(this.cookedAtMs ?? event.cookedAtMs, event.cookedAtMs)
    this.outMs = Math.max(this.outMs, event.outS * 1000)
    this.frozenMs = this.massG > event.massG ? Math.min(this.frozenMs, event.frozenMs) : event.frozenMs
    this.freezes = Math.max(this.freezes, event.freezes)
  }

  private judge(nowMs: number): { logs: LotState['logs']; verdict: StepVerdict } {
    if (this.spreadAtMs === null) return { logs: [], verdict: this.born.massG === null ? 'open' : 'met' }
    const spreadAtMs = this.spreadAtMs
    const counted = this.readings.filter((reading) => reading.doubt === null && reading.atMs >= spreadAtMs)
    const logs = this.coolingSets.map((ruleSet) => ({
      ruleSet,
      log: judgeReadings(counted, COOLING_LIMITS[ruleSet], spreadAtMs, nowMs),
    }))
    return { logs, verdict: worstVerdict(logs.map(({ log }) => log)) }
  }

  private changeRuleSet(to: RuleSet, atMs: number): void {
    const { verdict } = this.judge(atMs)
    const hasCooled = this.hasMass() && verdict === 'met'
    if (!hasCooled && !this.coolingSets.includes(to)) this.coolingSets.push(to)
    if (!this.holdingSets.includes(to)) this.holdingSets.push(to)
  }

  private frozenMsAt(nowMs: number): number {
    return this.frozenMs + (this.frozenSinceMs === null ? 0 : nowMs - this.frozenSinceMs)
  }

  private stage(verdict: StepVerdict, logs: LotState['logs']): LotStage {
    if (this.end) return this.end.kind
    if (!this.hasMass()) return 'cooking'
    if (this.standing.place === 'freezer') return 'frozen'
    const isCold = verdict === 'met' || (verdict === 'unproven' && this.isAccepted)
    if (isCold) return this.standing.place === 'bench' ? 'tempering' : 'ready'
    const isPastFirst = logs.every(({ log }) => log.steps.length > 1 && log.steps[0]?.reachedMs !== null)
    return isPastFirst ? 'chilling' : 'cooling'
  }

  state(nowMs: number): LotState {
    const { logs, verdict } = this.judge(nowMs)
    const stage = this.stage(verdict, logs)
    const outMs = this.outMs + (this.outSinceMs === null || this.end ? 0 : nowMs - this.outSinceMs)
    const mostOutMs = outLimitMs(this.holdingSets, this.house)
    const outByMs = this.outSinceMs === null ? null : nowMs + mostOutMs - outMs
    const frozenMs = this.frozenMsAt(nowMs)
    const keptUntilMs =
      this.cookedAtMs === null ? null : useByMs(this.holdingSets, this.house, this.cookedAtMs) + frozenMs
    const isInTime = (keptUntilMs === null || keptUntilMs >= nowMs) && outMs <= mostOutMs
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
      spreadMassG: this.spreadMassG,
      stages: this.stages,
      readings: this.readings,
      lastTempC: this.lastReading()?.tempC ?? null,
      logs,
      verdict,
      isAccepted: this.isAccepted,
      useByMs: keptUntilMs,
      outSinceMs: this.end ? null : this.outSinceMs,
      outS: outMs / 1000,
      outByMs: this.end ? null : outByMs,
      freezes: this.freezes,
      frozenMs,
      isUsable: (stage === 'ready' || stage === 'tempering') && isInTime && this.massG >= EMPTY_G,
      end: this.end,
      afterEnd: this.afterEnd,
    }
  }
}
