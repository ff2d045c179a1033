import fc from 'fast-check'
import { blankDraft, blankLine, type EditedDish } from './draft'
import { edited, historyOf, type Edit, type History } from './history'

const start: EditedDish = {
  ...blankDraft('a'),
  lines: ['a', 'b', 'c', 'd'].map((key) => ({ ...blankLine(key), name: key })),
}
let fresh = 0
const anyKey = fc.constantFrom('a', 'b', 'c', 'd', 'gone')
const anyChange: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({ kind: fc.constant('line' as const), key: anyKey, changes: fc.record({ written: fc.string() }) }),
  fc.record({ kind: fc.constant('head' as const), changes: fc.record({ name: fc.string() }) }),
  fc.record({ kind: fc.constant('remove' as const), key: anyKey }),
  fc.record({ kind: fc.constant('move' as const), key: anyKey, to: fc.integer({ min: -3, max: 9 }) }),
  fc.option(anyKey).map((afterKey): Edit => ({ kind: 'insert', afterKey, lines: [blankLine(`new${(fresh += 1)}`)] })),
)
const anyEdit: fc.Arbitrary<Edit> = fc.oneof(
  { weight: 4, arbitrary: anyChange },
  { weight: 1, arbitrary: fc.constantFrom<Edit>({ kind: 'undo' }, { kind: 'redo' }) },
)
const run = (edits: readonly Edit[], from: History = historyOf(start), stepMs = 2000) =>
  edits.reduce((history, edit, i) => edited(history, edit, i * stepMs), from)
const undone = (history: History, times: number) =>
  run(
    Array.from({ length: times }, () => ({ kind: 'undo' as const })),
    history,
  )

test('law: undone as often as there are steps, the dish is as it was opened', () => {
  fc.assert(
    fc.property(fc.array(anyEdit, { maxLength: 40 }), (edits) => {
      const history = run(edits)
      expect(undone(history, history.past.length).present).toEqual(start)
    }),
  )
})

test('law: undo and redo again lose nothing', () => {
  fc.assert(
    fc.property(
      fc.array(anyChange, { minLength: 1, maxLength: 30 }),
      fc.integer({ min: 1, max: 30 }),
      (edits, times) => {
        const history = run(edits)
        const back = undone(history, times)
        const again = run(
          Array.from({ length: times }, () => ({ kind: 'redo' as const })),
          back,
        )
        expect(again.present).toEqual(history.present)
        expect(again.past).toHaveLength(history.past.length)
      },
    ),
  )
})

test('law: moving lines loses none and doubles none', () => {
  const move = fc.record({ kind: fc.constant('move' as const), key: anyKey, to: fc.integer({ min: -9, max: 99 }) })
  fc.assert(
    fc.property(fc.array(move, { maxLength: 30 }), (moves) => {
      const keys = run(moves).present.lines.map((line) => line.key)
      expect([...keys].sort()).toEqual(['a', 'b', 'c', 'd'])
    }),
  )
})

test('a change after an undo is a new way on: what was undone cannot come back over it', () => {
  const typed = run([{ kind: 'head', changes: { name: 'one' } }])
  const other = edited(edited(typed, { kind: 'undo' }, 5000), { kind: 'head', changes: { name: 'two' } }, 9000)
  expect(other.future).toHaveLength(0)
  expect(edited(other, { kind: 'redo' }, 9100)).toBe(other)
})

test.each<[string, Edit, Edit, number, number]>([
  [
    'typed on at once in one field',
    { kind: 'line', key: 'a', changes: { written: '1' } },
    { kind: 'line', key: 'a', changes: { written: '12' } },
    400,
    1,
  ],
  [
    'typed on after a pause',
    { kind: 'line', key: 'a', changes: { written: '1' } },
    { kind: 'line', key: 'a', changes: { written: '12' } },
    1500,
    2,
  ],
  [
    'two fields of one line',
    { kind: 'line', key: 'a', changes: { written: '1' } },
    { kind: 'line', key: 'a', changes: { name: 'x' } },
    400,
    2,
  ],
  [
    'one field of two lines',
    { kind: 'line', key: 'a', changes: { written: '1' } },
    { kind: 'line', key: 'b', changes: { written: '2' } },
    400,
    2,
  ],
  [
    'a line moved at once after typing',
    { kind: 'line', key: 'a', changes: { written: '1' } },
    { kind: 'move', key: 'a', to: 2 },
    100,
    2,
  ],
])('%s: so many steps back', (_case, first, second, gapMs, steps) => {
  // The very first edit of a dish is always a step of its own.
  const opened = edited(historyOf(start), { kind: 'head', changes: { name: 'begun' } }, -60_000)
  const history = edited(edited(opened, first, 0), second, gapMs)
  expect(history.past).toHaveLength(1 + steps)
})

test('two hundred steps are kept, the oldest go', () => {
  const history = run(Array.from({ length: 260 }, (_, i) => ({ kind: 'head' as const, changes: { name: `n${i}` } })))
  expect(history.past).toHaveLength(200)
  expect(undone(history, 500).present.head.name).toBe('n59')
})
