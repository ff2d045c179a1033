import type { StockRow } from 'contract/mise/stock'
import type { MiseEvent } from 'contract/mise/event'
import type { Stave } from 'core/mise/ready/readiness'
import { byPlace, isCounted, shownRows } from './count/countRows'
import { tasksOf, waitAfter } from './doing/taskOrder'
import { tubLayout } from './ready/tubLayout'
import { clockText, readSkills, withPerson } from './services/shifts'
import { withUnsent } from './useMise'
import type { MiseTask } from './useKitchenPlan'

const row = (itemId: string, part: Partial<StockRow> = {}): StockRow => ({
  itemId,
  lots: [],
  looseG: 100,
  lastCount: null,
  otherCount: null,
  wastedG: 0,
  name: itemId,
  form: '',
  placeId: null,
  packG: null,
  packName: null,
  gPerML: null,
  ...part,
})
const count = (massG: number, expectedG: number | null, atMs = 0) => ({
  eventId: 'e',
  deviceId: 'd',
  atMs,
  massG,
  expectedG,
  placeId: null,
})

test('what this device counted shows at once, and every other row stays the very same', () => {
  const rows = [row('ingredient:soy'), row('ingredient:garlic')]
  const event = {
    id: 'e1',
    day: 'stock',
    deviceId: 'd',
    atMs: 5,
    counter: 0,
    kind: 'counted',
    itemId: 'ingredient:soy',
    placeId: null,
    massG: 40,
    expectedG: 100,
  } as unknown as MiseEvent
  const shown = withUnsent(rows, [event])
  expect(shown[0]).toMatchObject({ looseG: 40, lastCount: { massG: 40 }, name: 'ingredient:soy' })
  expect(shown[1]).toBe(rows[1])
  expect(withUnsent(rows, [])).toBe(rows)
})

test('a count holds for two hours; what differs by much, or by two devices, can be shown alone', () => {
  const hours = 3_600_000
  expect(isCounted(row('a', { lastCount: count(1, null, 0) }), hours)).toBe(true)
  expect(isCounted(row('a', { lastCount: count(1, null, 0) }), 3 * hours)).toBe(false)
  const rows = [
    row('same', { lastCount: count(100, 100) }),
    row('far', { lastCount: count(100, 900) }),
    row('two', { lastCount: count(1, 1), otherCount: count(9, null) }),
  ]
  expect(shownRows(rows, 'low', '', 0).map((one) => one.itemId)).toEqual(['far', 'two'])
  expect(shownRows(rows, 'open', '', 3 * hours)).toHaveLength(3)
  expect(shownRows(rows, 'all', ' TW', 0).map((one) => one.itemId)).toEqual(['two'])
})

test('rows stand by place in walking order, those without a place last', () => {
  const rows = [row('a', { placeId: 'dry' }), row('b', { placeId: 'cold' }), row('c'), row('d', { placeId: 'gone' })]
  const places = [
    { id: 'cold', name: 'Cold' },
    { id: 'dry', name: 'Dry' },
  ]
  expect(byPlace(rows, places).map((group) => [group.name, group.data.map((one) => one.itemId)])).toEqual([
    ['Cold', ['b']],
    ['Dry', ['a']],
    [null, ['c', 'd']],
  ])
})

const task = (id: string, part: Partial<MiseTask> = {}): MiseTask =>
  ({
    id,
    hands: 1,
    status: 'open',
    who: [],
    needs: [],
    beganMs: null,
    at: { startMs: 10, endMs: 20, who: ['tam'] },
    ...part,
  }) as MiseTask

test('my next is what I have begun, then what is mine and can be begun, in order', () => {
  const tasks = [
    task('later', { at: { startMs: 30, who: ['tam'] } as MiseTask['at'] }),
    task('mine', { at: { startMs: 20, who: ['tam'] } as MiseTask['at'] }),
    task('hers', { at: { startMs: 5, who: ['wen'] } as MiseTask['at'] }),
    task('begun', { status: 'underway', who: ['tam'], beganMs: 1 }),
    task('waits', {
      at: { startMs: 1, who: ['tam'] } as MiseTask['at'],
      needs: [{ taskId: 'hers', minLagS: 0, maxLagS: null }],
    }),
  ]
  const ids = (personId: string | null) => {
    const { now, next } = tasksOf(tasks, personId)
    return [...now, ...next].map((one) => one.id)
  }
  expect(ids('tam')).toEqual(['begun', 'mine', 'later'])
  expect(ids('wen')).toEqual(['hers'])
  expect(ids(null)).toEqual(['begun', 'hers', 'mine', 'later'])
})

test('the wait that follows begins with the end of its hands', () => {
  const soak = task('soak')
  const wait = task('soak-wait', { hands: 0, needs: [{ taskId: 'soak', minLagS: 0, maxLagS: 900 }] })
  expect(waitAfter(soak, [soak, wait])?.id).toBe('soak-wait')
  expect(waitAfter(wait, [soak, wait])).toBeNull()
})

test('a tub shows everything that is open, short before coming, as high as it reaches', () => {
  const stave = (id: string, kind: Stave['kind'], state: Stave['state'], untilMs: number | null): Stave =>
    ({ id, kind, state, untilMs, nowMs: state === 'ready' ? null : 0, dishIds: [], portions: 0 }) as unknown as Stave
  const staves = [
    stave('rice', 'rice', 'ready', null),
    ...Array.from({ length: 12 }, (_, i) =>
      stave(`m${i}`, 'mise', i === 11 ? 'short' : i < 6 ? 'coming' : 'ready', i === 11 ? 50 : null),
    ),
    stave('check', 'rules', 'coming', null),
  ]
  const tub = tubLayout(staves, { fromMs: 0, toMs: 100, widthPx: 300, topPx: 0, bottomPx: 200, most: 4 })
  expect(tub.staves.map(({ stave: one }) => one.id)).toEqual(
    ['rice', 'm0', 'm1', 'm2', 'm6', 'm11'].filter((id) => tub.staves.some((one) => one.stave.id === id)),
  )
  expect(tub.staves.find((one) => one.stave.id === 'm11')).toMatchObject({ untilY: 100 })
  expect(tub.groups.map((group) => group.kind)).toEqual(['rice', 'mise'])
  const last = tub.staves.at(-1)!
  expect(last.x + last.width).toBeLessThanOrEqual(300)
})

test('prep hours and skills are set for one person, known or new', () => {
  const policy = { people: [{ staffId: 'tam', skills: ['raw'], shifts: [] }] } as never
  const shift = { weekdays: [1], fromMin: 545, toMin: 600 }
  expect(withPerson(policy, 'tam', { shifts: [shift] }).people).toEqual([
    { staffId: 'tam', skills: ['raw'], shifts: [shift] },
  ])
  expect(withPerson(policy, 'wen', { shifts: [shift] }).people[1]).toEqual({
    staffId: 'wen',
    skills: [],
    shifts: [shift],
  })
  expect(readSkills(' Raw, shellfish,,raw ')).toEqual(['raw', 'shellfish'])
  expect(clockText(545)).toBe('09:05')
})
