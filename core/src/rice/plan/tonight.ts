/** Rice that will be asked for at an instant [g]: an open ticket, or a boat that the forecast expects. */
export type RiceDemand = { atMs: number; massG: number }
/** How long the rice lasts, and what is missing. */
export type Cover = {
  /** The first demand that the rice no longer covers in full; null where it lasts. */
  untilMs: number | null
  /** When another load must start to be ready by then; may be past. */
  startByMs: number | null
  neededG: number
  /** What is missing at that instant. */
  shortG: number
}

/**
 * How long the rice in the house lasts, and when another load must start, given how long one takes to be ready (null
 * where it never is). Rice that is still cooling counts from when it will be cold.
 */
export function coverTonight(
  usableG: number,
  demands: readonly RiceDemand[],
  leadS: number | null,
  coming: readonly RiceDemand[] = [],
): Cover {
  const sorted = [...demands].sort((a, b) => a.atMs - b.atMs)
  const neededG = sorted.reduce((sum, demand) => sum + demand.massG, 0)
  let takenG = 0
  for (const { atMs, massG } of sorted) {
    takenG += massG
    const cameG = coming.filter((one) => one.atMs <= atMs).reduce((sum, one) => sum + one.massG, 0)
    const shortG = takenG - usableG - cameG
    if (shortG > 1e-6) return { untilMs: atMs, startByMs: leadS === null ? null : atMs - leadS * 1000, neededG, shortG }
  }
  return { untilMs: null, startByMs: null, neededG, shortG: 0 }
}

/** From when to when a lot is fried, and how much of it [g]; `untilMs` null where some of it is left after all that is asked for. */
export type LotUse = { lotId: string; fromMs: number; untilMs: number | null; tookG: number }

/**
 * Which lot each demand is fried from, in the order of use given: a lot is used up before the next is begun. Lots that
 * nothing is taken of are left out.
 */
export function drawDown(lots: readonly { id: string; massG: number }[], demands: readonly RiceDemand[]): LotUse[] {
  const uses: LotUse[] = []
  const left = lots.map((lot) => ({ ...lot, leftG: lot.massG }))
  for (const demand of [...demands].sort((a, b) => a.atMs - b.atMs)) {
    let wantedG = demand.massG
    for (const lot of left) {
      const tookG = Math.min(wantedG, lot.leftG)
      if (tookG <= 0) continue
      wantedG -= tookG
      lot.leftG -= tookG
      const known = uses.find((one) => one.lotId === lot.id)
      const untilMs = lot.leftG <= 1e-6 ? demand.atMs : null
      if (known) Object.assign(known, { untilMs, tookG: known.tookG + tookG })
      else uses.push({ lotId: lot.id, fromMs: demand.atMs, untilMs, tookG })
    }
  }
  return uses
}
