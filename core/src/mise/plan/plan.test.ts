import fc from 'fast-check'
import { prepInstance } from '../../test/prepInstances'
import { planPrep } from './planPrep'
import type { Plan, PlanInput, PlanTask } from './task'

const task = (id: string, durationS: number, needs: string[] = [], rest: Partial<PlanTask> = {}): PlanTask => ({
  id,
  durationS,
  needs: needs.map((taskId) => ({ taskId })),
  hands: 0,
  equipment: [],
  ...rest,
})
const nobody = { people: [], equipment: [] }
const slackOf = ({ tasks }: Plan) => Object.fromEntries(tasks.map(({ id, slackS }) => [id, slackS]))

test('a contractor’s project takes 44 weeks by A B C E F J L N: Hillier and Lieberman, Introduction to Operations Research (from memory)', () => {
  const tasks = [
    task('A', 2),
    task('B', 4, ['A']),
    task('C', 10, ['B']),
    task('D', 6, ['C']),
    task('E', 4, ['C']),
    task('F', 5, ['E']),
    task('G', 7, ['D']),
    task('H', 9, ['E', 'G']),
    task('I', 7, ['C']),
    task('J', 8, ['F', 'I']),
    task('K', 4, ['J']),
    task('L', 5, ['J']),
    task('M', 2, ['H']),
    task('N', 6, ['K', 'L']),
  ]
  const plan = planPrep({ tasks, ...nobody })
  expect(plan.firstStartS).toBe(-44)
  expect(plan.isProven).toBe(true)
  expect(plan.chain.join('')).toBe('ABCEFJLN')
  expect(slackOf(plan)).toMatchObject({ D: 4, G: 4, H: 4, M: 4, I: 2, K: 1, A: 0, N: 0 })
})

test('a foundry’s filter takes 15 weeks by A C E G H: Render, Stair and Hanna, Quantitative Analysis for Management (from memory)', () => {
  const tasks = [
    task('A', 2),
    task('B', 3),
    task('C', 2, ['A']),
    task('D', 4, ['B']),
    task('E', 4, ['C']),
    task('F', 3, ['C']),
    task('G', 5, ['D', 'E']),
    task('H', 2, ['F', 'G']),
  ]
  const plan = planPrep({ tasks, ...nobody })
  expect(plan.firstStartS).toBe(-15)
  expect(plan.chain.join('')).toBe('ACEGH')
  expect(slackOf(plan)).toMatchObject({ B: 1, D: 1, F: 6 })
})

const HOUR_S = 3600
const tam = { id: 'tam', skills: [] }
const byTam = (id: string, durationS: number, needs: string[] = [], rest: Partial<PlanTask> = {}) =>
  task(id, durationS, needs, { hands: 1, ...rest })

test('a chain that a due time decides is the chain, though other work is nearer to the service', () => {
  const tasks = [
    byTam('cut', 600),
    byTam('cook', 600, ['cut'], { dueS: -3 * HOUR_S }),
    byTam('rails', 300),
    byTam('wipe', 100, [], { dueS: -2 * HOUR_S }),
  ]
  const plan = planPrep({ tasks, people: [tam], equipment: [] })
  expect(plan.firstStartS).toBe(-3 * HOUR_S - 1200)
  expect(plan.chain).toEqual(['cut', 'cook'])
  const rightAfter = byTam('label', 600, [], { dueS: -3 * HOUR_S + 600 })
  expect(planPrep({ tasks: [...tasks, rightAfter], people: [tam], equipment: [] }).chain).toEqual(['cut', 'cook'])
})

test('what is under way stays in the plan, also when nothing else is left to place', () => {
  const begun = byTam('thaw', 3600, [], { fixed: { startS: -4000, endS: 100, who: ['tam'] } })
  const one = { people: [tam], equipment: [] }
  const asItIs = { id: 'thaw', startS: -4000, endS: 100, who: ['tam'], lateS: 100, isFixed: true }
  expect(planPrep({ tasks: [begun], ...one }).tasks).toEqual([expect.objectContaining(asItIs)])
  const plan = planPrep({ tasks: [begun, byTam('cut', 600, ['thaw'])], ...one, nowS: -2000 })
  expect(plan.tasks.map((each) => each.id)).toEqual(['thaw', 'cut'])
})

test('whoever a task is handed to must be there, and be there long enough', () => {
  const handed = (personId: string) => [byTam('cut', 600, [], { personId })]
  const short = { id: 'ann', skills: [], hours: [{ fromS: -900, toS: -600 }] }
  const input = { people: [tam, short], equipment: [] }
  const unknown = planPrep({ tasks: [...handed('bo'), byTam('wash', 60)], ...input })
  expect(unknown.infeasible).toEqual([{ taskId: 'cut', why: 'unknown-person', name: 'bo' }])
  expect(unknown.lowerBoundS).toBe(60)
  expect(planPrep({ tasks: handed('ann'), ...input }).infeasible).toEqual([
    { taskId: 'cut', why: 'no-hours', neededS: 600, longestS: 300 },
  ])
})

test('a due time and the longest wait after it that contradict each other are both named', () => {
  const wait = (maxLagS: number) => [
    byTam('boil', 600, [], { dueS: -5 * HOUR_S }),
    byTam('dress', 600, [], { notBeforeS: -3 * HOUR_S, needs: [{ taskId: 'boil', maxLagS }] }),
  ]
  const input = { people: [tam], equipment: [] }
  expect(planPrep({ tasks: wait(HOUR_S), ...input }).infeasible).toEqual([
    { taskId: 'dress', why: 'due-max-lag', name: 'boil', maxLagS: HOUR_S, overS: HOUR_S },
  ])
  expect(planPrep({ tasks: wait(2 * HOUR_S), ...input }).infeasible).toEqual([])
})

test('the 6 x 6 job shop of Fisher and Thompson (1963) ends at its known optimum, 55', () => {
  const jobs = [
    [2, 1, 0, 3, 1, 6, 3, 7, 5, 3, 4, 6],
    [1, 8, 2, 5, 4, 10, 5, 10, 0, 10, 3, 4],
    [2, 5, 3, 4, 5, 8, 0, 9, 1, 1, 4, 7],
    [1, 5, 0, 5, 2, 5, 3, 3, 4, 8, 5, 9],
    [2, 9, 1, 3, 4, 5, 5, 4, 0, 3, 3, 1],
    [1, 3, 3, 3, 5, 9, 0, 10, 4, 4, 2, 1],
  ]
  const tasks = jobs.flatMap((row, job) =>
    Array.from({ length: 6 }, (_, step) =>
      task(`${job}.${step}`, row[2 * step + 1]!, step === 0 ? [] : [`${job}.${step - 1}`], {
        equipment: [`m${row[2 * step]}`],
      }),
    ),
  )
  const equipment = Array.from({ length: 6 }, (_, no) => ({ id: `m${no}`, count: 1 }))
  const input = { tasks, people: [], equipment }
  expect(planPrep({ ...input, passes: 400 }).firstStartS).toBe(-55)
  expect(planPrep({ ...input, passes: 1 }).firstStartS).toBeGreaterThanOrEqual(-55 * 1.2)
})

/** Walks every second and every need by the words of the law, without the planner's own structures. */
function faultsOf(input: PlanInput, plan: Plan): string[] {
  const at = new Map(plan.tasks.map((one) => [one.id, one]))
  const placed = input.tasks.flatMap((one) => {
    const found = at.get(one.id)
    return found ? [{ ...one, ...found }] : one.fixed ? [{ ...one, ...one.fixed }] : []
  })
  const faults: string[] = []
  const fromS = Math.floor(Math.min(...placed.map((one) => one.startS)))
  for (let second = fromS; second < 0; second += 1) {
    const running = placed.filter((one) => one.startS <= second && second < one.endS)
    for (const { id, count } of input.equipment)
      if (running.filter((one) => one.equipment.includes(id)).length > count) faults.push(`${id} at ${second}`)
    const hands = running.flatMap((one) => [...one.who])
    if (new Set(hands).size < hands.length) faults.push(`somebody twice at ${second}`)
    for (const one of running) {
      if (one.who.length !== one.hands) faults.push(`${one.id} has ${one.who.length} hands`)
      for (const id of one.who) {
        const person = input.people.find((other) => other.id === id)
        const isHere = person?.hours?.some((span) => span.fromS <= second && second < span.toS) ?? true
        if (!isHere) faults.push(`${id} is not here at ${second}`)
        if (one.skill !== undefined && !person?.skills.includes(one.skill)) faults.push(`${id} cannot ${one.skill}`)
      }
    }
  }
  for (const one of placed)
    for (const { taskId, minLagS = 0, maxLagS = Infinity } of one.needs) {
      const first = placed.find((other) => other.id === taskId)
      const lagS = one.startS - (first?.endS ?? Infinity)
      if (!one.fixed && (lagS < minLagS || lagS > maxLagS)) faults.push(`${one.id} starts ${lagS} after ${taskId}`)
    }
  return faults
}

test('nothing starts before what it needs, nobody and nothing is used twice, everyone is here and able', () => {
  fc.assert(
    fc.property(prepInstance(), (input) => {
      const plan = planPrep({ ...input, passes: 8 })
      expect(faultsOf(input, plan)).toEqual([])
      expect(plan.tasks.length + plan.infeasible.length).toBe(input.tasks.length)
      if (plan.firstStartS !== null) expect(plan.firstStartS).toBeLessThanOrEqual(-plan.lowerBoundS + 1e-9)
    }),
    { numRuns: 150, seed: 5 },
  )
})

test('slack is true: a task begun so much later, the rest planned anew, makes nothing late', () => {
  fc.assert(
    fc.property(prepInstance(), fc.nat(), (input, pick) => {
      const plan = planPrep({ ...input, passes: 8 })
      const one = plan.tasks[pick % Math.max(1, plan.tasks.length)]
      if (!one) return
      const tasks = input.tasks.map((other) =>
        other.id === one.id ? { ...other, notBeforeS: one.startS + one.slackS } : other,
      )
      const later = planPrep({ ...input, tasks, nowS: plan.tasks[0]!.startS, passes: 60 })
      const wasLate = plan.tasks.some((other) => other.lateS > 0)
      if (!wasLate) expect(later.tasks.filter((other) => other.lateS > 0)).toEqual([])
    }),
    { numRuns: 60, seed: 6 },
  )
})

test('the same asked and seed give the same plan', () => {
  fc.assert(
    fc.property(prepInstance(), fc.integer(), (input, seed) => {
      expect(planPrep({ ...input, seed, passes: 12 })).toEqual(planPrep({ ...input, seed, passes: 12 }))
    }),
    { numRuns: 30, seed: 7 },
  )
})

test('one more person never makes a plan later that begins from the plan without', () => {
  fc.assert(
    fc.property(prepInstance({ withHours: false }), (input) => {
      const able = input.people.map((one) => ({ ...one, skills: ['knife'] }))
      const few = planPrep({ ...input, people: able, passes: 8 })
      const before = new Map(few.tasks.map((one) => [one.id, one.latestStartS]))
      const many = planPrep({ ...input, people: [...able, { id: 'more', skills: ['knife'] }], passes: 8, before })
      expect(many.firstStartS!).toBeGreaterThanOrEqual(few.firstStartS! - 1e-9)
    }),
    { numRuns: 120, seed: 8 },
  )
})

test('what is under way or done never moves, and holds its people and tools', () => {
  fc.assert(
    fc.property(prepInstance({ withHours: false }), fc.nat(), (input, pick) => {
      const plan = planPrep({ ...input, passes: 8 })
      const nowS = plan.tasks[pick % plan.tasks.length]!.startS + 1
      const tasks = input.tasks.map((one) => {
        const planned = plan.tasks.find((other) => other.id === one.id)!
        if (planned.startS >= nowS) return one
        return { ...one, fixed: { startS: planned.startS, endS: planned.endS, who: planned.who } }
      })
      const again = planPrep({ ...input, tasks, nowS, passes: 8 })
      expect(faultsOf({ ...input, tasks }, again)).toEqual([])
      for (const one of again.tasks.filter(({ isFixed }) => !isFixed)) expect(one.startS).toBeGreaterThanOrEqual(nowS)
      for (const { id, fixed } of tasks.filter((one) => one.fixed))
        expect(again.tasks.find((one) => one.id === id)).toMatchObject({ startS: fixed!.startS, isFixed: true })
      expect(again.tasks.map(({ id }) => id).sort()).toEqual(tasks.map(({ id }) => id).sort())
    }),
    { numRuns: 80, seed: 9 },
  )
})

test('thawed fish is used within its day: the thaw waits for the hands that cut it', () => {
  const H = 3600
  const tasks = [
    task('thaw', 10 * H),
    { ...task('cut', H, [], { hands: 1 }), needs: [{ taskId: 'thaw', maxLagS: 4 * H }] },
    task('rails', H, ['cut'], { hands: 1 }),
  ]
  const people = [
    {
      id: 'ifeoma',
      skills: [],
      hours: [
        { fromS: -30 * H, toS: -20 * H },
        { fromS: -2 * H, toS: 0 },
      ],
    },
  ]
  const plan = planPrep({ tasks, people, equipment: [] })
  expect(plan.infeasible).toEqual([])
  const [thaw, cut] = ['thaw', 'cut'].map((id) => plan.tasks.find((one) => one.id === id)!)
  expect(cut!.startS - thaw!.endS).toBeLessThanOrEqual(4 * H)
  const gone = planPrep({
    tasks,
    people: [{ ...people[0]!, hours: [{ fromS: -30 * H, toS: -20 * H }] }],
    equipment: [],
  })
  expect(gone.tasks.find((one) => one.id === 'rails')!.endS).toBeLessThanOrEqual(-20 * H)
})

test('too late is said: the least weight is late, and by how much', () => {
  const tasks = [task('nine', 40, [], { hands: 1, weight: 9 }), task('two', 40, [], { hands: 1, weight: 2 })]
  const plan = planPrep({ tasks, people: [{ id: 'wen', skills: [] }], equipment: [], nowS: -60 })
  expect(plan.firstStartS).toBe(-80)
  expect(plan.tasks).toMatchObject([
    { id: 'nine', startS: -60, lateS: 0 },
    { id: 'two', startS: -20, lateS: 20, critical: true },
  ])
})

test('each task that cannot be planned says why, and the rest is planned', () => {
  const tasks = [
    task('a', 5, ['c']),
    task('b', 5, ['a']),
    task('c', 5, ['b']),
    task('after', 5, ['c']),
    task('ghost', 5, ['nothing']),
    task('oven', 5, [], { equipment: ['oven'] }),
    task('sugar', 5, [], { hands: 1, skill: 'sugar' }),
    task('lift', 5, [], { hands: 3 }),
    task('long', 90, [], { hands: 1 }),
    task('fine', 5, [], { hands: 1 }),
  ]
  const people = ['bram', 'wen'].map((id) => ({ id, skills: [], hours: [{ fromS: -60, toS: 0 }] }))
  const plan = planPrep({ tasks, people, equipment: [{ id: 'oven', count: 0 }] })
  expect(plan.tasks.map(({ id }) => id)).toEqual(['fine'])
  expect(plan.infeasible).toEqual([
    { taskId: 'a', why: 'loop', path: ['a', 'c', 'b', 'a'] },
    { taskId: 'b', why: 'loop', path: ['b', 'a', 'c', 'b'] },
    { taskId: 'c', why: 'loop', path: ['c', 'b', 'a', 'c'] },
    { taskId: 'after', why: 'needs-infeasible', name: 'c' },
    { taskId: 'ghost', why: 'unknown-need', name: 'nothing' },
    { taskId: 'oven', why: 'unknown-equipment', name: 'oven' },
    { taskId: 'sugar', why: 'no-skill', name: 'sugar' },
    { taskId: 'lift', why: 'too-few-hands', hands: 3, people: 2 },
    { taskId: 'long', why: 'no-hours', neededS: 90, longestS: 60 },
  ])
  expect(planPrep({ tasks: [tasks[9]!], people: [], equipment: [] }).infeasible).toEqual([
    { taskId: 'fine', why: 'no-people' },
  ])
})
