import fc from 'fast-check'
import type { MiseEvent } from '../doing/miseEvent'
import { countGap, expectedStock, walkingOrder } from './expected'
import { foldStock, lotNameOf, stockG, type ItemStock } from './foldStock'
import { readStockAmount, withUnit } from './readStockAmount'

type Word = MiseEvent extends infer T
  ? T extends MiseEvent
    ? Omit<T, 'id' | 'day' | 'deviceId' | 'counter'>
    : never
  : never
let made = 0
const said = (word: Word, deviceId = 'phone', id = `0000-${(made += 1)}`): MiseEvent => ({
  id,
  day: 'stock',
  deviceId,
  counter: 0,
  ...word,
})
const GLAZE = 'recipe:glaze'
const make = (massG: number, atMs: number, useByMs: number) =>
  said({ kind: 'ended', taskId: 't', massG, gave: { itemId: GLAZE, massG, useByMs, placeId: null }, took: [], atMs })
const count = (massG: number, atMs: number, deviceId = 'phone') =>
  said({ kind: 'counted', itemId: GLAZE, placeId: null, massG, expectedG: null, atMs }, deviceId)
const glaze = (events: MiseEvent[]): ItemStock => foldStock(events).get(GLAZE)!
const lefts = (item: ItemStock) => item.lots.map((lot) => lot.leftG)

test('what is made is a lot; what is used leaves what must be used first', () => {
  const used = said({
    kind: 'ended',
    taskId: 'u',
    massG: null,
    gave: null,
    took: [{ itemId: GLAZE, massG: 350 }],
    atMs: 30,
  })
  const item = glaze([make(300, 10, 2000), make(200, 20, 1000), used])
  expect(item.lots.map((lot) => [lot.leftG, lot.useByMs])).toEqual([[150, 2000]])
  expect(lotNameOf('018f-aaaa-7bcd')).toBe('M-7BCD')
})

test('a count takes what is missing from the oldest, and what is too much lies loose', () => {
  const lots = [make(300, 10, 1000), make(200, 20, 2000)]
  expect(lefts(glaze([...lots, count(150, 30)]))).toEqual([150])
  const more = glaze([...lots, count(620, 30)])
  expect([lefts(more), more.looseG]).toEqual([[300, 200], 120])
  expect(stockG(glaze([...lots, count(620, 30), count(50, 40)]))).toBe(50)
})

test('waste leaves the lot it names, a delivery is a lot without a date, and both can be undone', () => {
  const [old, fresh] = [make(300, 10, 1000), make(200, 20, 2000)]
  const waste = said({ kind: 'wasted', itemId: GLAZE, lotId: fresh.id, massG: 150, reason: 'dropped', atMs: 30 })
  expect(glaze([old, fresh, waste])).toMatchObject({ wastedG: 150, lots: [{ leftG: 300 }, { leftG: 50 }] })
  const undo = said({ kind: 'undone', eventId: waste.id, atMs: 40 })
  expect(glaze([old, fresh, waste, undo])).toMatchObject({ wastedG: 0, lots: [{ leftG: 300 }, { leftG: 200 }] })
  const came = said({ kind: 'delivered', itemId: GLAZE, orderedG: 500, massG: 480, useByMs: null, atMs: 5 })
  expect(stockG(glaze([came]))).toBe(480)
})

test('two devices that count within the hour and disagree are both kept, the later counts; a third word settles it', () => {
  const both = glaze([count(1200, 1000), count(900, 2000, 'tablet')])
  expect([stockG(both), both.otherCount?.massG, both.lastCount?.massG]).toEqual([900, 1200, 900])
  expect(glaze([count(1200, 1000), count(1190, 2000, 'tablet')]).otherCount).toBeNull()
  expect(glaze([count(1200, 1000), count(900, 4_000_000, 'tablet')]).otherCount).toBeNull()
  expect(glaze([count(1200, 1000), count(900, 2000, 'tablet'), count(1200, 3000)]).otherCount).toBeNull()
})

test('settling names both counts: it holds whatever the clocks said, on the first of them or the second', () => {
  const [mine, theirs] = [count(1200, 1000), count(900, 2000, 'tablet')]
  const settle = (kept: MiseEvent, other: MiseEvent, atMs: number) =>
    said({ kind: 'settled', itemId: GLAZE, keptId: kept.id, otherId: other.id, atMs })
  for (const atMs of [0, 1500, 9000]) {
    const first = glaze([mine, theirs, settle(mine, theirs, atMs)])
    expect([stockG(first), first.lastCount?.eventId, first.otherCount]).toEqual([1200, mine.id, null])
    const second = glaze([mine, theirs, settle(theirs, mine, atMs)])
    expect([stockG(second), second.lastCount?.eventId, second.otherCount]).toEqual([900, theirs.id, null])
  }
  const known = [...foldStock([mine, theirs]).values()]
  const later = foldStock([settle(mine, theirs, 0)], known).get(GLAZE)!
  expect([stockG(later), later.lastCount?.eventId, later.otherCount]).toEqual([1200, mine.id, null])
  const undone = said({ kind: 'undone', eventId: '0000-none', atMs: 9500 })
  expect(glaze([mine, theirs, undone]).otherCount?.eventId).toBe(mine.id)
})

test('stock is never below nothing, each event counts once, and arrival does not matter', () => {
  const event = fc.oneof(
    fc.record({ massG: fc.nat(500), atMs: fc.nat(100) }).map(({ massG, atMs }) => make(massG, atMs, 1000 + atMs)),
    fc.record({ massG: fc.nat(500), atMs: fc.nat(100) }).map(({ massG, atMs }) => count(massG, atMs)),
    fc
      .record({ massG: fc.nat(500), atMs: fc.nat(100) })
      .map(({ massG, atMs }) => said({ kind: 'wasted', itemId: GLAZE, lotId: null, massG, reason: 'old', atMs })),
  )
  fc.assert(
    fc.property(fc.array(event, { minLength: 1, maxLength: 12 }), (events) => {
      const item = glaze(events)
      expect(stockG(item)).toBeGreaterThanOrEqual(0)
      expect(glaze([...events].reverse().concat(events))).toEqual(item)
    }),
    { numRuns: 100, seed: 41 },
  )
})

test('this device’s own words go on top of what the kitchen folded, as if it had folded all', () => {
  const known = [make(300, 10, 1000), count(250, 20)]
  const own = [make(100, 30, 3000), count(310, 40)]
  expect(foldStock(own, [...foldStock(known).values()]).get(GLAZE)).toEqual(glaze([...known, ...own]))
})

test('expected is counted less what the wok drew since, the oldest first', () => {
  const stock = foldStock([make(300, 10, 1000), make(200, 20, 2000), count(500, 30)])
  const usage = [
    { itemId: GLAZE, atMs: 25, massG: 999 },
    { itemId: GLAZE, atMs: 35, massG: 320 },
    { itemId: 'recipe:other', atMs: 35, massG: 5 },
  ]
  expect(expectedStock(stock, usage).map(lefts)).toEqual([[180]])
})

test('a gap is large from a tenth and fifty grams on', () => {
  expect(countGap(1000, 920).isLarge).toBe(false)
  expect(countGap(1000, 800)).toMatchObject({ gapG: -200, isLarge: true })
  expect(countGap(100, 60).isLarge).toBe(false)
  expect(countGap(0, 400).isLarge).toBe(true)
})

test('the walk goes by place, then by name; what has no place comes last', () => {
  const row = (name: string, placeId: string | null) => ({ itemId: name, name, placeId })
  const rows = [row('soy', 'dry'), row('crab', 'cold'), row('zest', null), row('bean', 'dry'), row('gone', 'attic')]
  expect(walkingOrder(rows, ['cold', 'dry']).map((one) => one.name)).toEqual(['crab', 'bean', 'soy', 'gone', 'zest'])
})

const US_GRAMS = { system: 'us', weighsIn: 'g' } as const

test('amounts are read as a cook writes them, and a wrong unit says why', () => {
  const soy = { gPerML: 1.2, packG: 1800 }
  const grams = (text: string) => {
    const read = readStockAmount(text, soy, US_GRAMS)
    return read.kind === 'grams' ? Math.round(read.massG) : read.kind
  }
  expect(['850', '850 g', '2.4 kg', '2,4 kg', '1½ L', '4 packs', '2x', '1 lb'].map(grams)).toEqual([
    850, 850, 2400, 2400, 1800, 7200, 3600, 454,
  ])
  expect(grams('2 cups')).toBe(Math.round(2 * 236.588 * 1.2))
  expect(['-3 kg', 'plenty', '2000 kg', '3 bunches'].map(grams)).toEqual(['negative', 'unread', 'tooMuch', 'unread'])
  expect(readStockAmount('2 cups', { gPerML: null, packG: null }, US_GRAMS)).toEqual({ kind: 'noDensity' })
  expect(readStockAmount('2 packs', { gPerML: null, packG: null }, US_GRAMS)).toEqual({ kind: 'noPack' })
})

test('a bare number counts what the scales show, and is kept with its unit', () => {
  const read = (text: string, weighsIn: 'g' | 'oz') =>
    readStockAmount(text, { gPerML: null, packG: null }, { system: 'us', weighsIn })
  expect(read('12', 'g')).toEqual({ kind: 'grams', massG: 12 })
  expect(read('12', 'oz')).toEqual({ kind: 'grams', massG: 12 * 28.349523125 })
  expect(['12', ' 1,5 ', '2 packs'].map((text) => withUnit(text, 'oz'))).toEqual(['12 oz', '1,5 oz', '2 packs'])
  expect(read(withUnit('12', 'oz'), 'g')).toEqual(read('12', 'oz'))
})
