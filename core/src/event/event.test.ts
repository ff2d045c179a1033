import fc from 'fast-check'
import { compareEvents, inOrder, nextStamp, type Stamp } from './eventOrder'
import { standing, struckOut, type Undoable } from './struckOut'

const stamped = fc.record({
  id: fc.stringMatching(/^[a-f]{1,4}$/),
  atMs: fc.integer({ min: 0, max: 5 }),
  counter: fc.integer({ min: 0, max: 3 }),
})

test('law: the order is total, so that every device folds the same', () => {
  fc.assert(
    fc.property(stamped, stamped, stamped, (a, b, c) => {
      expect(Math.sign(compareEvents(a, b))).toBe(-Math.sign(compareEvents(b, a)) || 0)
      if (compareEvents(a, b) <= 0 && compareEvents(b, c) <= 0) expect(compareEvents(a, c)).toBeLessThanOrEqual(0)
      expect(compareEvents(a, b) === 0).toBe(a.id === b.id && a.atMs === b.atMs && a.counter === b.counter)
    }),
  )
})

test('law: in whatever order events arrive, and however often, the fold is the same', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(stamped, { selector: (one) => one.id, maxLength: 8 }),
      fc.infiniteStream(fc.nat()),
      (events, seeds) => {
        const shuffled = events.map((one) => ({ one, at: seeds.next().value as number })).sort((a, b) => a.at - b.at)
        const twice = [...shuffled, ...shuffled].map(({ one }) => one)
        expect(inOrder(twice)).toEqual(inOrder(events))
      },
    ),
  )
})

test('law: stamps of one device rise, whatever its clock does', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 2, maxLength: 30 }), (clock) => {
      let last: Stamp | null = null
      for (const nowMs of clock) {
        const next: Stamp = nextStamp(last, nowMs)
        if (last) expect(compareEvents({ ...next, id: 'x' }, { ...last, id: 'x' })).toBeGreaterThan(0)
        last = next
      }
    }),
  )
})

const said = (id: string, eventId?: string): Undoable => ({
  id,
  atMs: Number(id),
  counter: 0,
  kind: eventId === undefined ? 'done' : 'undone',
  ...(eventId !== undefined && { eventId }),
})
const left = (...events: Undoable[]) => standing(events).map((event) => event.id)

test.each([
  ['nothing is taken back', [said('1'), said('2')], ['1', '2']],
  ['one is taken back', [said('1'), said('2'), said('3', '1')], ['2']],
  ['the undoing is undone', [said('1'), said('2', '1'), said('3', '2')], ['1']],
  ['and undone once more', [said('1'), said('2', '1'), said('3', '2'), said('4', '3')], []],
  ['twice taken back is taken back', [said('1'), said('2', '1'), said('3', '1')], []],
  ['what is not there', [said('1'), said('2', '9')], ['1']],
])('%s', (_, events, ids) => {
  expect(left(...events)).toEqual(ids)
})

test('what was struck out names the event that struck it', () => {
  const back = said('2', '1')
  expect(struckOut([said('1'), back]).get('1')).toBe(back)
})
