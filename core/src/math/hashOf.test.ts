import fc from 'fast-check'
import { hashOf } from './hashOf'

/** Published with the algorithm: FNV-1a of 32 bits, test vectors of draft-eastlake-fnv (from memory). */
test.each([
  ['', '811c9dc5'],
  ['a', 'e40c292c'],
  ['foobar', 'bf9cf968'],
])('the first half of %j is FNV-1a', (text, hash) => expect(hashOf(text).slice(0, 8)).toBe(hash))

test('texts that differ in one character, or in their order, have other hashes', () => {
  const seen = new Map<string, string>()
  fc.assert(
    fc.property(fc.string({ maxLength: 40 }), (text) => {
      for (const one of [text, `${text}a`, `a${text}`, [...text].reverse().join('')]) {
        const hash = hashOf(one)
        expect(hash).toMatch(/^[0-9a-f]{16}$/)
        expect(seen.get(hash) ?? one).toBe(one)
        seen.set(hash, one)
      }
    }),
    { numRuns: 500, endOnFailure: true },
  )
})
