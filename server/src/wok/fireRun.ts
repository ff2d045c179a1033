import type { Dish } from 'contract/dish'
import type { FireRun, Run } from 'contract/run'
import type { Kitchen } from 'contract/kitchen'
import { batchScore } from 'core/line/batchScore'
import { isLateModifier } from 'core/book/vary'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { refuseFuture } from '../http/clockAhead'
import { Problem } from '../http/problems'
import { drawRice } from '../rice/drawRice'
import {
  findDishVersion,
  findRun,
  insertRun,
  insertRunLots,
  lockItems,
  lockRun,
  lockStation,
  openRunIdAt,
  type LockedItem,
} from './runs.sql'
import { changesOfRun, settleRun } from './settle'

/**
 * Fires a batch: checks it against tickets, station and book, works the score out and keeps both. Sent twice, it is the
 * same run. A run fired without a network is kept whatever others fired meanwhile: the food is in the wok.
 * @throws {Problem} unknown-dish, unknown-station, wrong-station, station-too-small, station-busy, already-fired,
 *   nothing-left, allergen-stays, invalid or clock-ahead
 */
export async function fireRun(
  connection: PoolConnection,
  kitchen: Kitchen,
  fire: FireRun,
  nowMs: number,
): Promise<Run> {
  const station = await lockStation(connection, kitchen.id, fire.stationId)
  const before = await findRun(connection, kitchen.id, fire.id)
  if (before) return before
  refuseFuture(fire.firedAtMs, nowMs)
  const dish = await findDishVersion(connection, kitchen.id, fire.dishId, fire.dishVersion)
  if (!dish) {
    throw new Problem('unknown-dish', {
      detail: `the book has no version ${fire.dishVersion} of "${fire.dishId}": read the dishes again`,
      values: { dish: fire.dishId },
    })
  }
  if (!station) {
    throw new Problem('unknown-station', {
      detail: `no station "${fire.stationId}": use one of ${kitchen.stations.map((one) => one.id).join(', ')}`,
    })
  }
  checkStation(station, fire, dish)
  if (!fire.isUnconfirmed) await checkStationFree(connection, kitchen, fire, station.name, nowMs)
  const ids = fire.parts.map((part) => part.itemId)
  const items = await lockItems(connection, kitchen.id, ids)
  checkAllergy(fire, items)
  const twicePortions = portionsFiredTwice(fire, items)
  const parts = fire.parts.map((part) => {
    const item = items.find((one) => one.id === part.itemId)
    return { ...part, modifiers: item?.modifiers ?? [], ticketNumber: item?.ticketNumber ?? part.ticketNumber }
  })
  const modifiers = (items[0]?.modifiers ?? []).filter((id) => !isLateModifier(dish, id)).sort()
  const allergies = items[0]?.allergies ?? []
  const result = batchScore(dish, { dishId: dish.id, modifiers, allergies, parts }, kitchen.tools, kitchen.ruleSet)
  if (result.kind === 'refused') {
    throw new Problem(result.reason === 'allergen' ? 'allergen-stays' : 'unknown-modifier', {
      detail: `${dish.name} cannot be cooked like this: ${result.names.join(', ')}`,
      values: {
        allergen: result.names[0] ?? '',
        dish: dish.name,
        components: result.names.slice(1).join(', '),
        modifier: result.names[0] ?? '',
      },
    })
  }
  const { deviceId: _deviceId, ...fired } = fire
  const run = {
    ...fired,
    parts,
    modifiers,
    allergies,
    dishName: dish.name,
    score: result.score,
    twicePortions,
  }
  await insertRun(connection, kitchen.id, run)
  const lots = await drawRice(connection, kitchen, run, result.score.riceMassG, nowMs)
  await insertRunLots(connection, kitchen.id, run.id, lots)
  const riceChanges = lots.map(({ id }) => ({ topic: 'rice' as const, key: id }))
  await announce(connection, kitchen.id, nowMs, [...changesOfRun(run), ...riceChanges])
  const saved = await findRun(connection, kitchen.id, run.id)
  if (!saved) throw new Error(`run ${run.id} was not saved`)
  return saved
}

type LockedStation = NonNullable<Awaited<ReturnType<typeof lockStation>>>

function checkStation(station: LockedStation, fire: FireRun, dish: Dish): void {
  if (station.kind !== dish.stationKind) {
    throw new Problem('wrong-station', {
      detail: `${dish.name} is cooked on a ${dish.stationKind}, ${station.name} is a ${station.kind}: choose another station`,
      values: { dish: dish.name, station: station.name },
    })
  }
  const portions = fire.parts.reduce((sum, part) => sum + part.portions, 0)
  if (portions > station.capPortions) {
    throw new Problem('station-too-small', {
      detail: `${station.name} takes ${station.capPortions} portions, the batch has ${portions}: fire it in parts`,
      values: { station: station.name, cap: station.capPortions, portions },
    })
  }
}

async function checkStationFree(
  connection: PoolConnection,
  kitchen: Kitchen,
  fire: FireRun,
  stationName: string,
  nowMs: number,
): Promise<void> {
  const busyId = await openRunIdAt(connection, kitchen.id, fire.stationId)
  if (busyId === null) return
  await lockRun(connection, kitchen.id, busyId)
  const busy = await findRun(connection, kitchen.id, busyId)
  if (busy && (await settleRun(connection, kitchen.id, busy, nowMs)).state === 'open') {
    throw new Problem('station-busy', {
      detail: `${stationName} still has ${busy.dishName}: finish or stop that run first`,
      values: { station: stationName, dish: busy.dishName, runId: busy.id },
    })
  }
}

/** An allergy is cooked alone, whatever a device believes of the tickets. */
function checkAllergy(fire: FireRun, items: readonly LockedItem[]): void {
  const strangers = fire.parts.filter(
    (part) => !items.some((item) => item.id === part.itemId && item.dishId === fire.dishId),
  )
  if (strangers.length > 0) {
    throw new Problem('invalid', {
      detail: `no ticket line ${strangers.map((part) => part.itemId).join(', ')} of this dish: read the tickets again`,
      faults: [{ field: 'parts', message: 'names a ticket line that this kitchen does not have' }],
    })
  }
  if (items.length > 1 && items.some((item) => item.allergies.length > 0)) {
    throw new Problem('invalid', {
      detail: 'a ticket line with an allergy is cooked alone: fire it as a batch of its own',
      faults: [{ field: 'parts', message: 'mixes an allergy with other portions' }],
    })
  }
}

function portionsFiredTwice(fire: FireRun, items: readonly LockedItem[]): number {
  return items.reduce((sum, item) => {
    const wanted = fire.parts.filter((part) => part.itemId === item.id).reduce((n, part) => n + part.portions, 0)
    const over = item.firedPortions + wanted - item.portions
    if (fire.isUnconfirmed) return sum + Math.max(0, over)
    if (item.isCancelled) {
      throw new Problem('nothing-left', {
        detail: `ticket ${item.ticketNumber} was cancelled: take it out of the batch`,
        values: { ticket: item.ticketNumber },
      })
    }
    if (over > 0) {
      throw new Problem('already-fired', {
        detail: `ticket ${item.ticketNumber} is already fired: look at its run`,
        values: { ticket: item.ticketNumber, runId: item.firedBy ?? '' },
      })
    }
    return sum
  }, 0)
}
