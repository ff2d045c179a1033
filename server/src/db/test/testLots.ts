import { EventId } from 'contract/ids'
import { Lot, LotList, type NewLot, type SaidOfLot } from 'contract/rice'
import { v7 as newId } from 'uuid'
import { send, type TestKitchen } from './testKitchen'

export const MIN_MS = 60_000
export const HOUR_MS = 60 * MIN_MS

type Word = SaidOfLot extends infer T
  ? T extends SaidOfLot
    ? Omit<T, 'id' | 'lotId' | 'deviceId' | 'atMs' | 'counter'>
    : never
  : never

export const said = (lotId: string, atMs: number, word: Word, id = newId()): SaidOfLot => ({
  id: EventId.parse(id),
  lotId,
  deviceId: 'phone',
  atMs: Math.round(atMs),
  counter: 0,
  ...word,
})

export const loadOf = (atMs: number, change: Partial<Extract<NewLot, { origin: 'cooked' }>['load']> = {}): NewLot => ({
  id: newId(),
  origin: 'cooked',
  atMs: Math.round(atMs),
  load: {
    vesselId: 'steamer',
    method: 'steamer',
    blend: { long: 1 },
    wash: 'three',
    dryMassG: 2000,
    waterG: 2600,
    targetWaterFraction: 0.6,
    ...change,
  },
})

export const boughtAt = (atMs: number, change: Partial<Exclude<NewLot, { origin: 'cooked' }>> = {}): NewLot => ({
  id: newId(),
  origin: 'bought',
  atMs: Math.round(atMs),
  cookedAtMs: Math.round(atMs - 12 * HOUR_MS),
  massG: 3000,
  tempC: 4,
  place: 'fridge',
  placeId: 'walk-in',
  grain: 'long',
  isReheated: false,
  ...change,
})

export const SPREAD: Word = {
  kind: 'spread',
  massG: 4300,
  tempC: 92,
  depthM: 0.035,
  trays: 1,
  place: 'fridge',
  placeId: 'walk-in',
  covered: false,
  airTempC: 3,
}
export const read = (tempC: number): Word => ({ kind: 'read', tempC, source: 'dial' })
export const toBench: Word = {
  kind: 'moved',
  place: 'bench',
  placeId: 'bench',
  covered: true,
  airTempC: 21,
  depthM: null,
}

/** What the tests ask of a kitchen's rice. */
export function riceOf({ app }: TestKitchen) {
  const post = (lot: NewLot) => send(app, 'POST', '/rice/lots', lot)
  const say = (id: string, ...events: SaidOfLot[]) => send(app, 'POST', `/rice/lots/${id}/events`, { events })
  return {
    post,
    say,
    begin: async (lot: NewLot) => Lot.parse((await post(lot)).json),
    lot: async (id: string) => Lot.parse((await send(app, 'GET', `/rice/lots/${id}`)).json),
    open: async () => LotList.parse((await send(app, 'GET', '/rice/lots')).json).lots,
  }
}
