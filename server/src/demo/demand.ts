import type { Demand } from 'core/rice/plan/demand'
import { dayAfter, weekdayOf } from 'core/time/localTime'
import { lcg } from './chance'

const WEEKDAY = [0, 0.8, 0.76, 0.9, 1, 1.28, 1.34, 0.94] as const
const SERVICES = [
  { fromMin: 700, boats: 7, portions: 26 },
  { fromMin: 1020, boats: 11, portions: 78 },
] as const
const DISHES = [
  ['duck', 0.22],
  ['crab', 0.12],
  ['mushroom', 0.12],
  ['kimchi', 0.14],
  ['cauliflower', 0.1],
  ['chicken', 0.2],
  ['plain', 0.1],
] as const
const BOAT_EVERY_MIN = 20

/** Portions of the days before `today`, boat by boat: busy towards the weekend and in the middle of a service. */
export function demoDemand(today: string, days: number): Demand[] {
  const random = lcg(70)
  const demand = new Map<string, Demand>()
  for (let ago = days; ago >= 1; ago -= 1) {
    const day = dayAfter(today, -ago)
    const mood = WEEKDAY[weekdayOf(day)]! * (0.86 + 0.28 * random())
    for (const service of SERVICES) {
      const portions = Math.round(service.portions * mood)
      for (let i = 0; i < portions; i += 1) {
        const boat = Math.floor(((random() + random()) / 2) * service.boats)
        const minute = service.fromMin + boat * BOAT_EVERY_MIN
        const dishId = dishAt(random())
        const key = `${day} ${minute} ${dishId}`
        const slot = demand.get(key) ?? { day, minute, dishId, portions: 0 }
        slot.portions += 1
        demand.set(key, slot)
      }
    }
  }
  return [...demand.values()]
}

function dishAt(chance: number): string {
  let left = chance
  for (const [id, share] of DISHES) {
    left -= share
    if (left < 0) return id
  }
  return 'plain'
}
