/** Rice that will be asked for at an instant [g]: an open ticket, or a boat that the forecast expects. */
export type RiceDemand = { atMs: number; massG: number }
export type Cover = {
  /** The first demand that the rice no longer covers in full; null where it lasts. */
  untilMs: number | null
  /** When another load must start to be ready by then; may be past. */
  startByMs: number | null
  neededG: number
  shortG: number
}

/** How long the rice in the house lasts, and when another load must start, given how long one takes to be ready. */
export function coverTonight(usableG: number, demands: readonly RiceDemand[], leadS: number): Cover {
  const sorted = [...demands].sort((a, b) => a.atMs - b.atMs)
  const neededG = sorted.reduce((sum, demand) => sum + demand.massG, 0)
  let leftG = usableG
  for (const demand of sorted) {
    leftG -= demand.massG
    if (leftG < -1e-6)
      return { untilMs: demand.atMs, startByMs: demand.atMs - leadS * 1000, neededG, shortG: neededG - usableG }
  }
  return { untilMs: null, startByMs: null, neededG, shortG: 0 }
}
