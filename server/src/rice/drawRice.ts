import type { Kitchen } from 'contract/kitchen'
import { EventId } from 'contract/ids'
import type { LotEvent } from 'contract/rice'
import type { Run } from 'contract/run'
import { allocateRice, inOrderOfUse, type Draw, type LotOnHand } from 'core/rice/lot/allocate'
import type { ReadingPlan } from 'core/rice/reading/riceReading'
import type { PoolConnection } from 'mysql2/promise'
import { v5 as idFrom } from 'uuid'
import { foldLot, policyOf } from './foldLot'
import { findRiceHouse } from './house.sql'
import { insertLotEvent, lockReadyLots, saveLotState } from './lots.sql'

const OURS = '9d0f3a52-1f0e-4f57-9a86-52c3f7f0a2d1'

/** Rice as it was drawn, whether a lot of it is used on the lead's word, and how the house reads it. */
export type DrawnRice = { lots: Run['lots']; isAccepted: boolean; plan: ReadingPlan }

/**
 * Draws a batch's rice from the lots that could be used when it was fired, oldest first. The rice is in the wok whatever
 * the books say: what is missing is written to the last lot in that order, which then asks to be weighed. Without any
 * usable lot the run carries none. The caller says that the lots changed.
 */
export async function drawRice(
  connection: PoolConnection,
  kitchen: Kitchen,
  run: { id: Run['id']; firedAtMs: number },
  riceMassG: number,
  nowMs: number,
): Promise<DrawnRice> {
  const house = await findRiceHouse(connection, kitchen.id)
  const policy = policyOf(kitchen, house)
  const lots = await lockReadyLots(connection, kitchen.id)
  const onHand = lots.flatMap((lot): LotOnHand[] => {
    const state = foldLot(lot, policy, run.firedAtMs)
    if (!state.isUsable || (state.stage !== 'ready' && state.stage !== 'tempering')) return []
    const { stage, massG, useByMs, cookedAtMs } = state
    return [{ id: lot.id, name: lot.name, stage, massG, useByMs: useByMs ?? Infinity, cookedAtMs: cookedAtMs ?? 0 }]
  })
  const draws = allDraws(onHand, riceMassG)
  const drawn: Run['lots'] = []
  let isAccepted = false
  for (const draw of draws) {
    const lot = lots.find((one) => one.id === draw.lotId)
    if (!lot) continue
    const used: LotEvent = {
      id: EventId.parse(idFrom(`${run.id} ${lot.id}`, OURS)),
      lotId: lot.id,
      deviceId: 'server',
      atMs: run.firedAtMs,
      counter: 0,
      heardMs: nowMs,
      kind: 'used',
      runId: run.id,
      massG: draw.massG,
    }
    await insertLotEvent(connection, kitchen.id, used, nowMs)
    const after = { ...lot, events: [...lot.events, used] }
    const state = foldLot(after, policy, nowMs)
    await saveLotState(connection, kitchen.id, lot.id, state)
    isAccepted ||= state.isAccepted
    drawn.push({ id: lot.id, name: lot.name, massG: draw.massG })
  }
  return { lots: drawn, isAccepted, plan: house.policy }
}

function allDraws(onHand: readonly LotOnHand[], riceMassG: number): Draw[] {
  const [{ draws, shortG } = { draws: [], shortG: 0 }] = allocateRice(onHand, [riceMassG])
  if (shortG === 0) return draws
  const last = inOrderOfUse(onHand).at(-1)
  if (!last) return []
  const own = draws.find((draw) => draw.lotId === last.id)
  if (own) return draws.map((draw) => (draw === own ? { ...draw, massG: draw.massG + shortG } : draw))
  return [...draws, { lotId: last.id, massG: shortG }]
}
