import type { Kitchen } from 'contract/kitchen'
import type { Lot, NewLot } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import { isAbove, isBelow } from 'core/measure/temperature'
import { COOLING_LIMITS, HOLDING_LIMITS } from 'core/safety/coolingLimits'
import { useByMs } from 'core/rice/lot/lotHolding'
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
  if (begun.isReheated) {
    throw new Problem('lot-reheated', {
      detail: 'rice that was cooled and heated again is not cooled a second time: throw it away',
    })
  }
  if (begun.cookedAtMs > begun.atMs) {
    throw new Problem('lot-age', { detail: 'it cannot have been cooked after it came: ask again how old it is' })
  }
  const endsMs = useByMs([kitchen.ruleSet], policyOf(kitchen, house), begun.cookedAtMs)
  if (endsMs < nowMs) {
    throw new Problem('lot-age', {
      detail: `rice of that age had to be used by ${new Date(endsMs).toISOString()}: throw it away`,
      values: { useByMs: endsMs },
    })
  }
  const { coldC, coldF } = HOLDING_LIMITS[kitchen.ruleSet]
  const { startC, startF } = COOLING_LIMITS[kitchen.ruleSet]
  const { grain, cookedAtMs, massG, tempC, tempF = null, place, placeId } = begun
  const came = { tempC, tempF }
  if (!isBelow(came, { tempC: startC, tempF: startF })) {
    return { grain, cookedAtMs, massG: null, tempC: null, tempF: null, place: null, placeId: null, load: null }
  }
  if (isAbove(came, { tempC: coldC, tempF: coldF })) {
    throw new Problem('lot-between', {
      detail: `${tempC} °C is neither cold (${coldC} °C) nor hot (${startC} °C), and nobody knows for how long: throw it away`,
      values: { tempC, coldC, startC },
    })
  }
  return { grain, cookedAtMs, massG, tempC, tempF, place, placeId, load: null }
}
