import { DISH, scoreOnRing, TOOLS } from 'core/test/kitchen'
import { z } from 'zod'
import { Dish, DishImportQuery } from './dish'
import { Name, Slug } from './ids'
import { Kitchen } from './kitchen'
import { MeasureConvertInput, MeasureTools } from './measure'
import { PROBLEM_CODES, ProblemDetails } from './problem'
import { FireRun, LiveChange, Run, RunEvent, Score } from './run'
import { NewTicket, NewTickets } from './ticket'

const UUID = '01900000-0000-7000-8000-000000000001'
const SCORE = scoreOnRing(2)
const score = () => SCORE

describe('what core makes, the contract takes', () => {
  test('a score, whole and through JSON', () => {
    expect(Score.parse(score())).toEqual(score())
    expect(Score.parse(JSON.parse(JSON.stringify(score())))).toEqual(score())
  })

  test('a dish and the tools of a kitchen', () => {
    expect(Dish.parse(DISH)).toEqual(DISH)
    expect(MeasureTools.parse(TOOLS)).toEqual(TOOLS)
  })
})

describe('events', () => {
  const head = { id: UUID, runId: UUID, deviceId: 'phone', atMs: 1_764_100_000_000, counter: 0 }
  test.each([
    { kind: 'done', stepId: 'riceIn' },
    { kind: 'later', stepId: 'riceIn', delayS: 10 },
    { kind: 'handsFree', on: false },
    { kind: 'trouble', trouble: 'burning', stepId: 'riceIn' },
    { kind: 'trouble', trouble: 'forgot', stepId: 'riceIn', componentId: 'egg' },
    { kind: 'stopped' },
    { kind: 'undone', eventId: UUID },
  ])('$kind is taken', (word) => expect(RunEvent.parse({ ...head, ...word })).toEqual({ ...head, ...word }))

  test.each([
    ['a word that is none', { kind: 'sing' }],
    ['forgot without what', { kind: 'trouble', trouble: 'forgot', stepId: 'riceIn' }],
    ['a delay of an hour', { kind: 'later', stepId: 'riceIn', delayS: 3600 }],
    ['a delay back in time', { kind: 'later', stepId: 'riceIn', delayS: -10 }],
    ['a field too many', { kind: 'stopped', reason: 'fire' }],
    ['an id that is none', { kind: 'stopped', id: 'seven' }],
    ['half a millisecond', { kind: 'stopped', atMs: 1_764_100_000_000.5 }],
  ])('%s is refused', (_name, word) => expect(RunEvent.safeParse({ ...head, ...word }).success).toBe(false))
})

describe('tickets', () => {
  const ticket = { items: [{ dishId: 'duck', portions: 1 }], promisedAtMs: 1_764_100_000_000 }

  test('what is left out has its default', () => {
    expect(NewTicket.parse(ticket)).toMatchObject({
      kind: 'dine',
      place: '',
      source: 'outside',
      items: [{ modifiers: [], allergies: [] }],
    })
  })

  test('one or many; not a hundred and one, not none', () => {
    expect(NewTickets.safeParse(ticket).success).toBe(true)
    expect(NewTickets.safeParse(Array.from({ length: 100 }, () => ticket)).success).toBe(true)
    expect(NewTickets.safeParse(Array.from({ length: 101 }, () => ticket)).success).toBe(false)
    expect(NewTickets.safeParse([]).success).toBe(false)
  })

  test("nobody outside calls a ticket the demo's", () => {
    expect(NewTicket.safeParse({ ...ticket, source: 'demo' }).success).toBe(false)
  })
})

describe('names and ids', () => {
  test.each(['Low Tide', 'Grüner Tee', '炒飯', "O'Neill; DROP TABLE", '<b>', '🍚'])('"%s" is a name', (name) =>
    expect(Name.safeParse(name).success).toBe(true),
  )
  test.each(['', '   ', 'a\nb', 'a\u0000b', 'x'.repeat(121)])('%j is none', (name) =>
    expect(Name.safeParse(name).success).toBe(false),
  )
  test.each(['duck', 'r-18', 'no-egg-2'])('%s is a slug', (slug) => expect(Slug.safeParse(slug).success).toBe(true))
  test.each(['', 'Duck', '-duck', 'du ck', '../etc', 'a--b'])('%j is none', (slug) =>
    expect(Slug.safeParse(slug).success).toBe(false),
  )
})

test('a portion of rice in an import query is a number in words or nothing', () => {
  expect(DishImportQuery.parse({ name: 'Duck', portionRiceG: '220' })).toMatchObject({ portionRiceG: 220 })
  expect(DishImportQuery.safeParse({ name: 'Duck', portionRiceG: 'lots' }).success).toBe(false)
})

test('a run is what was fired and what came of it; the device stays behind', () => {
  expect(Object.keys(FireRun.shape)).toContain('deviceId')
  expect(Object.keys(Run.shape)).not.toContain('deviceId')
  expect(Object.keys(Run.shape)).toEqual(expect.arrayContaining(['score', 'events', 'lots', 'twicePortions']))
})

test('every problem code fits a problem', () => {
  for (const code of PROBLEM_CODES) {
    const problem = {
      type: `urn:okazu:problem:${code}`,
      title: 't',
      status: 409,
      detail: 'd',
      code,
      faults: [],
      values: { n: 1, s: 'x' },
    }
    expect(ProblemDetails.parse(problem)).toEqual(problem)
  }
})

test('a change names its topic, and a number that counts', () => {
  expect(LiveChange.safeParse({ no: 1, topic: 'runs', key: '' }).success).toBe(true)
  expect(LiveChange.safeParse({ no: -1, topic: 'runs', key: '' }).success).toBe(false)
  expect(LiveChange.safeParse({ no: 1, topic: 'gossip', key: '' }).success).toBe(false)
})

test('schemas that others read can be written as JSON Schema', () => {
  for (const schema of [MeasureConvertInput, NewTicket, FireRun, Run, Kitchen, Dish]) {
    expect(z.toJSONSchema(schema, { io: 'input' })).toMatchObject({ type: 'object' })
  }
})
