import type { Crew } from './crews'
import type { PlacedJobs } from './place'

/**
 * Who does each job: within a crew, people are alike, so whoever is free; the one who had it before if that one is, else the
 * one who has been free the longest.
 */
export function assign(
  crews: readonly Crew[],
  { startS, takes }: PlacedJobs,
  durationS: readonly number[],
  before: (job: number) => readonly string[],
): string[][] {
  const who: string[][] = startS.map(() => [])
  const freeFromS = new Map(crews.flatMap((crew) => crew.people.map((id) => [id, -Infinity] as const)))
  const order = startS.map((_, job) => job).sort((a, b) => startS[a]! - startS[b]! || a - b)
  for (const job of order) {
    for (const { crew, units } of takes[job]!) {
      const had = before(job)
      const free = crews[crew]!.people.filter((id) => freeFromS.get(id)! <= startS[job]! + 1e-6).sort(
        (a, b) => Number(had.includes(b)) - Number(had.includes(a)) || freeFromS.get(a)! - freeFromS.get(b)!,
      )
      for (const id of free.slice(0, units)) {
        who[job]!.push(id)
        freeFromS.set(id, startS[job]! + durationS[job]!)
      }
    }
  }
  return who
}
