import fc from 'fast-check'
import { anyComponents } from '../../test/anyDish'
import { aWok, HOB, RING } from '../../test/stations'
import { vesselOf } from '../heat/vessel'
import { componentOf, READY_C, type WokComponent } from './component'
import { needS } from './needs'
import { burnOf, progressBy, progressOf } from './progress'
import type { ComponentInput } from './vocabulary'

const of = (input: Partial<ComponentInput> & Pick<ComponentInput, 'role'>, riceG = 300): WokComponent =>
  componentOf({ id: 'it', ratioG: 20, ...input }, riceG, 5, { ruleSet: 'us' })

const at = { coreC: 4, softness: 0, browning: 0, logKill: 0 }

/** Core, softness, browning and kill at which each has just come to its target. */
const JUST: readonly [string, WokComponent, Partial<typeof at>][] = [
  ['raw chicken, by its core and its kill', of({ role: 'protein', food: 'poultry' }), { coreC: 74, logKill: 7 }],
  ['cooked duck, hot', of({ role: 'protein', food: 'poultry', state: 'cooked' }), { coreC: READY_C.aimed }],
  ['garlic, fragrant by its browning', of({ role: 'aromatic' }), { browning: 1 }],
  [
    'onion that only has to smell, by its softness',
    of({ role: 'aromatic', food: 'allium', target: { kind: 'fragrant' } }),
    { softness: 0.3 },
  ],
  ['a paste, bloomed', of({ role: 'paste' }), { browning: 1 }],
  ['carrot, softened', of({ role: 'vegetable', food: 'hardVeg' }), { softness: 1 }],
  ['a crisp vegetable', of({ role: 'vegetable', food: 'crispVeg' }), { softness: 0.4 }],
  ['half an egg set', of({ role: 'egg', target: { kind: 'set', value: 0.5 } }), { softness: Math.LN2 }],
]

test.each(JUST)('%s is done, and a little before it is not', (_, one, just) => {
  expect(progressOf(one, { ...at, ...just })).toBeGreaterThanOrEqual(1 - 1e-9)
  const before = Object.fromEntries(Object.entries(just).map(([name, value]) => [name, 0.97 * value]))
  expect(progressOf(one, { ...at, ...just, ...before })).toBeLessThan(1)
})

test('a raw core that is hot and not long enough so stands just short of done', () => {
  const chicken = of({ role: 'protein', food: 'poultry' })
  expect(progressOf(chicken, { ...at, coreC: 90, logKill: 6.9 })).toBe(0.99)
  expect(progressOf(chicken, { ...at, coreC: 90, logKill: 7 })).toBe(1)
})

test('raw protein that is to be golden is done when it is both: cooked, and brown', () => {
  const golden = of({ role: 'protein', food: 'poultry', target: { kind: 'golden' } })
  expect(progressOf(golden, { ...at, coreC: 90, logKill: 9, browning: 0.3 })).toBeCloseTo(0.5, 9)
  expect(progressOf(golden, { ...at, coreC: 20, logKill: 0, browning: 5 })).toBeLessThan(1)
})

test('law: hotter, softer, browner and longer is never further from done', () => {
  const figure = (max: number) => fc.double({ min: 0, max, noNaN: true })
  const figures = fc.tuple(figure(100), figure(3), figure(15), figure(12))
  fc.assert(
    fc.property(anyComponents, figures, figures, (components, one, more) => {
      for (const input of components) {
        const component = of(input)
        const later = one.map((value, i) => value + more[i]!) as typeof one
        expect(progressBy(component, ...later)).toBeGreaterThanOrEqual(progressBy(component, ...one) - 1e-12)
        const [, , browning] = one
        expect(burnOf(component, { ...at, browning })).toBeCloseTo(browning / component.burnAt, 12)
      }
    }),
    { endOnFailure: true },
  )
})

describe('what a component needs alone, estimated', () => {
  const [hob, ring] = [vesselOf(HOB), vesselOf(RING)]
  const beef = (more: Partial<ComponentInput> = {}, riceG = 300) =>
    needS(of({ role: 'protein', food: 'meat', cut: { sizeMm: 6 }, ...more }, riceG), hob)

  test('grows with its mass, its thickness and the cold that it comes from; ice takes longest', () => {
    expect(beef({}, 600)).toBeGreaterThan(beef())
    expect(beef({ cut: { sizeMm: 12 } })).toBeGreaterThan(beef())
    expect(beef({ tempC: 18 })).toBeLessThan(beef({ tempC: 1 }))
    expect(beef({ state: 'frozen' })).toBeGreaterThan(1.5 * beef({ tempC: 1 }))
  })

  test('is less over a stronger flame, and never below what the layer takes up', () => {
    const many = of({ role: 'protein', food: 'meat', cut: { sizeMm: 6 } }, 1500)
    expect(needS(many, ring)).toBeLessThan(needS(many, hob))
    expect(needS(many, vesselOf(aWok(80_000)))).toBe(needS(many, vesselOf(aWok(200_000))))
  })

  test.each([
    ['garlic', 25],
    ['ginger', 25],
    ['herb', 8],
  ] as const)('of %s it is its seconds, however much there is', (food, seconds) => {
    expect(needS(of({ role: 'aromatic', food }), hob)).toBe(seconds)
    expect(needS(of({ role: 'aromatic', food }, 3000), ring)).toBe(seconds)
  })

  test('is a number above zero for everything that may be in a dish', () => {
    fc.assert(
      fc.property(anyComponents, (components) => {
        for (const input of components) {
          const seconds = needS(of(input), hob)
          expect(Number.isFinite(seconds)).toBe(true)
          expect(seconds).toBeGreaterThan(0)
        }
      }),
      { endOnFailure: true },
    )
  })
})
