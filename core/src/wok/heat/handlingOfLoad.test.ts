import fc from 'fast-check'
import { RING } from '../../test/stations'
import { aBatch, ONION } from '../../test/wokDishes'
import { sequenceBatch } from '../sequence/sequenceBatch'
import { handlingOfLoad, handlingOfPerson, USUAL_LIFT_KG } from './handlingOfLoad'
import { largestBatch } from './largestBatch'
import { HANDLINGS } from './parameters'

test('tossed while it can be lifted, stirred from there on', () => {
  const atLimitG = (USUAL_LIFT_KG - RING.massKg) * 1000
  expect(handlingOfLoad('toss', RING, atLimitG - 1)).toBe('toss')
  expect(handlingOfLoad('toss', RING, atLimitG + 1)).toBe('stir')
  expect(handlingOfLoad('toss', { ...RING, liftKg: 2 }, atLimitG - 1)).toBe('stir')
})

test('what is not tossed is never moved otherwise for its weight, and more weight never turns stirring into tossing', () => {
  const grams = fc.double({ min: 0, max: 20_000, noNaN: true })
  fc.assert(
    fc.property(fc.constantFrom(...HANDLINGS), grams, grams, (asked, oneG, otherG) => {
      const [lightG, heavyG] = [Math.min(oneG, otherG), Math.max(oneG, otherG)]
      if (asked !== 'toss') expect(handlingOfLoad(asked, RING, heavyG)).toBe(asked)
      else if (handlingOfLoad(asked, RING, lightG) === 'stir') expect(handlingOfLoad(asked, RING, heavyG)).toBe('stir')
    }),
    { endOnFailure: true },
  )
})

test('a heavy batch on a ring is derived as stirred, and takes its own seconds', () => {
  const weak = { ...RING, liftKg: 2 }
  const of = (station: typeof RING) =>
    sequenceBatch(aBatch([ONION], { egg: 'firstOut' }, { station, handling: 'toss', batchMassG: 700 }))
  const [tossed, stirred] = [of(RING), of(weak)]
  expect([tossed.handling, stirred.handling]).toEqual(['toss', 'stir'])
  expect(stirred.totalS).not.toBe(tossed.totalS)
  expect(stirred.totalS).toBe(
    sequenceBatch(aBatch([ONION], { egg: 'firstOut' }, { station: RING, handling: 'stir', batchMassG: 700 })).totalS,
  )
})

test('a dish that says stirred is stirred on a ring too, and nobody tosses on a griddle', () => {
  const stirred = aBatch([], { egg: 'firstOut', rice: 'stir' }, { station: RING, handling: 'toss' })
  expect(sequenceBatch(stirred).handling).toBe('stir')
})

test('the largest batch of a station that is tossed only when light is judged as it would be moved', () => {
  const question = { riceTempC: 4, handling: 'toss' as const }
  const light = largestBatch({ station: { ...RING, liftKg: 1.7 }, ...question })
  expect(light).toEqual(largestBatch({ station: RING, riceTempC: 4, handling: 'stir' }))
})

test('who learns stirs with two tools what others toss; on a griddle and a hob nothing changes', () => {
  expect(handlingOfPerson('toss', true)).toBe('stir')
  expect(handlingOfPerson('toss', false)).toBe('toss')
  for (const usual of ['stir', 'flip'] as const) expect(handlingOfPerson(usual, true)).toBe(usual)
})
