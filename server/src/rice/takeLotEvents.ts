import type { Kitchen } from 'contract/kitchen'
import type { Lot, LotEvent, SaidOfLot } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import { doubtOfLot } from 'core/rice/lot/doubtReading'
import type { Doubt } from 'core/rice/lot/lotEvent'
import { lotFault, type LotFault } from 'core/rice/lot/lotFault'
import type { LotState } from 'core/rice/lot/lotState'
import { learnSteam } from 'core/rice/loads'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { Problem } from '../http/problems'
import { placeInTime } from '../http/clockAhead'
import { foldLot, policyOf } from './foldLot'
import { lockVessel, saveSteam } from './house.sql'
import { insertLotEvent, keepRefusedLotEvent, lockLots, saveLotState } from './lots.sql'

type LotTaken = { kind: 'taken'; lot: Lot } | { kind: 'refused'; problem: Problem }

/**
 * Takes what was said of a lot: each id once, in any order. What the lot as it stood then could not take is refused with
 * its reason and kept aside, the rest is taken; an odd reading is taken with its doubt and counts once it is confirmed.
 * @param doubts of readings, by their ids, that only show over time: a probe that is stuck or late
 */
export async function takeLotEvents(
  connection: PoolConnection,
  kitchen: Kitchen,
  house: RiceHouse,
  lotId: string,
  said: readonly SaidOfLot[],
  nowMs: number,
  doubts: ReadonlyMap<string, Doubt> = new Map(),
): Promise<LotTaken> {
  const events = said.map((one) => ({ ...one, atMs: placeInTime(one.atMs, nowMs) }))
  const [found] = await lockLots(connection, kitchen.id, [lotId])
  if (!found) return refuse(connection, kitchen.id, events, unknownLot(lotId), nowMs)
  const policy = policyOf(kitchen, house)
  const known = new Set(found.events.map((event) => event.id))
  let lot = found
  let problem: Problem | null = null
  let taken = 0
  for (const one of events) {
    if (known.has(one.id)) continue
    const state = foldLot(lot, policy, one.atMs)
    const event: LotEvent = {
      ...(one.kind === 'read' ? doubted(one, state, doubts.get(one.id)) : one),
      heardMs: nowMs,
    }
    const fault = lotFault(state, event, kitchen.ruleSet, policy.leadIds)
    if (fault) {
      problem ??= problemOf(fault, lot)
      await keepRefusedLotEvent(connection, kitchen.id, event, fault.code, nowMs)
      continue
    }
    await insertLotEvent(connection, kitchen.id, event, nowMs)
    if (event.kind === 'spread' && state.spreadAtMs === null) await learn(connection, kitchen.id, lot, event.massG)
    lot = { ...lot, events: [...lot.events, event] }
    taken += 1
  }
  if (taken > 0) await keepLot(connection, kitchen.id, lot, foldLot(lot, policy, nowMs), nowMs)
  return problem ? { kind: 'refused', problem } : { kind: 'taken', lot }
}

/** Writes what a lot comes to and says that it changed. */
export async function keepLot(
  connection: PoolConnection,
  kitchenId: string,
  lot: Lot,
  state: LotState,
  nowMs: number,
): Promise<void> {
  await saveLotState(connection, kitchenId, lot.id, state)
  await announce(connection, kitchenId, nowMs, [{ topic: 'rice', key: lot.id }])
}

/** A reading with what is odd about it: what its probe showed over time, or else what the lot shows now. */
function doubted(said: Extract<SaidOfLot, { kind: 'read' }>, state: LotState, shown: Doubt | undefined): LotEvent {
  const reading = { tempC: said.tempC, tempF: said.tempF ?? null, atMs: said.atMs }
  return { ...said, doubt: shown ?? doubtOfLot(state, reading, null)?.doubt ?? null }
}

/** The weighed load tells what its vessel loses as steam. */
async function learn(connection: PoolConnection, kitchenId: string, lot: Lot, cookedMassG: number): Promise<void> {
  if (!lot.load) return
  const vessel = await lockVessel(connection, kitchenId, lot.load.vesselId)
  if (!vessel) return
  const { steamGPerMin } = learnSteam(vessel, { ...lot.load, cookedMassG })
  await saveSteam(connection, kitchenId, vessel.id, steamGPerMin)
}

async function refuse(
  connection: PoolConnection,
  kitchenId: string,
  events: readonly SaidOfLot[],
  problem: Problem,
  nowMs: number,
): Promise<LotTaken> {
  for (const event of events) await keepRefusedLotEvent(connection, kitchenId, event, problem.code, nowMs)
  return { kind: 'refused', problem }
}

export const unknownLot = (id: string) =>
  new Problem('unknown-lot', { detail: `no lot ${id}: what you sent is kept aside; look for it on the shelf` })

const DETAILS: Readonly<Record<LotFault['code'], (values: LotFault['values'], name: string) => string>> = {
  'lot-short': ({ askedG, leftG }, name) => `${name} has ${leftG} g, not ${askedG} g: weigh it and count it first`,
  'lot-not-cold': ({ tempC }, name) => `${name} is at ${tempC} °C: it stays in the cold until its cooling is done`,
  'lot-frozen-once': (_, name) => `${name} was frozen once: use it or throw it away`,
  'lot-not-back': ({ coldC, outMin }, name) =>
    `${name} was out for ${outMin} min and above ${coldC} °C: it is used in its time or thrown away`,
  'lot-depth': ({ depthCm, leastCm, mostCm }) => `${depthCm} cm is no tray: give ${leastCm} to ${mostCm} cm`,
  'lot-lead': (_, name) => `only the lead accepts ${name}: hand it to the lead, or refuse it`,
  'lot-proven': (_, name) => `${name} is not unproven now: there is nothing to accept`,
}

export const problemOf = (fault: LotFault, lot: Pick<Lot, 'name'>) =>
  new Problem(fault.code, {
    detail: DETAILS[fault.code](fault.values, lot.name),
    values: { ...fault.values, lot: lot.name },
  })
