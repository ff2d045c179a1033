import type { Dish } from 'contract/dish'
import { EventId, RunId } from 'contract/ids'
import type { Kitchen } from 'contract/kitchen'
import { RunPart, type FireRun } from 'contract/run'
import { NewTicket, type Ticket } from 'contract/ticket'
import type { PoolConnection } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import type { Wave } from 'core/line/waves'
import { boatWave } from '../device/feed/boatWave'
import { placeTickets } from '../line/placeTickets'
import { withIds } from '../line/ticketIds'
import { addTicketEvents } from '../line/tickets.sql'
import { addComplaint } from '../record/complaints.sql'
import { fireDerived } from '../wok/deriveScore'
import { fireRun } from '../wok/fireRun'
import { insertStationEvent } from '../wok/stations.sql'
import { takeEvents } from '../wok/takeEvents'
import { boatPlan, demoTimes } from './boatPlan'
import { cooksWords } from './cooksWords'
import { lcg } from './chance'
import { DEMO_COOK_AT, DEMO_LEAD } from './kitchen'
import { mishapOf, type Mishap } from './mishaps'

const MIN_MS = 60_000
const AFTER_END_MS = 20 * MIN_MS
/** A guest says so much later that something was wrong. */
const HEARD_MS = 12 * MIN_MS
/** From when a boat lands, and the stations are free for it, until its last dish is handed over: none took longer. */
const BOAT_LASTS_MS = 40 * MIN_MS

/**
 * Cooks past boats through the same functions as a live evening: a wave of tickets, its batches, runs with the words of
 * cooks who are now and then late, and what they said when something went wrong.
 * @param nowMs nothing is written down later than this: a record of the future reads as a clock that was set back
 */
export async function cookPastBoats(
  connection: PoolConnection,
  kitchen: Kitchen,
  dishes: readonly Dish[],
  boats: readonly Wave[],
  seed: number,
  nowMs: number,
): Promise<void> {
  const random = lcg(seed)
  const chance = lcg(seed + 50_021)
  const timesOf = demoTimes(kitchen)
  const freeAtMs = new Map(kitchen.stations.map((station) => [station.id, 0]))
  for (const [boat, { landsMs, leavesMs }] of boats.entries()) {
    if (Math.max(landsMs, ...freeAtMs.values()) > nowMs - BOAT_LASTS_MS) break
    const wave = boatWave(seed + boat, { landsMs, leavesMs }, dishes).slice(0, 5)
    const placed: Ticket[] = []
    for (const { atMs, ticket } of wave) {
      const ids = withIds(NewTicket.parse({ ...ticket, source: 'feed' }))
      placed.push(...(await placeTickets(connection, kitchen.id, [ids], atMs)))
    }
    const batches = boatPlan(kitchen, dishes, placed, timesOf, landsMs)
    const upAtMs = new Map<string, number>()
    for (const batch of batches) {
      const endsAtMs = await cookBatch(connection, kitchen, batch, freeAtMs, { random, chance }, nowMs)
      for (const { ticketId } of batch.parts) upAtMs.set(ticketId, Math.max(endsAtMs, upAtMs.get(ticketId) ?? 0))
    }
    for (const { id } of placed) {
      const passS = 15 + 60 * random() * random()
      await handOver(connection, kitchen.id, id, Math.round((upAtMs.get(id) ?? landsMs) + passS * 1000))
    }
  }
}

async function cookBatch(
  connection: PoolConnection,
  kitchen: Kitchen,
  batch: ReturnType<typeof boatPlan>[number],
  freeAtMs: Map<string, number>,
  { random, chance }: { random: () => number; chance: () => number },
  nowMs: number,
): Promise<number> {
  const { dish, station } = batch
  const placedAtMs = Math.max(batch.placedAtMs, batch.setUpStartMs, freeAtMs.get(station.id) ?? 0)
  const firedAtMs = Math.round(placedAtMs + (10 + 30 * random()) * 1000)
  if (batch.allergies.length > 0)
    await insertStationEvent(
      connection,
      kitchen.id,
      {
        id: EventId.parse(newId()),
        stationId: station.id,
        kind: 'washed',
        atMs: firedAtMs - 4000,
        staffId: null,
        deviceId: 'demo',
      },
      firedAtMs - 4000,
    )
  const fire: FireRun = {
    id: RunId.parse(newId({ msecs: firedAtMs })),
    dishId: dish.id,
    dishVersion: dish.version,
    stationId: station.id,
    cookId: DEMO_COOK_AT[station.id] ?? null,
    modifiers: [...batch.modifiers],
    allergies: [...batch.allergies],
    parts: RunPart.array().parse(batch.parts),
    firedAtMs,
    promisedAtMs: Math.round(batch.promisedAtMs),
    handsFree: true,
    deviceId: 'demo',
    isUnconfirmed: false,
  }
  const run = await fireDerived(kitchen, (score) => fireRun(connection, kitchen, fire, firedAtMs, score))
  const mishap = mishapOf(run, chance)
  const { events, endsAtMs } = cooksWords(run, random, mishap)
  await takeEvents(connection, kitchen.id, run.id, events, Math.min(endsAtMs + AFTER_END_MS, nowMs))
  if (mishap) await hearOf(connection, kitchen.id, run.id, mishap, Math.min(endsAtMs + HEARD_MS, nowMs))
  freeAtMs.set(station.id, endsAtMs + 20_000)
  return endsAtMs
}

async function hearOf(connection: PoolConnection, kitchenId: string, runId: RunId, mishap: Mishap, atMs: number) {
  const id = EventId.parse(newId({ msecs: Math.round(atMs) }))
  const word = {
    kind: 'complained',
    id,
    of: { kind: 'run', runId },
    what: mishap.heard,
    atMs: Math.round(atMs),
  } as const
  await addComplaint(connection, kitchenId, word, DEMO_LEAD, atMs)
}

async function handOver(connection: PoolConnection, kitchenId: string, ticketId: string, atMs: number): Promise<void> {
  const event = { id: EventId.parse(newId({ msecs: atMs })), kind: 'handedOver' as const, atMs, counter: 0 }
  await addTicketEvents(connection, kitchenId, ticketId, [event], atMs)
}
