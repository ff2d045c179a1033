import fc from 'fast-check'
import { densityFor, densityNamed, densityOf } from './ingredient'

const weighed = (...forms: string[]) => ({ densities: forms.map((form, i) => ({ form, gPerML: 0.1 * (i + 1) })) })

test.each([
  ['minced', 'minced'],
  ['mince 2 mm', 'minced'],
  ['finely chopped', 'chopped'],
  ['chop', 'chopped'],
  ['dice 5 mm', 'diced'],
  ['8 mm slice', 'sliced'],
  ['Shred', 'shredded'],
  ['shredded, loosely', 'shredded'],
  ['in florets', 'florets'],
  ['floret 8 mm', 'florets'],
  ['grate', 'grated'],
  ['halve', 'halves'],
])('%s is weighed as %s', (words, form) => {
  const all = weighed('whole', 'minced', 'chopped', 'diced', 'sliced', 'shredded', 'florets', 'grated', 'halves')
  expect(densityNamed(all, words)?.form).toBe(form)
})

test.each([['cutlet'], ['unsliced'], ['dicey'], ['beat'], ['']])('%j names no form that was weighed', (words) => {
  const all = weighed('cut', 'sliced', 'diced', 'beaten')
  expect(densityNamed(all, words)).toBeNull()
  expect(densityFor(all, words)?.form).toBe('cut')
})

test('a form that was asked for by name is never answered with another', () => {
  const form = fc.constantFrom('loose', 'packed', 'liquid', 'paste', 'ground')
  fc.assert(
    fc.property(fc.uniqueArray(form), form, (forms, input) => {
      const found = densityOf(weighed(...forms), input)
      expect(found?.form ?? null).toBe(forms.includes(input) ? input : null)
      expect(densityOf(weighed(...forms))?.form).toBe(forms[0])
    }),
  )
})
