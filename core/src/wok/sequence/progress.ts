import type { Doneness } from '../heat/doneness'
import { FOOD_THERMAL } from '../heat/foodTable'
import { READY_C, type WokComponent } from './component'

const { max, min } = Math

/** Until its kill is reached a raw core stands just short of done. */
const SHORT_OF_KILL = 0.99

/** How far a component has come to its target: 1 is done. Rice is judged by the vessel (`isRiceDone`), not here. */
export const progressOf = (one: WokComponent, at: Doneness): number =>
  progressBy(one, at.coreC, at.softness, at.browning, at.logKill)

/** The same by its numbers: core [°C], softness, browning, powers of ten of kill. */
export function progressBy(
  one: WokComponent,
  coreC: number,
  softness: number,
  browning: number,
  logKill: number,
): number {
  if (one.place === 'raw') {
    const byCore = part(one.tempC, coreC, one.coreC ?? READY_C.aimed)
    const cooked = logKill >= (one.logKill ?? 0) ? byCore : min(SHORT_OF_KILL, byCore)
    return one.target === 'golden' ? min(cooked, browning / one.goal) : cooked
  }
  switch (one.target) {
    case 'fragrant':
      return one.food === 'allium' ? softness / one.goal : browning / one.goal
    case 'bloomed':
      return browning / one.goal
    case 'golden':
      return one.place === 'ready' ? min(browning / one.goal, heated(one, coreC)) : browning / one.goal
    case 'softened':
    case 'tenderCrisp':
    case 'wilted':
      return FOOD_THERMAL[one.food].softens ? softness / one.goal : heated(one, coreC)
    case 'set':
      return softness / one.goal
    case 'heatedThrough':
    case 'cookedThrough':
      return heated(one, coreC)
    case 'dryGrained':
    case 'crusted':
    case 'none':
      return 1
  }
}

/** How far it is burnt: 1 is. */
export const burnOf = (one: WokComponent, at: Doneness): number => at.browning / one.burnAt

const part = (fromC: number, nowC: number, toC: number) => (nowC >= toC ? 1 : (nowC - fromC) / max(1, toC - fromC))
const heated = (one: WokComponent, coreC: number) => part(one.tempC, coreC, READY_C.aimed)
