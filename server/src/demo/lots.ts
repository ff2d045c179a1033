import { EventId } from 'contract/ids'
import type { Kitchen } from 'contract/kitchen'
import { NewLot, type Lot, type SaidOfLot } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import { coolTray } from 'core/rice/cooling/coolTray'
import { tempAtC } from 'core/rice/cooling/fitCooling'
import { trayStages } from 'core/rice/cooling/predictCooling'
import { HOLDING_LIMITS } from 'core/safety/coolingLimits'
import type { PoolConnection } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { beginLot } from '../rice/beginLot'
import { takeLotEvents } from '../rice/takeLotEvents'

const MIN_MS = 60_000
const COOK_MS = 30 * MIN_MS
const SPREAD_MS = 8 * MIN_MS
const USUAL_STEAM_G = 240
/** Readings as people take them: often while it is hot, then by the hour. */
const READ_AT_MIN = [8, 18, 32, 50, 70, 92, 118, 150, 200, 260, 320, 380, 440, 500]

/** A load of the sample kitchen: how much, how deep, and how its place really cools. */
export type DemoLoad = {
  agoMs: number
  dryMassG: number
  massG: number
  depthM: number
  trays: number
  factor: number
  covered?: boolean
}
export type Word = SaidOfLot extends infer T
  ? T extends SaidOfLot
    ? Omit<T, 'id' | 'lotId' | 'deviceId' | 'atMs' | 'counter'>
    : never
  : never

export const sayOfLot = (lotId: string, atMs: number, word: Word): SaidOfLot => ({
  id: EventId.parse(newId({ msecs: Math.round(atMs) })),
  lotId,
  deviceId: 'demo',
  atMs: Math.round(atMs),
  counter: 0,
  ...word,
})

/** Cooks a load through the same functions as a live day: on the heat, spread, and read until it is cold or until now. */
export async function cookDemoLoad(
  connection: PoolConnection,
  kitchen: Kitchen,
  house: RiceHouse,
  load: DemoLoad,
  nowMs: number,
): Promise<Lot> {
  const bornAtMs = Math.round(nowMs - load.agoMs)
  const lot = await beginLot(
    connection,
    kitchen,
    house,
    NewLot.parse({
      id: newId({ msecs: bornAtMs }),
      origin: 'cooked',
      atMs: bornAtMs,
      load: {
        vesselId: 'steamer',
        method: 'steamer',
        blend: { long: 1 },
        wash: 'three',
        dryMassG: load.dryMassG,
        waterG: load.massG + USUAL_STEAM_G - load.dryMassG,
        targetWaterFraction: 0.6,
      },
    }),
    bornAtMs,
  )
  const spreadMs = bornAtMs + COOK_MS + SPREAD_MS
  if (spreadMs > nowMs) return lot
  const spread = sayOfLot(lot.id, spreadMs, {
    kind: 'spread',
    massG: load.massG,
    tempC: 91,
    depthM: load.depthM,
    trays: load.trays,
    place: 'fridge',
    placeId: 'walk-in',
    covered: load.covered ?? false,
    airTempC: 3.4,
  })
  const events = [spread, ...readings(lot.id, load, spreadMs, nowMs, kitchen)]
  return (await hearAll(connection, kitchen, house, lot.id, events)) ?? lot
}

/** Says things of a lot of the sample kitchen, each heard when it was said. */
export async function hearAll(
  connection: PoolConnection,
  kitchen: Kitchen,
  house: RiceHouse,
  lotId: string,
  events: readonly SaidOfLot[],
): Promise<Lot | null> {
  let lot: Lot | null = null
  for (const event of events) {
    const taken = await takeLotEvents(connection, kitchen, house, lotId, [event], event.atMs)
    if (taken.kind === 'taken') lot = taken.lot
  }
  return lot
}

/** Readings of a load from the model with its hidden factor, until it is cold. */
export function readings(
  lotId: string,
  load: Pick<DemoLoad, 'depthM' | 'factor' | 'covered'>,
  spreadMs: number,
  nowMs: number,
  kitchen: Kitchen,
): SaidOfLot[] {
  const stage = { durationS: 36_000, place: 'fridge' as const, covered: load.covered ?? false, airTempC: 3.4 }
  const curve = coolTray({ depthM: load.depthM, startTempC: 91 }, trayStages([stage], load.factor))
  const { coldC } = HOLDING_LIMITS[kitchen.ruleSet]
  const said: SaidOfLot[] = []
  for (const minute of READ_AT_MIN) {
    const atMs = spreadMs + minute * MIN_MS
    if (atMs > nowMs) break
    const tempC = Math.round(tempAtC(curve, minute * 60))
    said.push(sayOfLot(lotId, atMs, { kind: 'read', tempC, source: 'dial' }))
    if (tempC <= coldC) break
  }
  return said
}
