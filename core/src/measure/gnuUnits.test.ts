import { execFileSync } from 'node:child_process'
import { convert } from './convert'
import type { MeasureSystem } from './units'

/** Our unit in a system, and the name that GNU units (Debian package `units`, definitions of its own) has for it. */
const VOLUMES: [string, MeasureSystem, string][] = [
  ['mL', 'us', 'ml'],
  ['cL', 'us', 'cl'],
  ['dL', 'us', 'dl'],
  ['L', 'us', 'l'],
  ['tsp', 'us', 'usteaspoon'],
  ['tbsp', 'us', 'ustablespoon'],
  ['fl oz', 'us', 'usfluidounce'],
  ['cup', 'us', 'uscup'],
  ['pint', 'us', 'uspint'],
  ['quart', 'us', 'usquart'],
  ['gallon', 'us', 'usgallon'],
  ['cup', 'us-label', 'legalcup'],
  ['tbsp', 'us-label', 'legaltablespoon'],
  ['cup', 'metric', 'metriccup'],
  ['tbsp', 'au', 'australiatablespoon'],
  ['cup', 'jp', 'japancup'],
  ['gō', 'jp', 'gou'],
  ['cup', 'uk', 'brcup'],
  ['pint', 'uk', 'brpint'],
  ['quart', 'uk', 'brquart'],
  ['gallon', 'uk', 'brgallon'],
]
const MASSES: [string, MeasureSystem, string][] = [
  ['mg', 'us', 'mg'],
  ['g', 'us', 'g'],
  ['kg', 'us', 'kg'],
  ['oz', 'us', 'ounce'],
  ['lb', 'us', 'pound'],
]
const MANY = 3000

/** The same numbers on every run: a linear congruential generator after Numerical Recipes. */
function randoms(seed: number): () => number {
  let state = seed
  return () => (state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296) / 4_294_967_296
}

test(`${MANY} random conversions agree with GNU units within 1e-6`, () => {
  const random = randoms(20_261_125)
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!
  const cases = Array.from({ length: MANY }, () => {
    const list = random() < 0.8 ? VOLUMES : MASSES
    return { value: Number((10 ** (random() * 7 - 3)).toPrecision(6)), from: pick(list), to: pick(list) }
  })
  const asked = cases.map(({ value, from, to }) => `${value} ${from[2]}\n${to[2]}`).join('\n')
  const answers = execFileSync('units', ['-q', '-t', '-o', '%.15g'], {
    input: `${asked}\n`,
    encoding: 'utf8',
    env: { ...process.env, UNITS_ENGLISH: 'US', LC_ALL: 'C' },
  })
    .trim()
    .split('\n')
    .map(Number)
  expect(answers).toHaveLength(MANY)
  cases.forEach(({ value, from, to }, i) => {
    const ours = convert({ value, from: from[0], to: to[0], system: from[1], toSystem: to[1] })
    if (ours.kind !== 'converted') throw new Error(`${from[0]} ${to[0]}: ${ours.message}`)
    expect(Math.abs(ours.value / answers[i]! - 1)).toBeLessThan(1e-6)
  })
})
