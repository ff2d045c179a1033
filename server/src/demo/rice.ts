import type { Kitchen } from 'contract/kitchen'
import type { SaidOfLot } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import { endOfLocalDay, localDay } from 'core/time/localTime'
import type { PoolConnection } from 'mysql2/promise'
import { DEFAULT_POLICY } from '../rice/defaultPolicy'
import { HISTORY_DAYS } from '../rice/plan/demandRecord'
import { foldLot, policyOf } from '../rice/foldLot'
import { listOpenLots } from '../rice/lots.sql'
import { saveDemand } from '../rice/plan/plan.sql'
import { demoDemand } from './demand'
import { cookDemoLoad, hearAll, readings, sayOfLot, type DemoLoad, type Word } from './lots'

const MIN_MS = 60_000
const HOUR_MS = 60 * MIN_MS
/** The number of the oldest lot of the sample kitchen. */
export const FIRST_DEMO_LOT = 11

export const DEMO_POLICY = DEFAULT_POLICY

const load = (agoH: number, massG: number, more: Partial<DemoLoad> = {}): DemoLoad => ({
  agoMs: agoH * HOUR_MS,
  dryMassG: Math.round(massG / 2.09 / 10) * 10,
  massG,
  depthM: 0.036,
  trays: 2,
  factor: 1,
  ...more,
})

type Past = { load: DemoLoad; daysAgo?: number; then: { afterH: number; word: Word }[] }

/**
 * Lots of the past days in the order of their numbers, from R-11; then the rice of these evenings. With `daysAgo`, no
 * earlier calendar day than that: opened at night, R-17 would be of the day before and past its use-by.
 */
const PAST: readonly Past[] = [
  {
    load: load(290, 3000),
    then: [
      {
        afterH: 20,
        word: { kind: 'moved', place: 'freezer', placeId: 'freezer', covered: true, airTempC: -19, depthM: null },
      },
    ],
  },
  { load: load(150, 8200), then: [{ afterH: 30, word: { kind: 'finished' } }] },
  { load: load(126, 8400), then: [{ afterH: 32, word: { kind: 'discarded', massG: null, reason: 'endOfDay' } }] },
  { load: load(102, 8300), then: [{ afterH: 27, word: { kind: 'finished' } }] },
  { load: load(78, 8100), then: [{ afterH: 29, word: { kind: 'discarded', massG: null, reason: 'quality' } }] },
  { load: load(30, 4000, { depthM: 0.075, trays: 1, covered: true, factor: 0.9 }), then: [] },
  { load: load(54, 34_600, { trays: 9 }), daysAgo: 2, then: [] },
  { load: load(29, 12_400, { trays: 3 }), then: [] },
]
/** Tonight's cooking for tomorrow; the last tray has no air below it. */
const COOLING: readonly DemoLoad[] = [
  load(3.2, 4000, { depthM: 0.038, trays: 1 }),
  load(2.65, 4100, { depthM: 0.038, trays: 1 }),
  load(1.75, 4000, { depthM: 0.038, trays: 1, factor: 0.55 }),
]

/** Past demand and the lots that these evenings draw on. */
export async function cookPastRice(connection: PoolConnection, kitchen: Kitchen, house: RiceHouse, nowMs: number) {
  await saveDemand(connection, kitchen.id, demoDemand(localDay(nowMs, kitchen.timeZone), HISTORY_DAYS), 'tickets')
  for (const { load, daysAgo, then } of PAST) {
    const dayBeganMs = daysAgo === undefined ? -Infinity : endOfLocalDay(nowMs, kitchen.timeZone, -daysAgo - 1)
    const agoMs = Math.min(load.agoMs, nowMs - dayBeganMs - MIN_MS)
    const lot = await cookDemoLoad(connection, kitchen, house, { ...load, agoMs }, nowMs)
    const words = then.map(({ afterH, word }) => sayOfLot(lot.id, lot.bornAtMs + afterH * HOUR_MS, word))
    await hearAll(connection, kitchen, house, lot.id, words)
  }
}

/** After the evenings were cooked: the shelf is counted, a tray stands out to temper, and tomorrow's rice cools. */
export async function setOutRice(connection: PoolConnection, kitchen: Kitchen, house: RiceHouse, nowMs: number) {
  const ready = (await listOpenLots(connection, kitchen.id))
    .map((lot) => ({ lot, state: foldLot(lot, policyOf(kitchen, house), nowMs) }))
    .filter(({ state }) => state.stage === 'ready')
  const [oldest, next] = ready
  const say = (id: string, agoMin: number, word: Word) =>
    hearAll(connection, kitchen, house, id, [sayOfLot(id, nowMs - agoMin * MIN_MS, word)])
  if (oldest && next) {
    await say(oldest.lot.id, 42, { kind: 'counted', massG: 2600 })
    await say(oldest.lot.id, 30, {
      kind: 'moved',
      place: 'bench',
      placeId: 'bench',
      covered: true,
      airTempC: 21,
      depthM: null,
    })
    await say(next.lot.id, 41, { kind: 'counted', massG: 12_300 })
  }
  for (const one of COOLING) await cookDemoLoad(connection, kitchen, house, one, nowMs)
}

/** On a later start: what cooled meanwhile was read, what is too old is thrown away, and some rice is there to fry. */
export async function bringRiceUpToDate(connection: PoolConnection, kitchen: Kitchen, house: RiceHouse, nowMs: number) {
  const policy = policyOf(kitchen, house)
  let usableG = 0
  for (const lot of await listOpenLots(connection, kitchen.id)) {
    const state = foldLot(lot, policy, nowMs)
    const say = (events: readonly SaidOfLot[]) => hearAll(connection, kitchen, house, lot.id, events)
    const spreadMs = state.spreadAtMs
    const lastMs = state.readings.at(-1)?.atMs ?? 0
    if (state.stage === 'cooking' || (spreadMs !== null && state.verdict !== 'met' && nowMs - lastMs > 4 * HOUR_MS)) {
      const own =
        spreadMs === null
          ? []
          : readings(lot.id, { depthM: state.depthM ?? 0.036, factor: 1 }, spreadMs, nowMs, kitchen)
      await say(own.filter((event) => event.atMs > lastMs))
    }
    const isOver = (state.useByMs ?? Infinity) < nowMs || (state.outByMs ?? Infinity) < nowMs
    if (isOver) await say([sayOfLot(lot.id, nowMs, { kind: 'discarded', massG: null, reason: 'old' })])
    else if (state.isUsable) usableG += state.massG
  }
  if (usableG < 4000) await cookDemoLoad(connection, kitchen, house, load(20, 24_000, { trays: 7 }), nowMs)
}
