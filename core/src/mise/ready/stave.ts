import type { ItemUse } from '../need/netNeeds'

/** Portions that a boat asks for, by dish. */
export type BoatDemand = { atMs: number; dishId: string; portions: number }

/** How far something lasts when boats are served in their order; null where it lasts to the end. */
export type Reach = { untilMs: number | null; shortG: number; shortPortions: number }

/** How far a mass of an item lasts over the boats: the first boat that it does not serve in full. */
export function reachOf(
  massG: number,
  uses: readonly Pick<ItemUse, 'dishId' | 'gPerPortion'>[],
  boats: readonly BoatDemand[],
): Reach {
  const gPerPortion = new Map<string, number>()
  for (const use of uses) gPerPortion.set(use.dishId, (gPerPortion.get(use.dishId) ?? 0) + use.gPerPortion)
  let leftG = massG
  let untilMs: number | null = null
  let shortG = 0
  let shortPortions = 0
  for (const { atMs, dishId, portions } of inTime(boats)) {
    const perG = gPerPortion.get(dishId)
    if (perG === undefined || perG <= 0) continue
    const wantedG = perG * portions
    if (wantedG > leftG + SLIP_G) {
      untilMs ??= atMs
      shortG += wantedG - leftG
      shortPortions += (wantedG - leftG) / perG
      leftG = 0
    } else leftG = Math.max(0, leftG - wantedG)
  }
  return { untilMs, shortG, shortPortions }
}

/** Less than a gram is no shortage. */
const SLIP_G = 1

/** Rows by their instant, the earliest first. */
export const inTime = <T extends { atMs: number }>(rows: readonly T[]): T[] => [...rows].sort((a, b) => a.atMs - b.atMs)

/** Portions of all boats before an instant; of all where there is none. */
export const portionsBefore = (boats: readonly BoatDemand[], untilMs: number | null): number =>
  boats.reduce((sum, boat) => sum + (untilMs === null || boat.atMs < untilMs ? boat.portions : 0), 0)
