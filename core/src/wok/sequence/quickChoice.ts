import { axesOf, majorChoices } from './choices'
import { costOf } from './cost'
import { startDeriving, type SequenceInput } from './derive'
import { estimate } from './estimate'
import { movesOf } from './grammar'
import { faultsBefore, faultsOf, isTooMuch } from './judge'
import { beginTogether, simulate } from './simulate'
import type { Choice } from './vocabulary'

/** Schools that change the time of a batch most: of each of their values one is looked at. */
const BY_TIME = ['egg', 'heat', 'rawProtein'] as const

/** Long steps are off by so much of a burn limit: what they find burnt by less may hold. [C] */
const BURNT = 1.5

/**
 * A way that a batch is probably cooked, in a few milliseconds: the order by the estimate alone, then one way of each egg, heat
 * and handling of raw protein by long steps; where none of them is safe, the other orders. For a first plan only: nothing that it says is ever cooked by. Null where none of
 * these ways is safe, which says nothing of the others. With its seconds from a cold vessel, by long steps.
 */
export function quickChoice(input: SequenceInput): { choice: Choice; totalS: number } | null {
  const { dish, components, parts, station, vessel } = startDeriving(input)
  if (parts.rice.length === 0 || faultsBefore(components, dish, vessel).some(({ code }) => !isTooMuch(code)))
    return null
  const axes = axesOf(dish.schools, parts, station)
  const all = majorChoices(axes, dish.schools)
  const usual = all[0]!
  const orders = all
    .filter((one) => BY_TIME.every((name) => one[name] === usual[name]))
    .map((choice, nth) => ({ choice, nth, cost: estimate(movesOf(parts, choice), parts) }))
    .sort((a, b) => a.cost - b.cost || a.nth - b.nth)
    .map(({ choice }) => choice)
  const bestOf = (choices: readonly Choice[]) => {
    const lists = choices.map((choice, nth) => ({ choice, nth, moves: movesOf(parts, choice) }))
    const begun = beginTogether(lists, parts)
    const safe = lists
      .map(({ choice, moves, nth }) => {
        const run = simulate(parts, choice, moves, station, 'coarse', begun)
        const totalS = (run.preheatS ?? 0) + run.totalS
        const isBurnt = run.ended.some(({ burn }) => burn >= BURNT)
        const faults = faultsOf(run, components, dish).filter(({ code }) => code !== 'burnt' || isBurnt)
        return { choice, totalS, nth, cost: costOf(run, station), faults }
      })
      .filter(({ faults }) => faults.every(({ code }) => isTooMuch(code)))
      .sort((a, b) => a.faults.length - b.faults.length || a.cost - b.cost || a.nth - b.nth)
    return safe[0] ?? null
  }
  const [first, ...others] = orders
  const alike = all.filter(({ order, quick }) => order === first!.order && quick === first!.quick)
  const kept = new Set(
    BY_TIME.flatMap((name) => axes[name].flatMap((value) => alike.find((one) => one[name] === value) ?? [])),
  )
  return bestOf([...kept]) ?? bestOf(others)
}
