import fc from 'fast-check'
import { INSTRUMENTS, withInstrument } from './instruments'

const instrument = fc.constantFrom(...INSTRUMENTS)
const set = fc.uniqueArray(instrument)

test('one more and one fewer: nothing else changes, and saying it twice changes nothing', () => {
  fc.assert(
    fc.property(set, instrument, fc.boolean(), (all, one, has) => {
      const after = withInstrument(all, one, has)
      expect(after.includes(one)).toBe(has)
      expect(new Set(after.filter((each) => each !== one))).toEqual(new Set(all.filter((each) => each !== one)))
      expect(withInstrument(after, one, has)).toEqual(after)
    }),
    { endOnFailure: true },
  )
})
