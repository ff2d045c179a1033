import type { Dish } from 'contract/dish'
import { EventId, RunId } from 'contract/ids'
import type { Kitchen } from 'contract/kitchen'
import { RunPart, type FireRun, type Run, type RunEvent } from 'contract/run'
import { NewTicket, type Ticket } from 'contract/ticket'
import type { PoolConnection } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import type { Wave } from 'core/line/waves'
import { boatWave } from '../device/feed/boatWave'
import { placeTickets } from '../line/placeTickets'
import { withIds } from '../line/ticketIds'
import { addTicketEvents } from '../line/tickets.sql'
import { fireDerived } from '../wok/deriveScore'
import { fireRun } from '../wok/fireRun'
import { insertStationEvent } from '../wok/stations.sql'
import { takeEvents } from '../wok/takeEvents'
import { boatPlan, demoTimes } from './boatPlan'
import { lcg } from './chance'
import { DEMO_COOK_AT } from './kitchen'

const MIN_MS = 60_000
const AFTER_END_MS = 20 * MIN_MS
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
      const endsAtMs = await cookBatch(connection, kitchen, batch, freeAtMs, random, nowMs)
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
  random: () => number,
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
  const { events, endsAtMs } = cooksWords(run, random)
  await takeEvents(connection, kitchen.id, run.id, events, Math.min(endsAtMs + AFTER_END_MS, nowMs))
  freeAtMs.set(station.id, endsAtMs + 20_000)
  return endsAtMs
}

async function handOver(connection: PoolConnection, kitchenId: string, ticketId: string, atMs: number): Promise<void> {
  const event = { id: EventId.parse(newId({ msecs: atMs })), kind: 'handedOver' as const, atMs, counter: 0 }
  await addTicketEvents(connection, kitchenId, ticketId, [event], atMs)
}

/** How often a step is given ten seconds more: one ring of the sample kitchen is slower than its plate says. */
const LATE = 0.14
const LATE_AT: Readonly<Record<string, number>> = { 'ring-b': 0.6 }

/** What a cook says in a run: a word at every check, sometimes late, sometimes ten seconds more, seldom trouble. */
function cooksWords(run: Run, random: () => number): { events: RunEvent[]; endsAtMs: number } {
  const events: RunEvent[] = []
  let nowMs = run.firedAtMs
  const say = (
    atMs: number,
    word:
      | { kind: 'done'; stepId: string }
      | { kind: 'checked'; stepId: string; ok: boolean; tempC: number | null; tempF: number | null }
      | { kind: 'later'; stepId: string; delayS: number }
      | { kind: 'trouble'; trouble: 'sticking'; stepId: string },
  ) =>
    events.push({
      id: EventId.parse(newId({ msecs: Math.round(atMs) })),
      runId: run.id,
      deviceId: 'demo',
      atMs: Math.round(atMs),
      counter: 0,
      ...word,
    })
  for (const step of run.score.steps) {
    let lastsMs = step.durationS * 1000
    if (step.durationS >= 40 && random() < (LATE_AT[run.stationId] ?? LATE)) {
      say(nowMs + lastsMs - 4000, { kind: 'later', stepId: step.id, delayS: 10 })
      lastsMs += 10_000
    } else if (step.action === 'riceIn' && random() < 0.05) {
      say(nowMs + lastsMs / 2, { kind: 'trouble', trouble: 'sticking', stepId: step.id })
      lastsMs += 8000
    } else if (step.durationS >= 20 && step.check === null && random() < 0.12) {
      lastsMs -= 3000
      say(nowMs + lastsMs, { kind: 'done', stepId: step.id })
    }
    if (step.check !== null && (step.check.food !== 'rice' || run.riceReading?.isAsked !== false)) {
      lastsMs += 1000 + 5000 * random() * random()
      const coreF = Math.ceil((step.check.limit.coreC * 9) / 5 + 32 + 4 + 6 * random())
      say(nowMs + lastsMs, {
        kind: 'checked',
        stepId: step.id,
        ok: true,
        tempC: Math.round(((coreF - 32) * 50) / 9) / 10,
        tempF: coreF,
      })
    }
    nowMs = Math.round(nowMs + lastsMs)
  }
  return { events, endsAtMs: nowMs }
}
