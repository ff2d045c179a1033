import type { CookRules } from '../../safety/limits'
import { handlingOfLoad } from '../heat/handlingOfLoad'
import type { Handling } from '../heat/parameters'
import { sameVesselOf, type HeatStation } from '../heat/vessel'
import { best, checked, runnerUpOf, type Candidate } from './candidate'
import { axesOf, majorChoices, minorChanges } from './choices'
import { componentOf, type WokComponent } from './component'
import { costOf } from './cost'
import { estimate } from './estimate'
import { renderers } from './fats'
import { movesOf } from './grammar'
import { stagedInputs } from './inStages'
import { heaviestG, lappedInputs, lapsOf } from './laps'
import { faultsBefore, faultsOf, isTooMuch, type Fault, type FaultCode } from './judge'
import type { Move } from './moves'
import { needS } from './needs'
import { compareText, partsOf, type Parts } from './parts'
import { isTimed, keepsPin, type PinVerdict } from './pins'
import { isSlow } from './place'
import { pinVerdicts } from './pinVerdicts'
import type { Station } from './run'
import { beginTogether, simulate, type Begun } from './simulate'
import type { Choice, DishInput } from './vocabulary'

/** What a score is derived from. */
export type SequenceInput = {
  dish: DishInput
  station: HeatStation
  handling: Handling
  /** Cooked rice [g]. */
  batchMassG: number
  riceTempC: number
  riceWaterFraction?: number | undefined
  /** How large the lumps of the rice are as it goes in [mm]; none where it was loosened. */
  riceLumpMm?: number | undefined
  rules: CookRules
  /** Food that is too much for the station is scored all the same: it only makes the work worse, and it has to be cooked. */
  keepsTooMuch?: boolean | undefined
}

export type Rejected = { why: FaultCode | 'pin' | 'dearer'; count: number }

/** The way a batch is cooked, the next best, and what was turned down. */
export type Derived = {
  kind: 'derived'
  parts: Parts
  components: readonly WokComponent[]
  station: Station
  best: Candidate
  runnerUp: Candidate | null
  rejected: readonly Rejected[]
  pins: readonly PinVerdict[]
  simulated: number
}
/** No way holds: what stands against the least bad one, which is not offered. */
export type Infeasible = {
  kind: 'infeasible'
  faults: readonly Fault[]
  rejected: readonly Rejected[]
  pins: readonly PinVerdict[]
}
/** Nothing to simulate: there is no rice. */
export type Nothing = { kind: 'nothing'; because: 'noRice' }

/**
 * So many are looked at, and of them so many simulated before the minor schools are tried; where none of those holds, so many
 * more before a dish is refused.
 */
const MOST = { candidates: 300, simulated: 12, minor: 12, quick: 3, further: 96 } as const
/** Heats that nobody chooses unasked, but before a dish is refused because it burns. */
const GENTLER = ['medium', 'lowRising'] as const
const isOpen = (said: string | undefined): boolean => said === undefined || said === 'auto'
/** Costs are compared to this many digits, so that no device's last digit decides. */
const round = (cost: number) => Math.round(cost * 100) / 100

/** A batch's components and its station in the engine's terms. */
export function startDeriving(input: SequenceInput) {
  const { dish, batchMassG, riceTempC, rules } = input
  const vessel = sameVesselOf(input.station)
  const laps = dish.schools.batches === 'tossedInBowl' ? lapsOf(batchMassG, input) : 1
  const components = dish.components
    .flatMap((one) => (laps === 1 ? stagedInputs(one) : stagedInputs(one).flatMap((part) => lappedInputs(part, laps))))
    .map((one) =>
      componentOf(
        one.role === 'rice' ? { waterFraction: input.riceWaterFraction, lumpMm: input.riceLumpMm, ...one } : one,
        batchMassG,
        riceTempC,
        rules,
      ),
    )
    .filter(({ massG }) => massG > 0)
    .map(asFat)
    .map((one): WokComponent => (isSlow(one, needS(one, vessel)) ? { ...one, place: 'slow' } : one))
    .sort((a, b) => compareText(a.id, b.id))
  const garlic = dish.schools.garlic
  const parts = partsOf(
    components,
    garlic === undefined || garlic === 'auto' ? 'early' : garlic,
    dish.splitAllergens,
    vessel,
  )
  const isGriddle = input.station.kind === 'griddle'
  const { rice } = dish.schools
  const asked = !isGriddle && (rice === 'toss' || rice === 'stir') ? rice : input.handling
  const station: Station = {
    vessel,
    handling: handlingOfLoad(asked, input.station, heaviestG(components)),
    isGriddle,
    isCoated: input.station.isCoated ?? false,
  }
  return { dish, components, parts, station, vessel }
}

/** Butter that is all the fat there is fries; beside oil, or food that gives fat, it comes late, onto the rice. */
function asFat(one: WokComponent, _: number, all: readonly WokComponent[]): WokComponent {
  if (one.place !== 'butter' || all.some(({ place }) => place === 'fat')) return one
  return renderers(all.filter(({ place }) => place === 'raw')).length > 0 ? one : { ...one, place: 'fat' }
}

/**
 * Derives how a batch is cooked: candidates by the grammar, screened, simulated, judged, and the cheapest kept. With
 * `quick` only a few are simulated: enough to know whether any holds.
 */
export function derive(input: SequenceInput, effort: 'full' | 'quick' = 'full'): Derived | Infeasible | Nothing {
  const { dish, components, parts, station, vessel } = startDeriving(input)
  if (parts.rice.length === 0) return { kind: 'nothing', because: 'noRice' }
  const counts = ({ code }: Fault) => !input.keepsTooMuch || !isTooMuch(code)
  const before = faultsBefore(components, dish, vessel).filter(counts)
  if (before.length > 0) return { kind: 'infeasible', faults: before, rejected: [], pins: [] }
  const pins = dish.pins ?? []
  const axes = axesOf(dish.schools, parts, station)
  const seen = new Set<string>()
  const rejected = new Map<Rejected['why'], number>()
  const reject = (why: Rejected['why']) => rejected.set(why, (rejected.get(why) ?? 0) + 1)
  const tried: Candidate[] = []
  let begun: Begun | undefined

  const listed = (choice: Choice): { choice: Choice; moves: Move[] } | null => {
    const moves = movesOf(parts, choice)
    const signature = `${choice.heat} ${moves.map(signatureOf).join(' ')}`
    if (seen.has(signature) || seen.size >= MOST.candidates) return null
    seen.add(signature)
    return { choice, moves }
  }
  const cook = ({ choice, moves }: { choice: Choice; moves: readonly Move[] }): Candidate => {
    const run = simulate(parts, choice, moves, station, 'ranking', begun)
    const faults = faultsOf(run, components, dish).filter(counts)
    const candidate = { choice, moves, run, faults, cost: round(costOf(run, station)) }
    tried.push(candidate)
    faults.forEach(({ code }) => reject(code))
    return candidate
  }
  const keepsAll = (one: { moves: readonly Move[] }) => pins.every((pin) => isTimed(pin) || keepsPin(one.moves, pin))

  const lists = majorChoices(axes, dish.schools).flatMap((choice) => listed(choice) ?? [])
  const pinned = lists.filter(keepsAll)
  for (let n = pinned.length; n < lists.length; n += 1) reject('pin')
  // What a pin asks may take a minor school: egg rice with its peas after the rice is no reason for another egg.
  const mended =
    pinned.length < lists.length
      ? lists
          .filter((list) => !keepsAll(list))
          .flatMap(({ choice }) => minorChanges(choice, axes))
          .filter((change) => keepsAll({ moves: movesOf(parts, change) }))
          .flatMap((change) => listed(change) ?? [])
      : []
  const kept = [...pinned, ...mended]
  const pool = kept.length > 0 ? kept : lists
  const cookAll = (some: typeof lists) => {
    begun = beginTogether(some, parts)
    some.forEach(cook)
    begun = undefined
  }
  const changedFrom = ({ choice }: Candidate) =>
    minorChanges(choice, axes)
      .slice(0, MOST.minor)
      .flatMap((change) => listed(change) ?? [])
      .filter((list) => kept.length === 0 || keepsAll(list))
  const screened = screen(pool, parts, effort)
  cookAll(screened)
  if (effort === 'full') {
    cookAll(changedFrom(best(tried)))
    // The estimate knows nothing of burning: before a dish is refused, what it thought dearer is cooked, too.
    const further = pool.filter((list) => !screened.includes(list)).slice(0, MOST.further)
    while (further.length > 0 && mayHoldOtherwise(best(tried))) cookAll(further.splice(0, MOST.simulated))
    if (mayHoldOtherwise(best(tried))) cookAll(changedFrom(best(tried)))
    if (isOpen(dish.schools.heat))
      for (const heat of GENTLER)
        if (mayHoldOtherwise(best(tried)))
          cookAll(screened.flatMap(({ choice }) => listed({ ...choice, heat }) ?? []).filter(keepsAll))
  }
  const verdicts = pins.length > 0 ? pinVerdicts(pins, tried, cook) : []
  const chosen = checked(
    tried.filter((one) => verdicts.every(({ pin, isKept }) => !isKept || keepsPin(one.moves, pin))),
    (one) => {
      const run = simulate(parts, one.choice, one.moves, station, 'fine')
      return { ...one, run, faults: faultsOf(run, components, dish).filter(counts), cost: round(costOf(run, station)) }
    },
  )
  const others = tried.filter(({ faults }) => faults.length === 0).length
  if (others > 1) rejected.set('dearer', others - 1)
  const turnedDown = [...rejected].map(([why, count]) => ({ why, count }))
  if (chosen.faults.length > 0)
    return { kind: 'infeasible', faults: chosen.faults, rejected: turnedDown, pins: verdicts }
  return {
    kind: 'derived',
    parts,
    components,
    station,
    best: chosen,
    runnerUp: runnerUpOf(tried, chosen),
    rejected: turnedDown,
    pins: verdicts,
    simulated: tried.length,
  }
}

/** Whether another way may mend what this one breaks: a load that is too much, or a flame that is too weak, is so in every way. */
const mayHoldOtherwise = ({ faults }: Candidate): boolean =>
  faults.length > 0 && faults.every(({ code }) => !isTooMuch(code) && code !== 'neverHot')

const signatureOf = ({ kind, slot, ids, segment, handling, isOnWall }: Move) =>
  `${kind}.${slot}.${segment}.${handling ?? ''}.${isOnWall ? 'wall' : ''}.${ids.join('+')}`

/** The cheapest by the estimate, and the cheapest of each egg, heat and order, so that none is left unseen. */
function screen<T extends { choice: Choice; moves: readonly Move[] }>(
  lists: readonly T[],
  parts: Parts,
  effort: 'full' | 'quick',
): T[] {
  const ranked = lists
    .map((list, nth) => ({ list, nth, cost: estimate(list.moves, parts) }))
    .sort((a, b) => a.cost - b.cost || a.nth - b.nth)
  const kept = new Set(ranked.slice(0, effort === 'quick' ? MOST.quick : MOST.simulated).map(({ list }) => list))
  for (const name of effort === 'quick' ? ([] as const) : (['egg', 'heat', 'rawProtein', 'order', 'quick'] as const))
    for (const value of new Set(ranked.map(({ list }) => list.choice[name]))) {
      const first = ranked.find(({ list }) => list.choice[name] === value)
      if (first) kept.add(first.list)
    }
  return lists.filter((list) => kept.has(list))
}
