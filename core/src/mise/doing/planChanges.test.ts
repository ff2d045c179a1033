import fc from 'fast-check'
import { planChanges } from './planChanges'
import type { Schedule, ScheduledTask } from './scheduleDay'

const MIN_MS = 60_000
const task = (id: string, part: Partial<ScheduledTask> = {}): ScheduledTask =>
  ({ id, startMs: 0, endMs: 30 * MIN_MS, who: ['wen'], lateS: 0, slackS: 0, isFixed: false, ...part }) as ScheduledTask
const plan = (...tasks: ScheduledTask[]): Schedule => ({ tasks, chain: [], infeasible: [] }) as unknown as Schedule
const said = (before: ScheduledTask[], after: ScheduledTask[]) => planChanges(plan(...before), plan(...after))

test.each([
  ['nothing moved', [task('a')], [task('a')], []],
  ['under five minutes is not worth a word', [task('a')], [task('a', { startMs: 299_000 })], []],
  [
    'five minutes later',
    [task('a')],
    [task('a', { startMs: 300_000 })],
    [{ taskId: 'a', kind: 'later', byS: 300, startMs: 300_000 }],
  ],
  ['sooner', [task('a', { startMs: 600_000 })], [task('a')], [{ taskId: 'a', kind: 'sooner', byS: 600, startMs: 0 }]],
  [
    'somebody else',
    [task('a')],
    [task('a', { who: ['tam'] })],
    [{ taskId: 'a', kind: 'person', from: ['wen'], to: ['tam'] }],
  ],
  ['nobody is no new person', [task('a')], [task('a', { who: [] })], []],
  ['late now', [task('a')], [task('a', { lateS: 120 })], [{ taskId: 'a', kind: 'late', lateS: 120 }]],
  ['in time again', [task('a', { lateS: 120 })], [task('a', { lateS: 30 })], [{ taskId: 'a', kind: 'inTime' }]],
  ['later, but late before as well', [task('a', { lateS: 90 })], [task('a', { lateS: 200 })], []],
  [
    'new and gone',
    [task('a')],
    [task('b')],
    [
      { taskId: 'b', kind: 'new' },
      { taskId: 'a', kind: 'gone' },
    ],
  ],
  ['what is under way is not news', [task('a')], [task('a', { startMs: 900_000, who: ['tam'], isFixed: true })], []],
])('%s', (_, before, after, changes) => {
  expect(said(before, after)).toEqual(changes)
})

test('law: a plan against itself changes nothing, and every change is about a task of one of them', () => {
  const any = fc.array(
    fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), startMs: fc.integer({ min: 0, max: 10_000_000 }) }),
    {
      maxLength: 4,
    },
  )
  fc.assert(
    fc.property(any, any, (first, second) => {
      const of = (rows: typeof first) => [...new Map(rows.map((row) => [row.id, task(row.id, row)])).values()]
      expect(said(of(first), of(first))).toEqual([])
      for (const change of said(of(first), of(second)))
        expect([...first, ...second].some((one) => one.id === change.taskId)).toBe(true)
    }),
  )
})
