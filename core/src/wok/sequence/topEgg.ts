import type { EggWish } from '../../book/eggWish'
import type { WokComponent } from './component'
import { Cooking } from './cooking'
import type { Station } from './run'

/** An egg fried beside the rice wants gentle metal [°C], and this long at most [s]. [C] */
const BESIDE_C = 175
const MOST_S = 300
/** Share that is set when it goes on the rice; less where a guest wants it runny, which no core proves. [C] */
const SET = { through: -Math.log(1 - 0.95), runny: -Math.log(1 - 0.65) } as const

/**
 * Seconds in which the eggs that go on top are set and safe on a surface of the same kind beside this one, or set as far as a
 * guest wants them; null where that takes longer than anybody waits.
 */
export function topEggS(eggs: readonly WokComponent[], { vessel }: Station, wish: EggWish | null): number | null {
  const heated = Math.min(BESIDE_C, vessel.holdC)
  const cooking = Cooking.start(vessel, heated, heated, 'ranking')
  cooking.work({ ceilingC: heated, open: 1, level: 'low' }, 'leave')
  for (const egg of eggs) cooking.add(egg, 1, {})
  while (cooking.pan.atS < MOST_S) {
    cooking.step()
    const isReady = eggs.every((egg, index) => {
      const at = cooking.doneness(index)
      return wish === 'runny'
        ? at.softness >= SET.runny
        : at.softness >= SET.through && at.logKill >= (egg.logKill ?? 0)
    })
    if (isReady) return cooking.pan.atS
  }
  return null
}
