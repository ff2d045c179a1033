import { usualHandling } from '../heat/usualStations'
import { derive, startDeriving, type SequenceInput } from './derive'
import { fillM3, type Fault } from './judge'
import type { ComponentInput } from './vocabulary'

/** One change to what was asked, the smallest that makes it work. */
export type Change =
  | { kind: 'cut'; componentId: string; sizeMm: number }
  | { kind: 'thaw'; componentId: string }
  | { kind: 'blanch'; componentId: string }
  | { kind: 'openHeat' }
  | { kind: 'addRice' }
  | { kind: 'riceWarmer'; tempC: number }
  | { kind: 'batches'; count: number; batchMassG: number }
  | { kind: 'otherEgg' }
  | { kind: 'otherSchools' }

const SMALLER = 0.7
const MUCH_SMALLER = 0.5
/** Where nothing else helps: a piece as thick as a thumb is cut to what fries. */
const FINE = 0.2
const WARMER_RICE_C = 20
const MOST_BATCHES = 4
const THAWED_C = 4

/** The fewest batches that the vessel's room allows, two at least. */
function batchesThatFit(input: SequenceInput): number {
  const { components, vessel } = startDeriving(input)
  return Math.max(2, Math.ceil(fillM3(components) / vessel.workableM3))
}

/** The smallest change, in this order: cut, thaw, cut finer, heat, blanch, warmer rice, batches, cut fine, another egg. */
export function repairOf(input: SequenceInput, faults: readonly Fault[]): Change | null {
  const bad = new Set(faults.flatMap(({ componentIds }) => componentIds))
  const all = [...changes(input, bad)]
  const holds = ({ input: changed }: Tried, effort: 'full' | 'quick') => derive(changed, effort).kind === 'derived'
  const found =
    all.find((one) => holds(one, OPENS.includes(one.change.kind) ? 'full' : 'quick')) ??
    all.find((one) => !OPENS.includes(one.change.kind) && holds(one, 'full'))
  return found?.change ?? null
}

/** What opens schools gives many more ways: a few of them do not say whether any holds. Of the others all are cooked where few do not hold. */
const OPENS: readonly Change['kind'][] = ['openHeat', 'otherEgg', 'otherSchools']
type Tried = { change: Change; input: SequenceInput }

function* changes(input: SequenceInput, bad: ReadonlySet<string>): Generator<Tried> {
  const { dish } = input
  const some = dish.components.filter(({ id }) => bad.has(id))
  const solid = some.filter(({ role }) => role === 'protein' || role === 'vegetable' || role === 'aromatic')
  const withOne = (id: string, more: Partial<ComponentInput>): SequenceInput => ({
    ...input,
    dish: { ...dish, components: dish.components.map((one) => (one.id === id ? { ...one, ...more } : one)) },
  })
  const cut = function* (factor: number): Generator<Tried> {
    for (const one of solid) {
      const from = one.cut?.sizeMm
      if (from === undefined || from === null) continue
      const sizeMm = Math.round(from * factor * 10) / 10
      yield {
        change: { kind: 'cut', componentId: one.id, sizeMm },
        input: withOne(one.id, { cut: { ...one.cut, sizeMm } }),
      }
    }
  }
  yield* cut(SMALLER)
  for (const one of some)
    if (one.state === 'frozen' || (one.tempC ?? 0) < -2)
      yield {
        change: { kind: 'thaw', componentId: one.id },
        input: withOne(one.id, { state: 'thawed', tempC: THAWED_C }),
      }
  yield* cut(MUCH_SMALLER)
  const { heat } = dish.schools
  if (heat !== undefined && heat !== 'auto' && heat !== 'full')
    yield {
      change: { kind: 'openHeat' },
      input: { ...input, dish: { ...dish, schools: { ...dish.schools, heat: 'full' } } },
    }
  for (const one of solid)
    if (one.role !== 'protein' && one.state !== 'blanched')
      yield { change: { kind: 'blanch', componentId: one.id }, input: withOne(one.id, { state: 'blanched' }) }
  if (input.riceTempC < WARMER_RICE_C)
    yield { change: { kind: 'riceWarmer', tempC: WARMER_RICE_C }, input: { ...input, riceTempC: WARMER_RICE_C } }
  const least = batchesThatFit(input)
  for (let count = least; count < least + MOST_BATCHES - 1; count += 1) {
    const batchMassG = Math.round(input.batchMassG / count)
    yield { change: { kind: 'batches', count, batchMassG }, input: { ...input, batchMassG } }
  }
  yield* cut(FINE)
  const { egg } = dish.schools
  if (egg !== undefined && egg !== 'auto')
    yield {
      change: { kind: 'otherEgg' },
      input: { ...input, dish: { ...dish, schools: { ...dish.schools, egg: 'auto' } } },
    }
  const schools = Object.keys(dish.schools).length
  if (schools > 0)
    yield {
      change: { kind: 'otherSchools' },
      input: { ...input, handling: usualHandling(input.station), dish: { ...dish, schools: {} } },
    }
}
