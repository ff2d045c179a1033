/** A lot as the line sees it. */
export type LotOnHand = {
  id: string
  name: string
  stage: 'ready' | 'tempering'
  massG: number
  useByMs: number
  cookedAtMs: number
}
/** Rice taken from one lot [g]. */
export type Draw = { lotId: string; massG: number }
/** What each lot gives, and what is missing [g]. */
export type Allocation = { draws: Draw[]; shortG: number }

/** Which rice goes first: what is out of the cold already, then what must be used soonest, then what is oldest. */
export function inOrderOfUse<T extends LotOnHand>(lots: readonly T[]): T[] {
  const isOut = (lot: T) => (lot.stage === 'tempering' ? 0 : 1)
  return [...lots].sort(
    (a, b) =>
      isOut(a) - isOut(b) ||
      a.useByMs - b.useByMs ||
      a.cookedAtMs - b.cookedAtMs ||
      (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  )
}

const CRUMB_G = 1

/** Rice for each demand in turn [g], from one lot while it lasts and then from the next; what is missing is named. */
export function allocateRice(lots: readonly LotOnHand[], demandsG: readonly number[]): Allocation[] {
  const rest = inOrderOfUse(lots).map((lot) => ({ id: lot.id, leftG: lot.massG }))
  return demandsG.map((demandG) => {
    const draws: Draw[] = []
    let openG = demandG
    for (const lot of rest) {
      if (openG < CRUMB_G) break
      const massG = Math.min(lot.leftG, openG)
      if (massG < CRUMB_G) continue
      draws.push({ lotId: lot.id, massG })
      lot.leftG -= massG
      openG -= massG
    }
    return { draws, shortG: openG < CRUMB_G ? 0 : openG }
  })
}
