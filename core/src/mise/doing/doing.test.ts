import fc from 'fast-check'
import { drawn, HOUR_MS, MIN_MS, SERVICE_MS } from '../../test/prepKitchen'
import { foldDay } from './foldDay'
import type { MiseEvent } from './miseEvent'
import { planChanges } from './planChanges'
import { planKitchen, workersOf } from './planKitchen'
import { scheduleDay, without } from './scheduleDay'
import { outlookOf, shortsOf } from './shorts'

type Word = MiseEvent extends infer T
  ? T extends MiseEvent
    ? Omit<T, 'id' | 'day' | 'deviceId' | 'counter'>
    : never
  : never
let made = 0
const said = (word: Word): MiseEvent => ({ id: `e${(made += 1)}`, day: 'noon', deviceId: 'phone', counter: 0, ...word })
const DAY = drawn()
const GARLIC = 'cut:garlic:mince-2/1-cut'
const GLAZE = 'recipe:glaze/1-mix'
const SOY = 'recipe:house-soy/1-mix'
const CRAB = 'cut:crab:shred-6/2-cut'
const at = (minBefore: number) => SERVICE_MS - minBefore * MIN_MS
const stateOf = (events: MiseEvent[], id: string) => foldDay(DAY, events).tasks.find((task) => task.id === id)
const ended = (taskId: string, massG: number | null, atMs: number) =>
  said({ kind: 'ended', taskId, massG, gave: null, took: [], atMs })

describe('the day as it is done', () => {
  test('a task is begun once, handed on, slowed, and done with what came out', () => {
    const events = [
      said({ kind: 'began', taskId: GARLIC, staffIds: ['tam'], atMs: at(100) }),
      said({ kind: 'began', taskId: GARLIC, staffIds: ['wen'], atMs: at(99) }),
      said({ kind: 'slow', taskId: GARLIC, moreS: 600, atMs: at(95) }),
      said({ kind: 'handed', taskId: GARLIC, staffId: 'bram', atMs: at(94) }),
    ]
    const before = stateOf([], GARLIC)!
    expect(stateOf(events, GARLIC)).toMatchObject({
      status: 'underway',
      beganMs: at(100),
      who: ['bram'],
      durationS: before.durationS + 600,
    })
    expect(stateOf([...events, ended(GARLIC, 80, at(80))], GARLIC)).toMatchObject({
      status: 'done',
      doneG: 80,
      endedMs: at(80),
    })
  })

  test('an undoing takes back, and can be taken back itself', () => {
    const done = ended(GARLIC, null, at(80))
    const undo = said({ kind: 'undone', eventId: done.id, atMs: at(79) })
    const redo = said({ kind: 'undone', eventId: undo.id, atMs: at(78) })
    expect(stateOf([done, undo], GARLIC)!.status).toBe('open')
    expect(stateOf([done, undo, redo], GARLIC)!.status).toBe('done')
  })

  test('the order of arrival does not matter', () => {
    const events = [
      said({ kind: 'began', taskId: GARLIC, staffIds: ['tam'], atMs: at(100) }),
      said({ kind: 'split', taskId: GLAZE, atMs: at(99) }),
      ended(GARLIC, 60, at(90)),
      ended(GLAZE, 300, at(85)),
      said({ kind: 'dropped', dishId: 'crabby', atMs: at(80) }),
    ]
    const shuffled = fc.shuffledSubarray(events, { minLength: events.length, maxLength: events.length })
    fc.assert(
      fc.property(shuffled, (order) => expect(foldDay(DAY, order)).toEqual(foldDay(DAY, events))),
      { seed: 31 },
    )
  })

  test('a split task is two halves, what waited waits for both, and a whole said done by somebody else ends both', () => {
    const split = said({ kind: 'split', taskId: SOY, atMs: at(99) })
    const day = foldDay(DAY, [split])
    expect(day.tasks.filter((task) => task.id.startsWith(SOY)).map((task) => [task.id, task.massG])).toEqual([
      [`${SOY}~1`, 100],
      [`${SOY}~2`, 100],
    ])
    expect(day.tasks.find((task) => task.id === GLAZE)!.needs.map((need) => need.taskId)).toEqual([
      `${SOY}~1`,
      `${SOY}~2`,
    ])
    const both = foldDay(DAY, [split, ended(SOY, 180, at(90))])
    expect(both.tasks.filter((task) => task.id.startsWith(SOY)).map((task) => task.doneG)).toEqual([90, 90])
  })

  test('a dish off the menu takes its own tasks along, not those that others need', () => {
    const day = foldDay(DAY, [said({ kind: 'dropped', dishId: 'crabby', atMs: at(99) })])
    expect(day.tasks.some((task) => task.id.includes('crab'))).toBe(false)
    expect(day.tasks.some((task) => task.id === GARLIC)).toBe(true)
    expect(day.tasks.find((task) => task.id === 'rails')!.needs.map((need) => need.taskId)).not.toContain(CRAB)
  })
})

describe('short', () => {
  const shorts = (events: MiseEvent[]) => shortsOf(outlookOf(DAY.items, foldDay(DAY, events)))

  test('nothing is short where all is done as planned', () => expect(shorts([])).toEqual([]))

  test('only 2 kg came of 4: for how many portions it lasts, and of which dishes', () => {
    expect(shorts([ended(CRAB, 100, at(60))])).toMatchObject([
      {
        itemId: 'cut:crab:shred-6',
        willHaveG: 100,
        shortG: 300,
        portions: 2,
        ofPortions: 10,
        dishes: [{ dishId: 'crabby', portions: 2, ofPortions: 10 }],
      },
    ])
  })

  test('short sauce makes a short glaze, in proportion, before anybody has begun it', () => {
    expect(stateOf([ended(SOY, 100, at(90))], GLAZE)!.share).toBeCloseTo(0.5)
    expect(shorts([ended(SOY, 100, at(90))])).toMatchObject([
      { itemId: 'recipe:glaze', willHaveG: 160, portions: 10, ofPortions: 20 },
    ])
  })

  test('a delivery that came short is what the cut is made of; one that has not come is taken to come', () => {
    const came = (massG: number) =>
      said({ kind: 'delivered', itemId: 'ingredient:crab', orderedG: 800, massG, useByMs: null, atMs: at(600) })
    expect(shorts([came(800)])).toEqual([])
    expect(shorts([came(300), came(100)])).toMatchObject([{ itemId: 'cut:crab:shred-6', portions: 5 }])
  })
})

const person = (id: string, fromMin: number, toMin: number, skills: string[] = []) => ({
  staffId: id,
  skills,
  shifts: [{ weekdays: [1, 2, 3, 4, 5, 6, 7], fromMin, toMin }],
})
const PEOPLE = [person('ifeoma', 480, 720), person('tam', 540, 720)]
const kitchen = (events: MiseEvent[], nowMs: number, people = PEOPLE) =>
  planKitchen({
    plans: [{ id: 'noon', fromMs: SERVICE_MS, drawn: DAY, events }],
    people,
    equipment: [{ id: 'sink', count: 1 }],
    timeZone: 'UTC',
    nowMs,
    aheadS: 7200,
    passes: 8,
  })

describe('planned over people', () => {
  test('hours are those of the shifts, by the wall clock of the zone', () => {
    const [ifeoma] = workersOf(PEOPLE, 'Pacific/Auckland', SERVICE_MS)
    expect(ifeoma!.hours).toHaveLength(7)
    expect(new Date(ifeoma!.hours[1]!.fromMs).toISOString()).toBe('2026-11-26T19:00:00.000Z')
  })

  test('everything ends before the service, the thaw the day before, rails with both', () => {
    const { schedule } = kitchen([], SERVICE_MS - 30 * HOUR_MS)
    expect(schedule.infeasible).toEqual([])
    expect(schedule.tasks.every((task) => task.endMs <= SERVICE_MS && task.lateS === 0)).toBe(true)
    expect(schedule.tasks.find((task) => task.id === 'rails')!.who.sort()).toEqual(['ifeoma', 'tam'])
    const thaw = schedule.tasks.find((task) => task.id === 'cut:crab:shred-6/1-thaw')!
    expect(SERVICE_MS - thaw.startMs).toBeGreaterThan(19 * HOUR_MS)
  })

  test('what is under way stays, with whoever has it; somebody ill is planned around', () => {
    const began = said({ kind: 'began', taskId: GARLIC, staffIds: ['tam'], atMs: at(110) })
    const thawed = [1, 2].flatMap(() => [
      ended('cut:crab:shred-6/1-thaw', null, at(1400)),
      ended('cut:crab:shred-6/1-thaw-wait', null, at(200)),
    ])
    const ill = said({ kind: 'away', staffId: 'ifeoma', fromMs: at(108), toMs: SERVICE_MS, atMs: at(108) })
    const before = kitchen([began, ...thawed], at(109)).schedule
    const after = kitchen([began, ...thawed, ill], at(107)).schedule
    const garlic = (schedule: typeof after) => schedule.tasks.find((task) => task.id === GARLIC)!
    expect(garlic(after)).toMatchObject({ startMs: at(110), who: ['tam'], isFixed: true })
    expect(garlic(before)).toEqual(garlic(after))
    expect(after.tasks.filter((task) => !task.isFixed).every((task) => !task.who.includes('ifeoma'))).toBe(true)
    const changes = planChanges(before, after)
    expect(changes.filter((change) => change.taskId === GARLIC)).toEqual([])
    expect(changes.some((change) => change.kind === 'person' && change.to.join() === 'tam')).toBe(true)
    expect(after.tasks.find((task) => task.id === 'rails')).toMatchObject({ who: ['tam'], lateS: 0 })
    expect(after.infeasible).toEqual([])
  })

  test('a task that runs over its time is expected a little later, and keeps its hands until then', () => {
    const began = said({ kind: 'began', taskId: GARLIC, staffIds: ['tam'], atMs: at(200) })
    const { schedule } = kitchen([began], at(100))
    const garlic = schedule.tasks.find((task) => task.id === GARLIC)!
    expect(garlic.endMs).toBe(at(100) + 60_000)
    for (const task of schedule.tasks.filter((one) => !one.isFixed && one.who.includes('tam')))
      expect(task.startMs).toBeGreaterThanOrEqual(garlic.endMs)
  })

  test('a handed task goes to that person', () => {
    const handed = said({ kind: 'handed', taskId: GLAZE, staffId: 'tam', atMs: at(300) })
    const task = kitchen([handed], SERVICE_MS - 30 * HOUR_MS).schedule.tasks.find((one) => one.id === GLAZE)!
    expect(task.who).toEqual(['tam'])
  })

  test('a broken sink is not planned for, and comes back', () => {
    const day = foldDay(
      { tasks: [{ ...DAY.tasks.find((task) => task.id === GARLIC)!, equipment: ['sink'] }], items: [] },
      [said({ kind: 'down', equipmentId: 'sink', count: 1, fromMs: at(300), toMs: at(60), atMs: at(300) })],
    )
    const { tasks } = scheduleDay({
      day,
      people: [],
      equipment: [{ id: 'sink', count: 1 }],
      serviceMs: SERVICE_MS,
      nowMs: at(200),
      aheadS: 7200,
      passes: 4,
    })
    expect(tasks).toEqual([])
    const workers = workersOf(PEOPLE, 'UTC', SERVICE_MS)
    const later = scheduleDay({
      day,
      people: workers,
      equipment: [{ id: 'sink', count: 1 }],
      serviceMs: SERVICE_MS,
      nowMs: at(200),
      aheadS: 7200,
      passes: 4,
    })
    expect(later.tasks[0]!.startMs).toBeGreaterThanOrEqual(at(60))
  })
})

test('a span without others is what is left of it', () => {
  const span = { fromMs: 0, toMs: 10 }
  expect(
    without(span, [
      { fromMs: 3, toMs: 5 },
      { fromMs: 8, toMs: 20 },
    ]),
  ).toEqual([
    { fromMs: 0, toMs: 3 },
    { fromMs: 5, toMs: 8 },
  ])
  expect(without(span, [{ fromMs: -1, toMs: 11 }])).toEqual([])
})

test('crab that cannot thaw in time is said at its thaw, and the rails are set without it', () => {
  const { schedule } = kitchen([], at(180))
  const find = (id: string) => schedule.tasks.find((task) => task.id === id)!
  expect(find(CRAB).lateS).toBeGreaterThan(12 * 3600)
  expect(find('cut:crab:shred-6/1-thaw')).toMatchObject({ lateS: 0, lateAheadS: find(CRAB).lateS })
  expect(find('rails').lateS).toBe(0)
  expect(find(GARLIC).lateAheadS).toBe(0)
})
