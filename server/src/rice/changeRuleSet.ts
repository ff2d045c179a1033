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
 * A rule set changed while rice cools: the lots keep the old one and must keep the new one as well, and their log shows
 * both. Returns the lots that it touched; the caller says that they changed.
 */
export async function changeRuleSetOfLots(
  connection: PoolConnection,
  kitchen: Kitchen,
  to: RuleSet,
  nowMs: number,
): Promise<string[]> {
  const policy = policyOf(kitchen, await findRiceHouse(connection, kitchen.id))
  const open = await listOpenLots(connection, kitchen.id)
  const cooling = open.filter((lot) => ['cooking', 'cooling', 'chilling'].includes(foldLot(lot, policy, nowMs).stage))
  const ids = cooling.map((lot) => lot.id)
  for (const lot of await lockLots(connection, kitchen.id, ids)) {
    const event: LotEvent = {
      id: EventId.parse(newId()),
      lotId: lot.id,
      deviceId: 'server',
      atMs: nowMs,
      counter: 0,
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
