import fc from 'fast-check'
import { GASTRONORM_MM, gastronormML, panFor, type GastronormSize } from './gastronorm'
import { densityKindOf, judgeTwoMeasures } from './plausible'
import { readNumber } from './readNumber'

test.each<[string, number, string]>([
  ['1,000 g', 1000, ' g'],
  ['0,5 kg', 0.5, ' kg'],
  ['1-1/2 cups', 1.5, ' cups'],
  ['one and a half cups', 1.5, ' cups'],
  ['half a lemon', 0.5, 'lemon'],
  ['two dozen shrimp', 24, ' shrimp'],
  ['3⅝ tsp', 3.625, ' tsp'],
])('number in "%s"', (text, value, rest) => {
  const read = readNumber(text, 0)
  expect(read?.value).toBeCloseTo(value, 9)
  expect(text.slice(read!.end).trim()).toBe(rest.trim())
})

test('a fraction by nothing is no number', () => expect(readNumber('1/0 cup', 0)?.value ?? 1).toBe(1))

describe('two measures of one thing', () => {
  const judge = (massG: number, value: number, unit: 'tbsp' | 'cup', kind: 'oil' | 'syrup' | 'other' = 'other') =>
    judgeTwoMeasures({ massG, volume: { value, unit }, system: 'us', kind })

  /** Common practice: what cooks weigh of a level measure. */
  test.each<[string, number, number, 'tbsp' | 'cup']>([
    ['soy sauce', 17, 1, 'tbsp'],
    ['fish sauce', 17, 1, 'tbsp'],
    ['diced onion', 130, 1, 'cup'],
    ['frozen peas', 140, 1, 'cup'],
  ])('%s is plausible (common practice)', (_name, massG, value, unit) =>
    expect(judge(massG, value, unit).kind).toBe('plausible'),
  )

  test('a third of a cup of juice as 20 g is not, and a tablespoon or a slipped digit would be', () => {
    const judged = judge(20, 1 / 3, 'cup')
    expect(judged.kind === 'plausible' ? judged.gPerML : 0).toBeCloseTo(0.254, 2)
    const known = judgeTwoMeasures({
      massG: 20,
      volume: { value: 1 / 3, unit: 'cup' },
      system: 'us',
      kind: 'other',
      ingredient: {
        name: 'juice',
        densities: [{ form: 'liquid', gPerML: 1.03 }],
        countSizes: [],
        source: 'test',
        confidence: 'high',
      },
    })
    expect(known).toMatchObject({ kind: 'doubtful' })
  })

  test('oil as heavy as water is doubted, syrup as light as water too', () => {
    expect(judge(15, 1, 'tbsp', 'oil').kind).toBe('doubtful')
    expect(judge(15, 1, 'tbsp', 'syrup').kind).toBe('doubtful')
    expect([densityKindOf('fat:oil', 'x'), densityKindOf('liquid-seasoning:sweet', 'Honey')]).toEqual(['oil', 'syrup'])
  })

  test('every repair but one measure alone comes closer to the known density than the line was', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 400, noNaN: true }), (massG) => {
        const judged = judge(massG, 1, 'tbsp')
        if (judged.kind === 'plausible') return
        const off = (gPerML: number) => Math.abs(Math.log(gPerML / Math.sqrt(0.1 * 1.6)))
        const [best] = judged.repairs
        expect(off(best?.gPerML ?? judged.gPerML)).toBeLessThanOrEqual(off(judged.gPerML))
      }),
    )
  })
})

describe('gastronorm pans', () => {
  /** Makers' tables round to about these, from memory: GN 1/1-65 9 L, 1/1-100 14 L, 1/2-65 4 L, 1/3-100 4 L, 1/6-100 1.6 L. */
  test.each<[GastronormSize, 65 | 100, number]>([
    ['1/1', 65, 9],
    ['1/1', 100, 14],
    ['1/2', 65, 4],
    ['1/3', 100, 4],
    ['1/6', 100, 1.6],
  ])('GN %s, %d mm holds about %d L (from memory, within 20 %%)', (size, depthMm, litres) => {
    const ratio = gastronormML(size, depthMm) / 1000 / litres
    expect(ratio).toBeGreaterThan(0.8)
    expect(ratio).toBeLessThan(1.2)
  })

  test('the smallest pan that holds it is chosen', () => {
    fc.assert(
      fc.property(fc.double({ min: 50, max: 20_000, noNaN: true }), (volumeML) => {
        const pan = panFor(volumeML)
        const all = (Object.keys(GASTRONORM_MM) as GastronormSize[]).flatMap((size) =>
          ([65, 100, 150] as const).map((depth) => gastronormML(size, depth)),
        )
        const holding = all.filter((one) => one >= volumeML)
        expect(pan?.volumeML ?? null).toBe(holding.length > 0 ? Math.min(...holding) : null)
      }),
    )
  })
})
