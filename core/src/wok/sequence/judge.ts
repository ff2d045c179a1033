import { portionOf } from '../heat/load'
import type { Vessel } from '../heat/vessel'
import { loadOf, READY_C, type WokComponent } from './component'
import type { Run } from './simulate'
import type { DishInput } from './vocabulary'

/** What a run must not be. Nothing that fails one is ever offered. */
export const FAULTS = [
  'rawCold',
  'eggRaw',
  'coatedWet',
  'riceCold',
  'readyCold',
  'burnt',
  'tenderOnFlame',
  'tooFull',
  'steams',
  'splitAllergen',
  'neverHot',
  'missing',
] as const
export type FaultCode = (typeof FAULTS)[number]
export type Fault = { code: FaultCode; componentIds: readonly string[] }

/** Free water of golden rice, of which each grain was coated raw. [C] */
const COATED_MOST_FREE = 0.012
/** A core within this of its limit has reached it [K]: the simulation moves by whole steps. */
const CORE_TOLERANCE_K = 0.05

/** Everything that a run breaks, each with its components. */
export function faultsOf(run: Run, components: readonly WokComponent[], dish: DishInput, vessel: Vessel): Fault[] {
  const faults: Fault[] = []
  const fault = (code: FaultCode, some: readonly WokComponent[]) => {
    if (some.length > 0) faults.push({ code, componentIds: some.map(({ id }) => id) })
  }
  const ended = run.ended
  const of = (test: (end: Run['ended'][number]) => boolean) => ended.filter(test).map(({ one }) => one)
  if (run.preheatS === null) faults.push({ code: 'neverHot', componentIds: [] })
  fault(
    'rawCold',
    of(
      ({ one, peakC, logKill }) =>
        one.place === 'raw' && (peakC < one.coreC! - CORE_TOLERANCE_K || logKill < (one.logKill ?? 0)),
    ),
  )
  const isOnTop = run.choice.egg === 'onTop'
  fault('eggRaw', isOnTop ? [] : of(({ one, logKill }) => one.place === 'egg' && logKill < (one.logKill ?? 0)))
  fault(
    'riceCold',
    of(({ one, peakC }) => one.place === 'rice' && peakC < (one.coreC ?? 0) - CORE_TOLERANCE_K),
  )
  fault(
    'readyCold',
    of(({ one, peakC }) => one.place === 'ready' && peakC < READY_C.checked - CORE_TOLERANCE_K),
  )
  fault(
    'burnt',
    of(({ burn }) => burn >= 1),
  )
  const rice = components.filter(({ place }) => place === 'rice')
  if (run.choice.egg === 'coated' && run.rice.freeFraction > COATED_MOST_FREE) fault('coatedWet', rice)
  if (run.rice.doneS === null) fault('steams', rice)
  if (fillM3(components) > vessel.workableM3) fault('tooFull', rice)
  const offAt = run.moves.findIndex(({ move }) => move.kind === 'off')
  const beforeOff = new Set(run.moves.slice(0, offAt).flatMap(({ move }) => (move.kind === 'in' ? move.ids : [])))
  const split = new Set(dish.splitAllergens ?? [])
  fault(
    'splitAllergen',
    components.filter(({ id, allergens }) => beforeOff.has(id) && allergens.some((one) => split.has(one))),
  )
  fault(
    'tenderOnFlame',
    components.filter(({ id, tags }) => tags.has('tender') && beforeOff.has(id)),
  )
  const placed = new Set(run.moves.flatMap(({ move }) => (move.kind === 'in' || move.kind === 'plate' ? move.ids : [])))
  fault(
    'missing',
    components.filter(({ id, place }) => place !== 'fat' && !placed.has(id)),
  )
  return faults
}

/** Leaves wilt to half of what they fill. */
const LEAF_FILLS = 0.5
const STAYS_OUT = ['finish', 'garnish', 'sesame', 'fat', 'dry', 'volatile']

/** What the vessel holds at most [m³], leaves by half. */
export const fillM3 = (components: readonly WokComponent[]): number =>
  components
    .filter(({ place }) => !STAYS_OUT.includes(place))
    .reduce((sum, one) => sum + portionOf(loadOf(one)).volumeM3 * (one.place === 'leaf' ? LEAF_FILLS : 1), 0)
