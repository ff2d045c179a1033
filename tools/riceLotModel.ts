import { RiceLotInput, RiceLotOutput, type LotModelEvent } from 'contract/riceLotModel'
import { celsiusOf } from 'core/measure/temperature'
import { isLead } from 'core/people/roles'
import { lotState } from 'core/rice/lot/lot'
import type { LotEvent } from 'core/rice/lot/lotEvent'
import { lotFault, type LotFault } from 'core/rice/lot/lotFault'
import { COOLING_LIMITS } from 'core/safety/coolingLimits'
import type { BornLot, HousePolicy, LotState, WhyNot } from 'core/rice/lot/lotState'
import type { Model } from './model'

/** A lot is born at midnight, so that days of use are whole days. */
const BORN_MS = Date.parse('2026-01-05T00:00:00Z')
const USUAL_MASS_G = 1000
const USUAL_DEPTH_M = 0.04
const MIN_REASON_LETTERS = 3
const ID = 'lot'

const msOf = (atS: number) => BORN_MS + Math.round(atS * 1000)
const secondsOf = (ms: number) => (ms - BORN_MS) / 1000

function bornLot(input: RiceLotInput): BornLot {
  const head = { id: ID, origin: input.origin, bornAtMs: BORN_MS, placeId: null, ruleSet: input.ruleSet }
  if (input.origin === 'cooked') return { ...head, cookedAtMs: null, massG: null, tempC: null, place: null }
  const read = input.tempC ?? input.tempF ?? null
  return {
    ...head,
    cookedAtMs: msOf(input.cookedAtS ?? 0),
    massG: input.massG ?? USUAL_MASS_G,
    place: input.place ?? 'fridge',
    ...(read === null ? { tempC: null } : temperatureOf(input)),
  }
}

function temperatureOf({
  tempC = null,
  tempF = null,
}: {
  tempC?: number | null | undefined
  tempF?: number | null | undefined
}) {
  return { tempC: tempC ?? celsiusOf(tempF ?? 0), tempF }
}

function eventOf(said: LotModelEvent, index: number): LotEvent {
  const head = {
    id: said.id ?? `#${index + 1}`,
    lotId: ID,
    deviceId: said.deviceId ?? 'device',
    staffId: said.staffId ?? null,
    atMs: msOf(said.atS),
    counter: said.counter ?? index,
    heardMs: msOf(said.saidAtS ?? said.atS),
  }
  switch (said.kind) {
    case 'spread':
      return {
        ...head,
        ...temperatureOf(said),
        kind: 'spread',
        massG: said.massG ?? USUAL_MASS_G,
        depthM: said.depthM ?? USUAL_DEPTH_M,
        trays: said.trays ?? 1,
        place: said.place ?? 'fridge',
        placeId: said.placeId ?? null,
        covered: said.covered ?? false,
        airTempC: said.airTempC ?? null,
      }
    case 'moved':
      return {
        ...head,
        kind: 'moved',
        place: said.place,
        placeId: said.placeId ?? null,
        covered: said.covered ?? false,
        depthM: said.depthM ?? null,
        airTempC: said.airTempC ?? null,
      }
    case 'read':
      return { ...head, ...temperatureOf(said), kind: 'read', source: said.source ?? 'dial', doubt: said.doubt ?? null }
    case 'gave':
      return { ...head, kind: 'gave', toLotId: said.toLotId ?? '', massG: said.massG ?? 0 }
    case 'took':
      return {
        ...head,
        kind: 'took',
        fromLotId: said.fromLotId ?? '',
        massG: said.massG ?? 0,
        cookedAtMs: msOf(said.cookedAtS ?? 0),
        outS: said.outS ?? 0,
        frozenMs: (said.frozenS ?? 0) * 1000,
        freezes: said.freezes ?? 0,
      }
    case 'used':
      return { ...head, kind: 'used', runId: said.runId ?? '', massG: said.massG ?? 0 }
    case 'discarded':
      return { ...head, kind: 'discarded', massG: said.massG ?? null, reason: said.reason }
    case 'accepted':
      return { ...head, kind: 'accepted', reason: said.reason ?? '', staffId: said.staffId ?? null }
    case 'ruleSet':
      return { ...head, kind: 'ruleSet', from: said.from ?? said.to, to: said.to }
    case 'confirmed':
    case 'undone':
      return { ...head, kind: said.kind, eventId: said.eventId }
    case 'counted':
      return { ...head, kind: 'counted', massG: said.massG }
    case 'refused':
      return { ...head, kind: 'refused', reason: said.reason }
    case 'loosened':
      return { ...head, kind: 'loosened', looseness: said.looseness }
    case 'finished':
      return { ...head, kind: 'finished' }
  }
}

const FAULTS: Readonly<Record<LotFault['code'], string>> = {
  'lot-short': 'more than there is: not taken',
  'lot-not-cold': 'the lot is not cold: not taken',
  'lot-frozen-once': 'it was frozen once: not taken',
  'lot-not-back': 'it was out and is not cold: it does not go back',
  'lot-depth': 'no tray is that deep: not taken',
  'lot-lead': 'only a lead accepts',
  'lot-proven': 'the lot was not unproven at that moment',
}
const WHYS: Readonly<Record<WhyNot, string>> = {
  struckOut: 'taken back',
  saidTooLate: 'said too late: the verdict was final',
  afterEnd: 'said after the end of the lot',
  doubt: 'in doubt and not confirmed',
  notLead: 'only a lead accepts',
  notUnproven: 'the lot was not unproven at that moment',
  notTakenBack: 'this cannot be taken back',
  nothingThere: 'names nothing that was said',
}

type Taken = { taken: LotEvent[]; refused: Map<string, string> }

/** As the server takes them: in the order in which it hears them, what the lot as it stood could not take is kept aside. */
function takeAll(events: readonly LotEvent[], born: BornLot, policy: HousePolicy, nowMs: number): Taken {
  const refused = new Map<string, string>()
  const taken: LotEvent[] = []
  const heard = [...events].sort((a, b) => (a.heardMs ?? 0) - (b.heardMs ?? 0) || a.atMs - b.atMs)
  for (const event of heard) {
    if ((event.heardMs ?? event.atMs) > nowMs || event.atMs > nowMs) refused.set(event.id, 'not said yet')
    else if (event.kind === 'accepted' && event.reason.trim().length < MIN_REASON_LETTERS)
      refused.set(event.id, 'without a reason')
    else {
      const fault = lotFault(lotState(born, taken, policy, event.atMs), event, born.ruleSet, policy.leadIds)
      if (fault) refused.set(event.id, FAULTS[fault.code])
      else taken.push(event)
    }
  }
  return { taken, refused }
}

function because(state: LotState, nowMs: number): string {
  const clock = (ms: number) => `${(secondsOf(ms) / 3600).toFixed(2)} h`
  const { notUsable } = state
  if (!notUsable)
    return state.isAccepted
      ? 'cold, and accepted by the lead'
      : 'cold in time, within its date and its time out of the cold'
  switch (notUsable.kind) {
    case 'over': {
      const { end } = notUsable
      if (end.kind === 'used') return `used up at ${clock(end.atMs)}`
      if (end.reason !== 'cooling')
        return `${end.kind} (${end.reason}) at ${clock(end.atMs)}: final where it is refused, warm or old`
      const broken = state.logs.flatMap(({ ruleSet, log }) =>
        log.steps
          .filter((step) => step.verdict === 'broken')
          .map(
            (step) =>
              `${COOLING_LIMITS[ruleSet].source}: above ${step.tempC} °C at or after its limit, ${clock(step.limitMs ?? nowMs)}`,
          ),
      )
      return broken[0] ?? `refused at ${clock(end.atMs)}: it broke its cooling limit`
    }
    case 'cooking':
      return 'on the heat: it was not spread yet'
    case 'cooling':
      return 'not cold yet by the log'
    case 'overdue':
      return 'the limit is past and nobody looked: read it now'
    case 'unproven':
      return 'cold, but the reading came after the limit: only a lead can accept it'
    case 'frozen':
      return 'frozen: thaw it in the fridge'
    case 'empty':
      return 'nothing is left of it'
    case 'held':
      return `a reading of ${notUsable.reading.tempC} °C is in doubt: confirm it or measure again`
    case 'tooOld':
      return `past its use-by, ${clock(notUsable.useByMs)}`
    case 'outTooLong':
      return `${(notUsable.outS / 3600).toFixed(2)} h out of the cold, at most ${(notUsable.mostS / 3600).toFixed(2)} h`
  }
}

function run(raw: unknown): { kind: 'output'; output: unknown } {
  const input = RiceLotInput.parse(raw)
  const born = bornLot(input)
  const leadIds = input.staff.filter(({ role }) => isLead(role)).map(({ id }) => id)
  const policy: HousePolicy = { timeZone: 'UTC', keepDays: null, outMin: null, leadIds }
  const nowMs = msOf(input.nowS)
  const events = input.events.map(eventOf)
  const { taken, refused } = takeAll(events, born, policy, nowMs)
  const state = lotState(born, taken, policy, nowMs)
  const logged = new Map(state.log.map((one) => [one.event.id, one]))
  const log = [...events]
    .sort((a, b) => a.atMs - b.atMs)
    .map((event) => {
      const entry = logged.get(event.id)
      const hasTemp = event.kind === 'read' || event.kind === 'spread'
      return {
        id: event.id,
        atS: secondsOf(event.atMs),
        kind: event.kind,
        tempC: hasTemp ? event.tempC : null,
        tempF: hasTemp ? (event.tempF ?? null) : null,
        counts: entry?.counts ?? false,
        why: refused.get(event.id) ?? (entry?.why ? WHYS[entry.why] : null),
      }
    })
  return {
    kind: 'output',
    output: {
      stage: state.stage,
      verdict: state.verdict,
      usable: state.isUsable,
      because: because(state, nowMs),
      outS: state.outS,
      useByS: state.useByMs === null ? null : secondsOf(state.useByMs),
      log,
    },
  }
}

export const RICE_LOT_MODEL: Readonly<Record<string, Model>> = {
  'rice.lot': { input: RiceLotInput, output: RiceLotOutput, run },
}
