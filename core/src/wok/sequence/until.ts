import { metalC } from '../heat/pan'
import { READY_C } from './component'
import type { Cooking } from './cooking'
import type { Until } from './moves'
import { RICE, type Run } from './run'

/** Nearer than this to its burn limit nothing in the base is waited for. */
const BURN_STOPS = 0.7
/** Goes on until the move ends. */
export function until(cooking: Cooking, end: Until, startS: number): { lowC: number; isRiceDone: boolean } {
  let lowC = metalC(cooking.pan)
  const brownedBefore = end.kind === 'crust' ? riceBrowning(cooking) : 0
  const waitsFor = 'ids' in end ? cooking.indexesOf(end.ids) : []
  for (;;) {
    const spentS = cooking.pan.atS - startS
    if (isOver(cooking, end, spentS, waitsFor, brownedBefore)) break
    cooking.step(end.kind === 'seconds' ? Math.min(1, end.seconds - spentS) : undefined)
    lowC = Math.min(lowC, metalC(cooking.pan))
  }
  return { lowC, isRiceDone: end.kind === 'riceDone' && isRiceDone(cooking) }
}

function isOver(
  cooking: Cooking,
  end: Until,
  spentS: number,
  waitsFor: readonly number[],
  brownedBefore: number,
): boolean {
  switch (end.kind) {
    case 'seconds':
      return spentS >= end.seconds - 1e-9
    case 'progress':
      return spentS >= end.mostS || (spentS >= (end.leastS ?? 0) && cooking.progress(waitsFor) >= end.at)
    case 'baseEnd':
      return (
        spentS >= end.mostS ||
        cooking.burn() >= BURN_STOPS ||
        (cooking.progress(waitsFor) >= 1 &&
          (spentS >= end.aromaticS || cooking.progress(cooking.indexesOf(end.aromatics)) >= 1))
      )
    case 'riceHalf':
      return spentS >= RICE.mostS / 2 || riceCoreC(cooking) >= halfC(cooking)
    case 'riceDone':
      return spentS >= RICE.mostS || isRiceDone(cooking)
    case 'crust':
      return spentS >= end.mostS || riceBrowning(cooking) >= brownedBefore + RICE.crustBrowning
    case 'dry':
      return spentS >= end.mostS || (spentS >= end.leastS && cooking.freeFraction() <= RICE.freeFraction)
  }
}

const isRiceDone = (cooking: Cooking): boolean =>
  riceCoreC(cooking) >= READY_C.aimed &&
  cooking.seen.fryingS >= RICE.fryingS &&
  cooking.freeFraction() <= RICE.freeFraction

/** Least core of the rice and what stands for part of it [°C]. */
function riceCoreC(cooking: Cooking): number {
  let least = Infinity
  cooking.inside.forEach(({ one }, index) => {
    if (one.place === 'rice') least = Math.min(least, cooking.coreC(index))
  })
  return least
}
const halfC = (cooking: Cooking): number => {
  const startC = cooking.inside.find(({ one }) => one.place === 'rice')?.one.tempC ?? 0
  return startC + RICE.halfOf * (READY_C.checked - startC)
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
