import type { Kitchen } from 'contract/kitchen'
import { heatOf } from 'core/line/batchHeat'
import { batchScore, type BatchScore } from 'core/line/batchScore'
import type { Score } from 'core/wok/score'
import type { Finding } from 'core/wok/sequence/sequenceBatch'
import { Problem } from '../http/problems'
import { ScoreNeeded } from './fireRun'

/** Scores that were derived here, by all that they depend on; the oldest go first. */
const known = new Map<string, BatchScore>()
const MOST_KNOWN = 400

/**
 * Fires with the score that was sent; where that does not hold, derives one and fires again. The score is worked out between
 * two transactions, never in one. What is in the wok already is kept by the score that it was cooked by.
 * @throws {Problem} not-cookable where the batch cannot be cooked at the station, with the change that would help
 */
export async function fireDerived<T>(
  kitchen: Kitchen,
  fire: (derived: Score | 'asSent' | null) => Promise<T>,
): Promise<T> {
  try {
    return await fire(null)
  } catch (needed) {
    if (!(needed instanceof ScoreNeeded)) throw needed
    const result = scored(kitchen, needed)
    if (result.kind === 'score') return fire(result.score)
    if (needed.isCooking) return fire('asSent')
    throw notHere(needed, result.kind === 'infeasible' ? result.finding : null)
  }
}

type Asked = Pick<ScoreNeeded, 'dish' | 'batch' | 'station'>

/** The score of a batch at a station, as it stands now; null where it cannot be cooked there. */
export function findScore(kitchen: Kitchen, asked: Asked): Score | null {
  const result = scored(kitchen, asked)
  return result.kind === 'score' ? result.score : null
}

function scored(kitchen: Kitchen, { dish, batch, station }: Asked): BatchScore {
  const key = JSON.stringify([dish, batch, station, kitchen.tools, kitchen.ruleSet, kitchen.isScottish])
  const before = known.get(key)
  if (before) return before
  const result = batchScore(dish, batch, heatOf(station, undefined, dish.id), kitchen.tools, kitchen)
  if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value!)
  known.set(key, result)
  return result
}

function notHere({ dish, batch, station }: Asked, finding: Finding | null): Problem {
  const portions = batch.parts.reduce((sum, part) => sum + part.portions, 0)
  const bad = finding?.bad.flatMap(({ componentIds }) => componentIds) ?? []
  const names = dish.components.filter(({ id }) => bad.includes(id)).map(({ name }) => name)
  return new Problem('not-cookable', {
    detail: `${portions} x ${dish.name} cannot be cooked on ${station.name}${names.length > 0 ? ` (${names.join(', ')})` : ''}: look at its score in the book`,
    values: { dish: dish.name, station: station.name },
  })
}
