import { EventId } from 'contract/ids'
import type { Kitchen } from 'contract/kitchen'
import type { LotEvent } from 'contract/rice'
import type { RuleSet } from 'core/safety/limits'
import type { PoolConnection } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { foldLot, policyOf } from './foldLot'
import { findRiceHouse } from './house.sql'
import { insertLotEvent, listOpenLots, lockLots, saveLotState } from './lots.sql'

/**
 * Tells every open lot of a changed rule set: rice that is cooling must keep both, and its log shows both; rice that is
 * cold is held by both. Returns the lots; the caller says that they changed.
 */
export async function changeRuleSetOfLots(
  connection: PoolConnection,
  kitchen: Kitchen,
  to: RuleSet,
  nowMs: number,
): Promise<string[]> {
  const policy = policyOf(kitchen, await findRiceHouse(connection, kitchen.id))
  const open = await listOpenLots(connection, kitchen.id)
  const ids = open.map((lot) => lot.id)
  for (const lot of await lockLots(connection, kitchen.id, ids)) {
    const event: LotEvent = {
      id: EventId.parse(newId()),
      lotId: lot.id,
      deviceId: 'server',
      atMs: nowMs,
      counter: 0,
      heardMs: nowMs,
      kind: 'ruleSet',
      from: kitchen.ruleSet,
      to,
    }
    await insertLotEvent(connection, kitchen.id, event, nowMs)
    await saveLotState(
      connection,
      kitchen.id,
      lot.id,
      foldLot({ ...lot, events: [...lot.events, event] }, policy, nowMs),
    )
  }
  return ids
}
