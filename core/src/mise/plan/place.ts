import type { Instance } from './instance'
import type { Profile } from './profile'

/** Jobs placed in time: starts, ends and crews by job number. */
export type PlacedJobs = {
  startS: number[]
  /** By job, which crew gives how many hands. */
  takes: { crew: number; units: number }[][]
  /** The first max lag that could not be kept: the job, and what it waited for too long. */
  broken: { job: number; first: number; lagS: number; maxLagS: number } | null
}

/** A max lag is mended by holding back what came first, at most so often. */
const MAX_REPAIRS = 40

/**
 * Serial schedule generation: each job of the list, in order, at the earliest moment at which what it needs has ended, and
 * its people and tools are free until its end. Jobs for which there is no such moment start at Infinity and take nothing.
 * `order` lists every job after what it needs.
 */
export function place(instance: Instance, order: readonly number[]): PlacedJobs {
  if (!instance.hasMaxLags) return placeOnce(instance, order, instance.notBeforeS)
  const notBeforeS = instance.notBeforeS.slice()
  for (let repairs = 0; ; repairs += 1) {
    const placed = placeOnce(instance, order, notBeforeS)
    const broken = placed.broken
    if (!broken || repairs === MAX_REPAIRS) return placed
    const { job, first, maxLagS } = broken
    const heldS = placed.startS[job]! - maxLagS - instance.durationS[first]!
    if (!(heldS > notBeforeS[first]!) || heldS === Infinity) return placed
    notBeforeS[first] = heldS
  }
}

function placeOnce(instance: Instance, order: readonly number[], notBeforeS: readonly number[]): PlacedJobs {
  const { durationS, hands, crewsFor, equipmentFor, before } = instance
  const crews = instance.crews.map((profile) => profile.copy())
  const equipment = instance.equipment.map((profile) => profile.copy())
  const startS = new Array<number>(durationS.length).fill(Infinity)
  const takes: PlacedJobs['takes'] = durationS.map(() => [])
  let broken: PlacedJobs['broken'] = null
  for (const job of order) {
    const lengthS = durationS[job]!
    let fromS = notBeforeS[job]!
    for (const link of before[job]!) {
      const readyS = startS[link.job]! + durationS[link.job]! + link.minLagS
      if (readyS > fromS) fromS = readyS
    }
    const tools = equipmentFor[job]!.map((no) => equipment[no]!)
    const able = crewsFor[job]!
    const atS = earliestFit(
      fromS,
      lengthS,
      hands[job]!,
      able.map((no) => crews[no]!),
      tools,
    )
    startS[job] = atS
    if (atS === Infinity) continue
    for (const tool of tools) tool.take(atS, atS + lengthS, 1)
    let wanted = hands[job]!
    for (const no of able) {
      if (wanted === 0) break
      const units = Math.min(wanted, Math.max(0, crews[no]!.leastFree(atS, atS + lengthS)))
      if (units === 0) continue
      crews[no]!.take(atS, atS + lengthS, units)
      takes[job]!.push({ crew: no, units })
      wanted -= units
    }
    for (const link of before[job]!) {
      const lagS = atS - startS[link.job]! - durationS[link.job]!
      if (lagS > link.maxLagS + 1e-6) broken ??= { job, first: link.job, lagS, maxLagS: link.maxLagS }
    }
  }
  return { startS, takes, broken }
}

function earliestFit(
  fromS: number,
  lengthS: number,
  hands: number,
  crews: readonly Profile[],
  tools: readonly Profile[],
): number {
  let atS = fromS
  while (atS < Infinity) {
    let nextS = atS
    for (const tool of tools) nextS = tool.nextFit(nextS, lengthS, 1)
    if (hands > 0) nextS = handsFit(nextS, lengthS, hands, crews)
    if (nextS === atS) return atS
    atS = nextS
  }
  return Infinity
}

function handsFit(fromS: number, lengthS: number, hands: number, crews: readonly Profile[]): number {
  if (crews.length === 1) return crews[0]!.nextFit(fromS, lengthS, hands)
  if (hands === 1) {
    let soonestS = Infinity
    for (const crew of crews) {
      soonestS = Math.min(soonestS, crew.nextFit(fromS, lengthS, 1))
      if (soonestS === fromS) break
    }
    return soonestS
  }
  let atS = fromS
  while (atS < Infinity) {
    let free = 0
    for (const crew of crews) free += Math.max(0, crew.leastFree(atS, atS + lengthS))
    if (free >= hands) return atS
    let nextS = Infinity
    for (const crew of crews) nextS = Math.min(nextS, crew.nextChange(atS))
    atS = nextS
  }
  return Infinity
}
