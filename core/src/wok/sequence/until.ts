import { metalC } from '../heat/pan'
import { READY_C } from './component'
import type { Cooking } from './cooking'
import { ENTRY_S, type Until } from './moves'
import { RICE, type Run } from './run'

const { max, min } = Math

/** Nearer than this to its burn limit nothing in the base is waited for. */
const BURN_STOPS = 0.7

/**
 * Goes on until the move ends: the last step is as long as the one before it says that it has to be. Coarse steps overshoot
 * all the same: their clock is set back to where the end was crossed.
 */
export function until(cooking: Cooking, end: Until, startS: number): { lowC: number; isRiceDone: boolean } {
  let lowC = metalC(cooking.pan)
  const waitsFor = 'ids' in end ? cooking.indexesOf(end.ids) : []
  const aromatics = end.kind === 'baseEnd' ? cooking.indexesOf(end.aromatics) : []
  const brownedBefore = end.kind === 'crust' ? riceBrowning(cooking) : 0
  const nearness = () => nearnessOf(cooking, end, cooking.pan.atS - startS, waitsFor, aromatics, brownedBefore)
  let near = nearness()
  let perS = 0
  while (near < 1 - ROUNDING) {
    const was = near
    const fromS = cooking.pan.atS
    if (end.kind === 'seconds' || end.kind === 'held') cooking.step(end.seconds - (fromS - startS), 0)
    else cooking.step((1 - near) / perS)
    lowC = min(lowC, metalC(cooking.pan))
    near = nearness()
    perS = max(0, near - was) / (cooking.pan.atS - fromS)
    if (cooking.isCoarse && near > 1 && Number.isFinite(near)) cooking.pan.atS = fromS + (1 - was) / perS
  }
  return { lowC, isRiceDone: (end.kind === 'riceDone' || end.kind === 'held') && isRiceDone(cooking) }
}
const ROUNDING = 1e-9
/** How much of a span is over; of none everything. */
const part = (spentS: number, ofS: number): number => (ofS > 0 ? spentS / ofS : Infinity)

/** How near a move is to its end: from 1 on it is over. */
function nearnessOf(
  cooking: Cooking,
  end: Until,
  spentS: number,
  waitsFor: readonly number[],
  aromatics: readonly number[],
  brownedBefore: number,
): number {
  switch (end.kind) {
    case 'seconds':
    case 'held':
      return part(spentS, end.seconds)
    case 'progress':
      return max(
        spentS / end.mostS,
        min(part(spentS, end.leastS ?? 0), end.at > 0 ? cooking.progress(waitsFor) / end.at : 1),
      )
    case 'baseEnd':
      return max(
        spentS / end.mostS,
        min(
          part(spentS, ENTRY_S),
          max(
            cooking.burn() / BURN_STOPS,
            min(cooking.progress(waitsFor), max(part(spentS, end.aromaticS), cooking.progress(aromatics))),
          ),
        ),
      )
    case 'riceHalf':
      return max((2 * spentS) / RICE.mostS, warmedHalf(cooking))
    case 'riceDone':
      return max(
        spentS / RICE.mostS,
        waitsFor.length > 0 ? min(riceNearness(cooking), cooking.progress(waitsFor)) : riceNearness(cooking),
      )
    case 'crust':
      return max(spentS / end.mostS, (riceBrowning(cooking) - brownedBefore) / RICE.crustBrowning)
    case 'dry':
      return max(spentS / end.mostS, min(part(spentS, end.leastS), dryness(cooking)))
  }
}

const dryness = (cooking: Cooking): number => RICE.freeFraction / max(1e-9, cooking.freeFraction())
/** Rice is done when it is hot, has fried and is dry: the last of the three decides. */
const riceNearness = (cooking: Cooking): number =>
  min(riceCoreC(cooking) / READY_C.aimed, cooking.seen.fryingS / RICE.fryingS, dryness(cooking))
const isRiceDone = (cooking: Cooking): boolean => riceNearness(cooking) >= 1 - ROUNDING

/** Least core of the rice and what stands for part of it [°C]. */
function riceCoreC(cooking: Cooking): number {
  let least = Infinity
  cooking.inside.forEach(({ one }, index) => {
    if (one.place === 'rice') least = min(least, cooking.coreC(index))
  })
  return least
}
/** How far the rice is to half of its way to hot. */
function warmedHalf(cooking: Cooking): number {
  const startC = cooking.inside.find(({ one }) => one.place === 'rice')?.one.tempC ?? 0
  return (riceCoreC(cooking) - startC) / (RICE.halfOf * (READY_C.checked - startC))
}
function riceBrowning(cooking: Cooking): number {
  const index = cooking.inside.findIndex(({ one }) => one.place === 'rice')
  return index < 0 ? 0 : cooking.doneness(index).browning
}

/** The rice as it is now. */
export function riceAt(cooking: Cooking, startS: number, startC: number): Run['rice'] {
  const { lowestC, fryingS } = cooking.seen
  return {
    startS,
    doneS: null,
    startC,
    lowestC,
    fryingS,
    freeFraction: cooking.freeFraction(),
    coreC: riceCoreC(cooking),
  }
}
