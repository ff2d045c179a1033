import fc from 'fast-check'
import loadHighs from 'highs'
import { prepInstance } from '../../test/prepInstances'
import { planPrep } from './planPrep'
import type { PlanInput } from './task'

/**
 * The same plan as a time-indexed integer programme in the LP format: x_i_t is 1 where task i starts t before its mirror
 * image's zero, so that the last end is the earliest start. Everybody can do everything.
 */
function asLp({ tasks, people, equipment }: PlanInput, horizon: number): string {
  const starts = Array.from({ length: horizon }, (_, t) => t)
  const name = (i: number, t: number) => `x_${i}_${t}`
  const rows: string[] = []
  const running = (i: number, t: number) =>
    starts.filter((s) => s <= t && t < s + tasks[i]!.durationS).map((s) => name(i, s))
  tasks.forEach((task, i) => {
    rows.push(`${starts.map((t) => name(i, t)).join(' + ')} = 1`)
    rows.push(`last - ${starts.map((t) => `${t + task.durationS} ${name(i, t)}`).join(' - ')} >= 0`)
    for (const need of task.needs) {
      const first = tasks.findIndex((one) => one.id === need.taskId)
      const begins = starts.map((t) => `${t} ${name(first, t)}`).join(' + ')
      const ends = starts.map((t) => `${t + task.durationS} ${name(i, t)}`).join(' - ')
      rows.push(`${begins} - ${ends} >= ${need.minLagS ?? 0}`)
    }
  })
  for (const t of starts) {
    const hands = tasks.flatMap((task, i) => running(i, t).map((x) => `${task.hands} ${x}`))
    if (hands.length > 0) rows.push(`${hands.join(' + ')} <= ${people.length}`)
    for (const { id, count } of equipment) {
      const users = tasks.flatMap((task, i) => (task.equipment.includes(id) ? running(i, t) : []))
      if (users.length > 0) rows.push(`${users.join(' + ')} <= ${count}`)
    }
  }
  const variables = tasks.flatMap((_, i) => starts.map((t) => name(i, t)))
  const body = rows.map((row, no) => ` r${no}: ${row}`).join('\n')
  return `Minimize\n obj: last\nSubject To\n${body}\nBinary\n ${variables.join('\n ')}\nEnd\n`
}

test('small plans begin within 2 % (median) and 10 % (worst) of the optimum that the solver HiGHS proves', async () => {
  const highs = await loadHighs()
  const samples = fc.sample(prepInstance({ most: 8, withHours: false }), { numRuns: 36, seed: 11 })
  const instances = samples.map((input) => ({
    ...input,
    people: input.people.slice(0, 2).map((one) => ({ ...one, skills: ['knife'] })),
    tasks: input.tasks.map((one) => ({ ...one, durationS: Math.min(one.durationS, 6) })),
  }))
  const gaps = instances.map((input) => {
    const ours = -planPrep(input).firstStartS!
    const solved = highs.solve(asLp(input, ours))
    expect(solved.Status).toBe('Optimal')
    return ours / Math.round(solved.ObjectiveValue) - 1
  })
  gaps.sort((a, b) => a - b)
  expect(gaps[0]).toBeGreaterThanOrEqual(0)
  expect(gaps[gaps.length >> 1]).toBeLessThanOrEqual(0.02)
  expect(gaps.at(-1)).toBeLessThanOrEqual(0.1)
})

test('a large plan begins within 5 % of the bound that no plan can beat', () => {
  const [input] = fc.sample(prepInstance({ least: 90, most: 120, withHours: false }), { numRuns: 1, seed: 3 })
  const plan = planPrep({ ...input!, passes: 30 })
  expect(-plan.firstStartS!).toBeGreaterThanOrEqual(plan.lowerBoundS)
  expect(-plan.firstStartS!).toBeLessThanOrEqual(plan.lowerBoundS * 1.05)
})
