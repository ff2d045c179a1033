import { lotState } from '../rice/lot/lot'
import type { LotEvent } from '../rice/lot/lotEvent'
import type { BornLot, HousePolicy } from '../rice/lot/lotState'

export const HOUR_MS = 3_600_000
export const MIN_MS = 60_000
export const T0 = Date.parse('2026-11-25T14:00:00Z')
export const HOUSE: HousePolicy = { timeZone: 'UTC', keepDays: null, outMin: null, leadIds: ['odalys'] }
export const LOAD: BornLot = {
  id: 'a',
  origin: 'cooked',
  bornAtMs: T0,
  cookedAtMs: null,
  massG: null,
  tempC: null,
  place: null,
  placeId: null,
  ruleSet: 'us',
}
/** Rice that came cold into the fridge. */
export const COLD_LOT: BornLot = {
  ...LOAD,
  origin: 'bought',
  cookedAtMs: T0 - HOUR_MS,
  massG: 3000,
  tempC: 4,
  place: 'fridge',
}

export type Said = LotEvent extends infer E
  ? E extends LotEvent
    ? Omit<E, 'id' | 'lotId' | 'deviceId' | 'atMs' | 'counter'>
    : never
  : never
let count = 0
export const say = (atMs: number, said: Said, lotId = 'a'): LotEvent => ({
  id: `e${String((count += 1)).padStart(4, '0')}`,
  lotId,
  deviceId: 'phone',
  atMs,
  counter: 0,
  ...said,
})
export const spread = (massG = 4000): Said & { kind: 'spread' } => ({
  kind: 'spread',
  massG,
  tempC: 95,
  depthM: 0.03,
  trays: 2,
  place: 'fridge',
  placeId: 'walk-in',
  covered: false,
  airTempC: null,
})
export const read = (tempC: number, doubt: (Said & { kind: 'read' })['doubt'] = null): Said => ({
  kind: 'read',
  tempC,
  source: 'dial',
  doubt,
})
/** As a kitchen that reads °F says it. */
export const readF = (tempF: number): Said => ({
  kind: 'read',
  tempC: (tempF - 32) / 1.8,
  tempF,
  source: 'dial',
  doubt: null,
})
export const moved = (place: Extract<Said, { kind: 'moved' }>['place'], airTempC: number | null = null): Said => ({
  kind: 'moved',
  place,
  placeId: null,
  covered: false,
  depthM: null,
  airTempC,
})
export const at = (events: LotEvent[], ms: number, born = LOAD, house = HOUSE) => lotState(born, events, house, ms)

/** Spread at 14:30, 57 °C shown at 15:00, cold at 18:00. */
export const COLD = [
  say(T0 + 0.5 * HOUR_MS, spread()),
  say(T0 + HOUR_MS, read(57)),
  say(T0 + 2.5 * HOUR_MS, read(20)),
  say(T0 + 4 * HOUR_MS, read(5)),
]
