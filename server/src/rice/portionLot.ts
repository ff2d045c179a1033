import type { Kitchen } from 'contract/kitchen'
import { EventId } from 'contract/ids'
import type { Lot, LotEvent, Portioning } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import { lotFault } from 'core/rice/lot/lotFault'
import type { LotState } from 'core/rice/lot/lotState'
import type { PoolConnection } from 'mysql2/promise'
import { v5 as idFrom } from 'uuid'
import { Problem } from '../http/problems'
import { placeInTime } from '../http/clockAhead'
import { foldLot, policyOf } from './foldLot'
import { insertLot, insertLotEvent, lockLots, takeLotNumber } from './lots.sql'
import { keepLot, problemOf, unknownLot } from './takeLotEvents'

const OURS = '5a0c5c5e-53a5-4c6e-8a3c-6d2a7c1f4b10'

/**
 * Moves cold rice from one lot to another, or to a new one: both ends in one transaction, and what was taken brings its
 * age and its time out of the cold along. Sent twice, it is done once.
 * @throws {Problem} unknown-lot, lot-short, lot-not-cold, invalid, clock-ahead
 */
export async function portionLot(
  connection: PoolConnection,
  kitchen: Kitchen,
  house: RiceHouse,
  fromId: string,
  sent: Portioning,
  nowMs: number,
): Promise<Lot> {
  const input = { ...sent, atMs: placeInTime(sent.atMs, nowMs) }
  if (input.toLotId === fromId)
    throw new Problem('invalid', { detail: 'a lot is not poured to itself: choose another' })
  const locked = await lockLots(connection, kitchen.id, [fromId, input.toLotId])
  const from = locked.find((lot) => lot.id === fromId)
  if (!from) throw unknownLot(fromId)
  if (from.events.some((event) => event.id === input.id)) return from
  const policy = policyOf(kitchen, house)
  const over = foldLot(from, policy, nowMs).end
  if (over) throw new Problem('lot-short', { detail: `${from.name} is over: nothing can be taken from it` })
  const state = foldLot(from, policy, input.atMs)
  const base = { deviceId: 'server', atMs: input.atMs, counter: 0, heardMs: nowMs }
  const gave: LotEvent = {
    ...base,
    id: input.id,
    lotId: fromId,
    kind: 'gave',
    toLotId: input.toLotId,
    massG: input.massG,
  }
  const fault = lotFault(state, gave, kitchen.ruleSet, policy.leadIds)
  if (fault) throw problemOf(fault, from)
  const known = locked.find((lot) => lot.id === input.toLotId)
  if (input.kind === 'merge' && !known) throw unknownLot(input.toLotId)
  const to = known ?? (await newPart(connection, kitchen.id, from, state, input))
  const toState = foldLot(to, policy, input.atMs)
  const isCold = ['ready', 'tempering', 'frozen'].includes(toState.stage)
  if (known && !isCold) {
    throw new Problem('lot-not-cold', {
      detail: `${to.name} is not cold yet: cold rice is not poured to warm rice`,
      values: { lot: to.name, tempC: Math.round(toState.lastTempC ?? 0) },
    })
  }
  const took: LotEvent = {
    ...base,
    id: EventId.parse(idFrom(input.id, OURS)),
    lotId: to.id,
    kind: 'took',
    fromLotId: fromId,
    massG: input.massG,
    cookedAtMs: state.cookedAtMs ?? from.bornAtMs,
    outS: state.outS,
    frozenMs: state.frozenMs,
    freezes: state.freezes,
    brought: {
      spreadAtMs: state.spreadAtMs,
      cooledAtMs: state.cooledAtMs,
      ruleSets: state.logs.map(({ ruleSet }) => ruleSet),
      readings: state.readings,
      acceptedSteps: state.acceptedSteps,
      isOut: state.outSinceMs !== null,
    },
  }
  for (const event of [gave, took]) await insertLotEvent(connection, kitchen.id, event, nowMs)
  const after = { ...from, events: [...from.events, gave] }
  const toAfter = { ...to, events: [...to.events, took] }
  await keepLot(connection, kitchen.id, toAfter, foldLot(toAfter, policy, nowMs), nowMs)
  await keepLot(connection, kitchen.id, after, foldLot(after, policy, nowMs), nowMs)
  return after
}

/** A part of a cold lot is born empty, where the lot stands; what it takes fills it and brings its clock and log along. */
async function newPart(
  connection: PoolConnection,
  kitchenId: string,
  from: Lot,
  state: LotState,
  input: Portioning,
): Promise<Lot> {
  const number = await takeLotNumber(connection, kitchenId)
  const part = {
    ...from,
    id: input.toLotId,
    name: `R-${number}`,
    number,
    bornAtMs: input.atMs,
    cookedAtMs: null,
    massG: 0,
    tempC: null,
    place: state.place,
    placeId: state.placeId,
    load: null,
    events: [],
  }
  await insertLot(connection, kitchenId, part)
  return part
}
