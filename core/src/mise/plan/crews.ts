import { Profile } from './profile'
import type { PlanPerson, PlanTask, Span } from './task'

/** People who are alike to every task: the same hours, the same skills that matter, nothing handed to one of them alone. */
export type Crew = { people: string[]; profile: Profile }

/** Spans in order, those that touch as one. */
export function mergeSpans(spans: readonly Span[]): Span[] {
  const merged: Span[] = []
  for (const span of [...spans].sort((a, b) => a.fromS - b.fromS)) {
    const last = merged.at(-1)
    if (span.toS <= span.fromS) continue
    if (last && span.fromS <= last.toS) last.toS = Math.max(last.toS, span.toS)
    else merged.push({ ...span })
  }
  return merged
}

/**
 * Groups people into crews. A person to whom a task was handed, or who has one under way, stands alone; so whoever is named
 * is free when named.
 */
export function crewsOf(people: readonly PlanPerson[], tasks: readonly PlanTask[]): Crew[] {
  const needed = new Set(tasks.flatMap((task) => (task.skill === undefined ? [] : [task.skill])))
  const named = new Set(tasks.flatMap((task) => (task.personId === undefined ? [] : [task.personId])))
  const busy = new Map<string, Span[]>()
  for (const { fixed } of tasks) {
    for (const id of fixed?.who ?? [])
      busy.set(id, [...(busy.get(id) ?? []), { fromS: fixed!.startS, toS: fixed!.endS }])
  }
  const groups = new Map<string, PlanPerson[]>()
  for (const person of people) {
    const skills = person.skills.filter((skill) => needed.has(skill)).sort()
    const hours = person.hours ? mergeSpans(person.hours) : null
    const own = named.has(person.id) || busy.has(person.id) ? person.id : ''
    const key = JSON.stringify([skills, hours, own])
    groups.set(key, [...(groups.get(key) ?? []), person])
  }
  return [...groups.values()].map((members) => {
    const { hours } = members[0]!
    const profile = hours ? Profile.within(mergeSpans(hours), members.length) : Profile.constant(members.length)
    for (const { fromS, toS } of members.length === 1 ? (busy.get(members[0]!.id) ?? []) : [])
      profile.take(fromS, toS, 1)
    return { people: members.map(({ id }) => id), profile }
  })
}
