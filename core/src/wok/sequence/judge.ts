import type { Vessel } from '../heat/vessel'
import { portionFor, READY_C, type WokComponent } from './component'
import { loadsOf } from './laps'
import { isProven, type Run } from './run'
import { TOO_MUCH_CODES, type TooMuch } from '../score'
import { MUST_FRY } from './parts'
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
/** Faults of a load that is too large for its station: it fries badly, and hurts nobody. */
export const isTooMuch = (code: FaultCode): code is TooMuch => (TOO_MUCH_CODES as readonly FaultCode[]).includes(code)
export type Fault = { code: FaultCode; componentIds: readonly string[] }

/** Free water of golden rice, of which each grain was coated raw. [C] */
const COATED_MOST_FREE = 0.012

/** What no run at this station can mend: too much for the vessel, or an allergen that would have to be fried with the rest. */
export function faultsBefore(components: readonly WokComponent[], dish: DishInput, vessel: Vessel): Fault[] {
  const split = new Set(dish.splitAllergens ?? [])
  const fried = components.filter(
    ({ place, allergens }) => MUST_FRY.includes(place) && allergens.some((one) => split.has(one)),
  )
  const rice = components.filter(({ place }) => place === 'rice')
  return [
    ...(fillM3(components) > vessel.workableM3 ? [faultOf('tooFull', rice)] : []),
    ...(fried.length > 0 ? [faultOf('splitAllergen', fried)] : []),
  ]
}

const faultOf = (code: FaultCode, some: readonly WokComponent[]): Fault => ({
  code,
  componentIds: [...new Set(some.map(({ of }) => of))],
})

/** Everything that a run breaks, each with its components. What never was on the flame is as raw and as cold as it was. */
export function faultsOf(run: Run, components: readonly WokComponent[], dish: DishInput): Fault[] {
  const faults: Fault[] = []
  const fault = (code: FaultCode, some: readonly WokComponent[]) => {
    if (some.length > 0) faults.push(faultOf(code, some))
  }
  const ended = new Map(run.ended.map((end) => [end.one.id, end]))
  const reaches = ({ id }: WokComponent, coreC: number | null, logKill: number | null): boolean => {
    const end = ended.get(id)
    return end !== undefined && isProven(end, { coreC, logKill })
  }
  const cold = (place: WokComponent['place'], coreC: (one: WokComponent) => number | null) =>
    components.filter((one) => one.place === place && !reaches(one, coreC(one), one.logKill))
  if (run.preheatS === null) faults.push({ code: 'neverHot', componentIds: [] })
  // A probe in it before the rice has to find it done: that the rice would finish it is no check.
  const unproven = new Set(run.moves.flatMap((done) => done.unproven))
  const raw = cold('raw', ({ coreC }) => coreC)
  fault('rawCold', [...raw, ...components.filter((one) => unproven.has(one.id) && !raw.includes(one))])
  if (run.choice.egg !== 'onTop')
    fault(
      'eggRaw',
      cold('egg', () => null),
    )
  fault(
    'riceCold',
    cold('rice', ({ coreC }) => coreC),
  )
  const offAt = run.moves.findIndex(({ move }) => move.kind === 'off')
  const beforeOff = new Set(run.moves.slice(0, offAt).flatMap(({ move }) => (move.kind === 'in' ? move.ids : [])))
  fault(
    'readyCold',
    cold('ready', () => READY_C.checked).filter(({ id }) => beforeOff.has(id)),
  )
  fault(
    'burnt',
    run.ended.filter(({ burn }) => burn >= 1).map(({ one }) => one),
  )
  const rice = components.filter(({ place }) => place === 'rice')
  if (run.choice.egg === 'coated' && run.rice.freeFraction > COATED_MOST_FREE) fault('coatedWet', rice)
  if (run.rice.doneS === null) fault('steams', rice)
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
  const isOiled = run.moves.some(({ move }) => move.kind === 'oil')
  fault(
    'missing',
    components.filter(({ id, place }) => (place === 'fat' ? !isOiled : !placed.has(id))),
  )
  return faults
}

/** Leaves wilt to half of what they fill. */
const LEAF_FILLS = 0.5
const STAYS_OUT = ['finish', 'garnish', 'sesame', 'fat', 'dry', 'volatile']

/** What the vessel holds at most [m³], leaves by half. */
export const fillM3 = (components: readonly WokComponent[]): number => Math.max(0, ...loadsOf(components).map(loadM3))

const loadM3 = (load: readonly WokComponent[]): number =>
  load
    .filter(({ place }) => !STAYS_OUT.includes(place))
    .reduce((sum, one) => sum + portionFor(one).volumeM3 * (one.place === 'leaf' ? LEAF_FILLS : 1), 0)
