import { compareEvents } from '../../event/eventOrder'
import { struckOut } from '../../event/struckOut'
import { LotFold } from './lotFold'
import type { LotEvent, ShownReading } from './lotEvent'
import type { BornLot, HousePolicy, LoggedEvent, LotState, WhyNot } from './lotState'

/** A spread that was said by mistake is taken back at once, or it stands: its clock is the clock of the rice [ms]. */
const SPREAD_TAKEN_BACK_MS = 15 * 60_000

/**
 * A lot at `nowMs`, from what it was born with and everything said since. Rules, so that every device sees one lot:
 * - events are heard one after the other (what waits on a device last) and folded in the order of `compareEvents`, each id
 *   once, without those that were struck out; nothing is left out of the log;
 * - a broken verdict is final: once the kitchen has heard what refuses a lot, or that it was thrown away as warm or old,
 *   nothing heard later changes it, whatever time it bears;
 * - a cooling log that is broken under any rule set in force while the lot cooled refuses the lot, at the reading that
 *   shows it; frying does not rescue it;
 * - a reading with a doubt counts once it was confirmed; until then, or until it is measured again, one that would make
 *   the lot unfit holds it;
 * - any other end (used up, thrown away) is the end until it is taken back; what comes after is kept and changes nothing.
 */
export function lotState(born: BornLot, events: readonly LotEvent[], house: HousePolicy, nowMs: number): LotState {
  const known = byHearing(events.filter((event) => event.lotId === born.id && event.atMs <= nowMs))
  const hearing = new Hearing(born, house)
  for (const event of known) hearing.hear(event)
  return hearing.state(nowMs)
}

/** Whether saying this now would refuse the lot for good: it is asked about before it is said. */
export function wouldRefuse(born: BornLot, events: readonly LotEvent[], house: HousePolicy, said: LotEvent): boolean {
  const end = (all: readonly LotEvent[]) => lotState(born, all, house, said.atMs).end
  return end(events) === null && end([...events, said])?.kind === 'refused'
}

/** In the order in which the kitchen heard them, each id once; what it has not heard yet comes last. */
function byHearing(events: readonly LotEvent[]): LotEvent[] {
  const byId = new Map(events.map((event) => [event.id, event]))
  const heard = (event: LotEvent) => (event.heardMs === undefined ? event.atMs : (event.heardMs ?? Infinity))
  return [...byId.values()].sort((a, b) => {
    const [aMs, bMs] = [heard(a), heard(b)]
    return aMs === bMs ? compareEvents(a, b) : aMs - bMs
  })
}

class Hearing {
  private fold: LotFold
  private readonly heard: LotEvent[] = []
  private readonly ignored: { event: LotEvent; why: WhyNot }[] = []
  private latest: LotEvent | null = null

  constructor(
    private readonly born: BornLot,
    private readonly house: HousePolicy,
  ) {
    this.fold = LotFold.of(born, house, [])
  }

  hear(event: LotEvent): void {
    if (this.fold.finalEnd()) {
      this.fold.takeAfterEnd(event)
      this.ignored.push({ event, why: event.atMs < this.fold.finalEnd()!.atMs ? 'saidTooLate' : 'afterEnd' })
      if (event.kind === 'undone' || event.kind === 'accepted') this.ignored.at(-1)!.why = 'saidTooLate'
      return
    }
    const why = event.kind === 'undone' ? this.mayNotTakeBack(event) : null
    if (why) {
      this.ignored.push({ event, why })
      return
    }
    this.heard.push(event)
    const isNext = this.latest === null || compareEvents(this.latest, event) < 0
    if (isNext) this.latest = event
    if (isNext && event.kind !== 'undone' && event.kind !== 'confirmed') this.fold.take(event)
    else this.fold = LotFold.of(this.born, this.house, this.heard)
  }

  /** Why an undoing changes nothing, or null. What rice there is and what was found unfit are not taken back. */
  private mayNotTakeBack(undone: Extract<LotEvent, { kind: 'undone' }>): WhyNot | null {
    const target = this.heard.find((event) => event.id === undone.eventId)
    if (!target) return 'nothingThere'
    switch (target.kind) {
      case 'gave':
      case 'took':
      case 'used':
      case 'ruleSet':
      case 'refused':
        return 'notTakenBack'
      case 'discarded':
        if (target.reason === 'warm' || target.reason === 'old') return 'notTakenBack'
        break
      case 'spread':
        if (hearingMs(undone) - hearingMs(target) > SPREAD_TAKEN_BACK_MS) return 'saidTooLate'
        break
      case 'moved':
      case 'read':
      case 'confirmed':
      case 'counted':
      case 'accepted':
      case 'loosened':
      case 'finished':
      case 'undone':
        break
    }
    const { notUsable } = this.fold.state(hearingMs(undone))
    return notUsable?.kind === 'tooOld' || notUsable?.kind === 'outTooLong' ? 'saidTooLate' : null
  }

  state(nowMs: number): LotState {
    const plain = this.fold.state(nowMs)
    const held = plain.isUsable ? this.heldBy(nowMs) : null
    const notUsable = held ? { kind: 'held' as const, reading: held } : plain.notUsable
    return { ...plain, notUsable, isUsable: notUsable === null, log: this.log() }
  }

  /** A doubtful reading that would make a fit lot unfit: it never passes for nothing. */
  private heldBy(nowMs: number): ShownReading | null {
    for (const reading of this.fold.openDoubts()) {
      const { id } = this.born
      const sure: LotEvent = {
        ...NOBODY,
        id: `sure-${reading.eventId}`,
        lotId: id,
        atMs: nowMs,
        kind: 'confirmed',
        eventId: reading.eventId,
      }
      if (!LotFold.of(this.born, this.house, [...this.heard, sure]).state(nowMs).isUsable) return reading
    }
    return null
  }

  private log(): LoggedEvent[] {
    const struck = struckOut(this.heard.slice().sort(compareEvents))
    const taken = this.fold.log()
    const byId = new Map(taken.map((one) => [one.event.id, one]))
    const heard = this.heard.map((event): LoggedEvent => {
      const struckBy = struck.get(event.id) ?? null
      if (struckBy) return { event, counts: false, why: 'struckOut', struckBy }
      if (event.kind === 'undone') return { event, counts: true, why: null, struckBy: null }
      return {
        event,
        counts: byId.get(event.id)?.counts ?? false,
        why: byId.get(event.id)?.why ?? null,
        struckBy: null,
      }
    })
    const ignored = this.ignored.map(({ event, why }) => ({ event, counts: false, why, struckBy: null }))
    return [...heard, ...ignored].sort((a, b) => compareEvents(a.event, b.event))
  }
}

const NOBODY = { deviceId: '', counter: 0, heardMs: null } as const
const hearingMs = (event: LotEvent): number => event.heardMs ?? event.atMs
