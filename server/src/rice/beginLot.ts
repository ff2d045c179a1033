import type { Kitchen } from 'contract/kitchen'
import type { Lot, NewLot } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import { arrivalLimits, judgeArrival, type ArrivalLimits, type ArrivalVerdict } from 'core/rice/lot/judgeArrival'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { Problem } from '../http/problems'
import { placeInTime } from '../http/clockAhead'
import { foldLot, policyOf } from './foldLot'
import { findLot, insertLot, lockNumbers, saveLotState, takeLotNumber } from './lots.sql'

/**
 * Begins a lot: a load on the heat, or rice from elsewhere. Sent twice, it is the same lot. Rice from elsewhere must be
 * cold enough to keep, or hot enough to be weighed and spread like a load; in between nobody knows for how long.
 * @throws {Problem} unknown-place, lot-between, lot-reheated, lot-age, clock-ahead
 */
export async function beginLot(
  connection: PoolConnection,
  kitchen: Kitchen,
  house: RiceHouse,
  sent: NewLot,
  nowMs: number,
): Promise<Lot> {
  await lockNumbers(connection, kitchen.id)
  const before = await findLot(connection, kitchen.id, sent.id)
  if (before) return before
  const begun = { ...sent, atMs: placeInTime(sent.atMs, nowMs) }
  const policy = policyOf(kitchen, house)
  const born = begun.origin === 'cooked' ? load(begun, house) : fromElsewhere(begun, kitchen, house, nowMs)
  const number = await takeLotNumber(connection, kitchen.id)
  const lot: Omit<Lot, 'events'> = {
    id: begun.id,
    name: `R-${number}`,
    number,
    origin: begun.origin,
    bornAtMs: begun.atMs,
    ruleSet: kitchen.ruleSet,
    ...born,
  }
  await insertLot(connection, kitchen.id, lot)
  await saveLotState(connection, kitchen.id, lot.id, foldLot({ ...lot, events: [] }, policy, nowMs))
  await announce(connection, kitchen.id, nowMs, [{ topic: 'rice', key: lot.id }])
  return { ...lot, events: [] }
}

type Born = Pick<Lot, 'grain' | 'cookedAtMs' | 'massG' | 'tempC' | 'tempF' | 'place' | 'placeId' | 'load'>

function load({ load }: Extract<NewLot, { origin: 'cooked' }>, house: RiceHouse): Born {
  if (!house.vessels.some((vessel) => vessel.id === load.vesselId)) {
    throw new Problem('unknown-place', {
      detail: `no vessel "${load.vesselId}": use one of ${house.vessels.map((one) => one.id).join(', ')}`,
    })
  }
  const [grain = 'long'] = Object.entries(load.blend).sort(([, a], [, b]) => b - a)[0] ?? []
  return { grain, cookedAtMs: null, massG: null, tempC: null, tempF: null, place: null, placeId: null, load }
}

function fromElsewhere(
  begun: Exclude<NewLot, { origin: 'cooked' }>,
  kitchen: Kitchen,
  house: RiceHouse,
  nowMs: number,
): Born {
  const { grain, cookedAtMs, massG, tempC, tempF = null, place, placeId, atMs, isReheated } = begun
  const arrival = { arrivedAtMs: atMs, cookedAtMs, isReheated, read: { tempC, tempF } }
  const verdict = judgeArrival(arrival, kitchen.ruleSet, policyOf(kitchen, house), nowMs)
  switch (verdict.kind) {
    case 'cold':
      return { grain, cookedAtMs, massG, tempC, tempF, place, placeId, load: null }
    case 'hot':
      return { grain, cookedAtMs, massG: null, tempC: null, tempF: null, place: null, placeId: null, load: null }
    case 'asking':
      throw new Problem('invalid', { detail: `${verdict.missing}: ask for it before the rice is taken in` })
    case 'refused':
      throw refusal(verdict, tempC, arrivalLimits(kitchen.ruleSet))
  }
}

function refusal(
  { why, useByMs }: Extract<ArrivalVerdict, { kind: 'refused' }>,
  tempC: number,
  { cold, hot }: ArrivalLimits,
): Problem {
  switch (why) {
    case 'ageUnknown':
      return new Problem('lot-age', { detail: 'nobody knows how old it is: throw it away' })
    case 'reheated':
      return new Problem('lot-reheated', {
        detail: 'rice that was cooled and heated again is not cooled a second time: throw it away',
      })
    case 'cookedLater':
      return new Problem('lot-age', {
        detail: 'it cannot have been cooked after it came: ask again how old it is',
      })
    case 'tooOld':
      return new Problem('lot-age', {
        detail: `rice of that age had to be used by ${new Date(useByMs ?? 0).toISOString()}: throw it away`,
        values: { useByMs: useByMs ?? 0 },
      })
    case 'between':
      return new Problem('lot-between', {
        detail: `${tempC} °C is neither cold (${cold.tempC} °C) nor hot (${hot.tempC} °C), and nobody knows for how long: throw it away`,
        values: { tempC, coldC: cold.tempC, startC: hot.tempC },
      })
  }
}
