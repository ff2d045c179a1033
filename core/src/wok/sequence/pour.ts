import { addLoad } from '../heat/fry'
import type { Pan } from '../heat/layout'
import { putIn, putPortionIn } from '../heat/pan'
import { loadInWok, loadOf, portionFor, type WokComponent } from './component'

/** An egg among food spreads so thin, and takes at most so much of the metal. [C] */
const PATCH = { depthM: 0.004, mostShare: 0.3 } as const

/** A liquid that is poured on the food brings all its water as free water; on the bare wall it boils there first. */
export function pour(pan: Pan, one: WokComponent, share: number, isOnWall: boolean): void {
  if (one.place === 'sauce' && isOnWall) addLoad(pan, loadOf(one, share))
  else if (share === 1) putPortionIn(pan, portionFor(one))
  else putIn(pan, loadInWok(one, share))
}

/**
 * Metal that something takes for itself beside other food [m²]. Over less than itself it runs, and has none: a spoon of garlic
 * lies in the egg and not on bare metal.
 */
export function patchM2(pan: Pan, index: number): number {
  const { volumeM3 } = pan.portions[index]!
  const othersM3 = pan.portions.reduce((sum, one, at) => sum + (at === index ? 0 : one.volumeM3), 0)
  if (othersM3 < volumeM3) return 0
  return Math.min(PATCH.mostShare * pan.vessel.areaAM2, volumeM3 / PATCH.depthM)
}
