import type { Dish } from 'contract/dish'
import type { FireRun, Run } from 'contract/run'
import type { Kitchen } from 'contract/kitchen'
import { mixedParts, type BatchInput } from 'core/book/batchComponents'
import { heatOf } from 'core/line/batchHeat'
import { orderedBatch, type BatchRefused } from 'core/line/orderedBatch'
import { metalToBeginOnC } from 'core/line/idleMetal'
import { scoreFaults } from 'core/line/scoreFaults'
import { isWashed } from 'core/line/stationPast'
import { isLateModifier } from 'core/book/variation/vary'
import type { Score } from 'core/wok/score'
import { onWarmMetal } from 'core/wok/warmMetal'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { placeInTime } from '../http/clockAhead'
import { Problem } from '../http/problems'
import { drawRice } from '../rice/drawRice'
import { findDishVersion, findRun, insertRun, insertRunLots, lockRun, lockStation, openRunIdAt } from './runs.sql'
import { askReading } from './askReading'
import { lockItems, type LockedItem } from './lockItems.sql'
import { changesOfRun, settleRun } from './settle'
import { findStationPast } from './stations.sql'
import { findToldStation } from './told.sql'

/** The batch came without a score that holds: one must be derived, outside the transaction, and the batch fired again. */
export class ScoreNeeded extends Error {
  constructor(
    readonly dish: Dish,
    readonly batch: BatchInput,
    readonly station: Kitchen['stations'][number],
    /** The food is in the wok already, by a score that was sent. */
    readonly isCooking: boolean,
  ) {
    super(`${dish.name}: its score has to be derived`)
  }
}

/**
 * Fires a batch: checks it and its score against tickets, station and book, and keeps both. Sent twice, it is the same run.
 * A run fired without a network is kept whatever is wrong with it, and marked: the food is in the wok.
 * @param derived a score of the server's own, where the one that was sent does not hold; `asSent` where none can be derived
 * @throws {ScoreNeeded} where there is no score that holds
 * @throws {Problem} unknown-dish, unknown-station, wrong-station, station-too-small, station-busy, already-fired,
 *   nothing-left, not-washed, allergen-stays, allergen-unknown, allergen-may, invalid or clock-ahead
 */
export async function fireRun(
  connection: PoolConnection,
  kitchen: Kitchen,
  sent: FireRun,
  nowMs: number,
  derived: Score | 'asSent' | null = null,
): Promise<Run> {
  const station = await lockStation(connection, kitchen.id, sent.stationId)
  const before = await findRun(connection, kitchen.id, sent.id)
  if (before) return sameRun(before, sent)
  const fire = { ...sent, firedAtMs: placeInTime(sent.firedAtMs, nowMs) }
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
  const marks = new Set<RunMark>()
  /** Food that is in the wok already is kept whatever is wrong with it, and marked. */
  const refuseOr = (mark: RunMark, problem: () => Problem) => {
    if (!fire.isUnconfirmed) throw problem()
    marks.add(mark)
  }
  checkKind(station, dish)
  const portions = fire.parts.reduce((sum, part) => sum + part.portions, 0)
  if (portions > station.capPortions) refuseOr('overCap', () => tooSmall(station, portions))
  if (!fire.isUnconfirmed) await checkStationFree(connection, kitchen, fire, station.name, nowMs)
  const ids = fire.parts.map((part) => part.itemId)
  const items = await lockItems(connection, kitchen.id, ids)
  checkItems(fire, items)
  if (items.length > 1 && items.some((item) => item.allergies.length > 0)) refuseOr('allergyMixed', allergyMixed)
  const twicePortions = portionsFiredTwice(fire, items)
  const parts = fire.parts.map((part) => {
    const item = items.find((one) => one.id === part.itemId)
    return { ...part, modifiers: item?.modifiers ?? [], ticketNumber: item?.ticketNumber ?? part.ticketNumber }
  })
  const modifiers = fire.modifiers.filter((id) => !isLateModifier(dish, id)).sort()
  const allergies = [...new Set(items.flatMap((item) => item.allergies))].sort()
  const mixed = mixedParts(dish, { modifiers, allergies, parts })
  if (mixed.length > 0) refuseOr('mixedParts', () => cookedDifferently(mixed.map((i) => parts[i]!.ticketNumber)))
  const past = await findStationPast(connection, kitchen.id, fire.stationId)
  if (allergies.length > 0 && !isWashed(past)) refuseOr('notWashed', () => notWashed(station.name))
  const asOrdered = orderedBatch(dish, { modifiers, allergies, parts }, kitchen)
  const isKept = fire.isUnconfirmed && asOrdered.kind === 'refused' && allergies.length > 0
  if (isKept) marks.add('allergyMixed')
  const input = { modifiers, allergies: isKept ? [] : allergies, parts }
  const result = isKept ? orderedBatch(dish, input, kitchen) : asOrdered
  if (result.kind === 'refused') throw orderProblem(dish, result)
  const [perhaps] = result.batch.perhaps
  if (perhaps && !fire.isUnconfirmed && items.every((item) => item.allowedBy === null)) {
    throw new Problem('allergen-may', {
      detail: `${dish.name} may contain ${perhaps.allergen} (${perhaps.components.join(', ')}): ask the lead, and place the ticket anew with the lead's word`,
      values: { allergen: perhaps.allergen, dish: dish.name, components: perhaps.components.join(', ') },
    })
  }
  const holds = (score: Score | null | undefined) => !!score && scoreFaults(score, result.batch, kitchen).length === 0
  const isAsSent = derived === 'asSent' && fire.isUnconfirmed
  const score = [fire.score, derived === 'asSent' ? null : derived].find(holds) ?? (isAsSent ? fire.score : null)
  const at = kitchen.stations.find((one) => one.id === fire.stationId)!
  if (!score) {
    throw new ScoreNeeded(dish, input, at, fire.isUnconfirmed && fire.score !== undefined)
  }
  if (!holds(score)) marks.add('scoreUnsound')
  const heat = heatOf(at, undefined, dish.id).station
  // What is in the wok already is cooked by the score that it was begun by.
  const begun = fire.isUnconfirmed ? score : onWarmMetal(score, heat, metalToBeginOnC(heat, past, fire.firedAtMs))
  const { deviceId: _deviceId, ...fired } = fire
  const run = {
    ...fired,
    parts,
    modifiers,
    allergies,
    dishName: dish.name,
    score: begun,
    twicePortions,
    marks: [...marks],
    washedAtMs: allergies.length > 0 && isWashed(past) ? past.washedAtMs : null,
  }
  await insertRun(connection, kitchen.id, run, await findToldStation(connection, kitchen.id, parts))
  const rice = await drawRice(connection, kitchen, run, result.batch.riceMassG, nowMs)
  const { lots } = rice
  await insertRunLots(connection, kitchen.id, run.id, lots)
  await askReading(connection, kitchen.id, run, rice)
  const riceChanges = lots.map(({ id }) => ({ topic: 'rice' as const, key: id }))
  await announce(connection, kitchen.id, nowMs, [...changesOfRun(run), ...riceChanges])
  const saved = await findRun(connection, kitchen.id, run.id)
  if (!saved) throw new Error(`run ${run.id} was not saved`)
  return saved
}

/** The run as it was fired, if that is what was sent again. @throws {Problem} id-taken */
function sameRun(before: Run, sent: FireRun): Run {
  const key = ({ dishId, stationId, parts }: Pick<Run, 'dishId' | 'stationId' | 'parts'>) =>
    [dishId, stationId, ...parts.map((part) => `${part.itemId} x ${part.portions}`).sort()].join()
  if (key(before) === key(sent)) return before
  throw new Problem('id-taken', {
    detail: `run ${sent.id} is ${before.dishName} on ${before.stationId}, fired before with other portions: make a new id (UUIDv7)`,
  })
}

type LockedStation = NonNullable<Awaited<ReturnType<typeof lockStation>>>

type RunMark = NonNullable<Run['marks']>[number]

function checkKind(station: LockedStation, dish: Dish): void {
  if (station.kind === dish.stationKind) return
  throw new Problem('wrong-station', {
    detail: `${dish.name} is cooked on a ${dish.stationKind}, ${station.name} is a ${station.kind}: choose another station`,
    values: { dish: dish.name, station: station.name },
  })
}

const tooSmall = (station: LockedStation, portions: number) =>
  new Problem('station-too-small', {
    detail: `${station.name} takes ${station.capPortions} portions, the batch has ${portions}: fire it in parts`,
    values: { station: station.name, cap: station.capPortions, portions },
  })

const allergyMixed = () =>
  new Problem('invalid', {
    detail: 'a ticket line with an allergy is cooked alone: fire it as a batch of its own',
    faults: [{ field: 'parts', message: 'mixes an allergy with other portions' }],
  })

const cookedDifferently = (tickets: number[]) =>
  new Problem('invalid', {
    detail: `ticket ${tickets.join(', ')} is cooked differently from this batch: fire it as a batch of its own`,
    faults: [{ field: 'parts', message: 'mixes portions that are cooked differently' }],
  })

const notWashed = (station: string) =>
  new Problem('not-washed', {
    detail: `${station} was not washed since its last dish: wash it in full, say so, then fire`,
    values: { station },
  })

const SCORE_PROBLEMS = {
  modifier: 'unknown-modifier',
  allergen: 'allergen-stays',
  allergenUnknown: 'allergen-unknown',
  rice: 'invalid',
} as const

function orderProblem(dish: Dish, refused: BatchRefused): Problem {
  const [first = '', ...others] = refused.names
  return new Problem(SCORE_PROBLEMS[refused.reason], {
    detail: `${dish.name} cannot be cooked like this: ${refused.names.join(', ')}`,
    values: { allergen: first, dish: dish.name, components: others.join(', '), modifier: first },
  })
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

/** Every part is a line of this kitchen's tickets and of this dish, whatever a device believes of them. */
function checkItems(fire: FireRun, items: readonly LockedItem[]): void {
  const strangers = fire.parts.filter(
    (part) =>
      !items.some((item) => item.id === part.itemId && item.dishId === fire.dishId && item.ticketId === part.ticketId),
  )
  if (strangers.length === 0) return
  throw new Problem('invalid', {
    detail: `no ticket line ${strangers.map((part) => part.itemId).join(', ')} of this dish: read the tickets again`,
    faults: [{ field: 'parts', message: 'names a ticket line that this kitchen does not have' }],
  })
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
