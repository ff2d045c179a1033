import fc from 'fast-check'
import { riceReading, riceReadOf, RICE_READS, USUAL_READING_PLAN, type PastBatch } from './riceReading'

const good = (lotId: string): PastBatch => ({ lotIds: [lotId], read: 'good' })
const unread = (lotId: string): PastBatch => ({ lotIds: [lotId], read: null })
const times = (n: number, batch: PastBatch) => Array.from({ length: n }, () => batch)
const OF_B = { lotIds: ['b'], isAccepted: false }
const PROVEN = times(20, good('a'))

test.each([
  ['thin', times(19, good('b'))],
  ['firstOfLot', PROVEN],
  ['notThisOne', [good('b'), ...PROVEN]],
  ['notThisOne', [...times(6, unread('b')), good('b'), ...PROVEN]],
  ['sample', [...times(7, unread('b')), good('b'), ...PROVEN]],
  ['shortLately', [good('b'), { lotIds: ['a'], read: 'short' }, ...PROVEN]],
  ['shortLately', [...times(4, good('b')), { lotIds: ['a'], read: 'short' }, ...PROVEN]],
  ['notThisOne', [...times(5, good('b')), { lotIds: ['a'], read: 'short' }, ...PROVEN]],
  ['firstOfLot', [{ lotIds: ['b'], read: 'word' }, ...PROVEN]],
] as [string, PastBatch[]][])('a batch is %s', (why, past) => {
  expect(riceReading(past, OF_B, USUAL_READING_PLAN)).toEqual({ why, isAsked: why !== 'notThisOne' })
})

test('rice of no lot, and rice on the lead’s word, is read whatever was read before', () => {
  const past = [good('b'), ...PROVEN]
  expect(riceReading(past, { lotIds: [], isAccepted: false }, USUAL_READING_PLAN).why).toBe('noLot')
  expect(riceReading(past, { lotIds: ['b'], isAccepted: true }, USUAL_READING_PLAN).why).toBe('accepted')
  expect(riceReading(past, { lotIds: ['b', 'c'], isAccepted: false }, USUAL_READING_PLAN).why).toBe('firstOfLot')
  expect(riceReading(past, OF_B, { readEvery: 1, provenAfter: 5 })).toEqual({ isAsked: true, why: 'always' })
})

const pastBatch = fc.record({
  lotIds: fc.uniqueArray(fc.constantFrom('a', 'b', 'c'), { minLength: 1, maxLength: 2 }),
  read: fc.option(fc.constantFrom(...RICE_READS)),
})

test('a house that holds itself tighter never reads a batch less', () => {
  fc.assert(
    fc.property(
      fc.array(pastBatch, { maxLength: 60 }),
      fc.record({ readEvery: fc.integer({ min: 1, max: 20 }), provenAfter: fc.integer({ min: 1, max: 40 }) }),
      fc.nat(10),
      fc.nat(10),
      (past, plan, fewer, more) => {
        const tighter = { readEvery: Math.max(1, plan.readEvery - fewer), provenAfter: plan.provenAfter + more }
        if (riceReading(past, OF_B, plan).isAsked) expect(riceReading(past, OF_B, tighter).isAsked).toBe(true)
      },
    ),
    { endOnFailure: true },
  )
})

test('of batches without an answer in between, one in so many is read', () => {
  const past = [good('b'), ...PROVEN]
  let asked = 0
  for (let batch = 0; batch < 80; batch += 1) {
    const { isAsked } = riceReading(past, OF_B, USUAL_READING_PLAN)
    asked += isAsked ? 1 : 0
    past.unshift(isAsked ? good('b') : unread('b'))
  }
  expect(asked).toBe(10)
})

test('a no is remembered, and a yes without a figure proves nothing', () => {
  expect(riceReadOf([])).toBeNull()
  expect(riceReadOf([{ ok: true, tempC: 78 }])).toBe('good')
  expect(riceReadOf([{ ok: true, tempC: null }])).toBe('word')
  expect(
    riceReadOf([
      { ok: false, tempC: 66 },
      { ok: true, tempC: 78 },
    ]),
  ).toBe('short')
})
