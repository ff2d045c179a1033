import { spawnSync } from 'node:child_process'

const run = (name: string, input: unknown) => {
  const { status, stdout, stderr } = spawnSync('node', ['tools/runCore.mjs', name], {
    cwd: `${__dirname}/..`,
    input: JSON.stringify(input),
    encoding: 'utf8',
  })
  return { status, stderr, output: stdout === '' ? null : (JSON.parse(stdout) as unknown) }
}

test('mise.parseLines takes a text or a list, and gives every field of a line', () => {
  const text = run('mise.parseLines', { lines: 'SAUCE\n2–3 tbsp light soy sauce, warm' })
  const list = run('mise.parseLines', { lines: ['SAUCE', '2–3 tbsp light soy sauce, warm'] })
  expect(text.output).toEqual(list.output)
  expect(text.output).toMatchObject({
    lines: [
      { kind: 'heading', ingredient: 'SAUCE' },
      {
        quantity: 2,
        quantityMax: 3,
        unit: 'tbsp',
        ingredient: 'light soy sauce',
        ingredientId: 'soy-sauce-light',
        prep: 'warm',
        massG: expect.closeTo(2.5 * 14.786765 * 1.2, 2),
        understood: true,
        flags: [],
      },
    ],
  })
})

test('the same spoon in another system is another spoon', () => {
  const grams = (system: string) => {
    const { output } = run('mise.parseLines', { lines: ['1 tbsp water'], system })
    return (output as { lines: { massG: number }[] }).lines[0]!.massG
  }
  expect(grams('au') / grams('metric')).toBeCloseTo(20 / 15, 9)
})

test('mise.balance gives every field, findings in words, and null with a reason where nothing can be said', () => {
  const components = [
    { ingredient: 'rice-long-chilled-dry', massG: 220 },
    { ingredient: 'oil-rapeseed', massG: 9 },
    { ingredient: 'light soy sauce', massG: 40 },
  ]
  expect(run('mise.balance', { components, style: 'soy-brown' }).output).toMatchObject({
    massG: 269,
    allergens: ['gluten', 'soy'],
    costMinor: expect.any(Number),
    findings: expect.arrayContaining([
      { code: 'saltFraction-high', message: expect.stringMatching(/too high.*Light soy sauce brings \d+ %/) },
    ]),
    repair: [{ ingredient: 'Light soy sauce', fromG: 40, toG: expect.any(Number) }],
  })
  expect(run('mise.balance', { components: components.slice(2) }).output).toMatchObject({
    freeLiquidFraction: null,
    reasons: [expect.stringMatching(/no component has the role rice/)],
  })
})

test('mise.correct answers in grams and says why not the obvious', () => {
  const asked = { massG: 900, saltFraction: 0.006, sugarFraction: 0.005, freeLiquidFraction: 0.058, verdict: 'bland' }
  expect(run('mise.correct', { ...asked, available: ['soy-sauce-light', 'salt-fine'] }).output).toMatchObject({
    additions: [{ ingredient: 'salt-fine', massG: expect.any(Number) }],
    reason: expect.stringMatching(/Light soy sauce would wet the rice/),
  })
  expect(run('mise.correct', { ...asked, available: [] }).output).toMatchObject({
    additions: [],
    saltFraction: 0.006,
    reason: 'nothing is at hand',
  })
})

test.each<[string, unknown, RegExp]>([
  [
    'mise.balance',
    { components: [{ ingredient: 'soi', massG: 5 }] },
    /components\.0\.ingredient: unknown ingredient "soi"/,
  ],
  ['mise.balance', { components: [{ ingredient: 'egg', massG: -5 }] }, /components\.0\.massG: must be above 0 g/],
  [
    'mise.balance',
    { components: [{ ingredient: 'egg', massG: 5 }], style: 'loud' },
    /style: unknown style "loud": use pale/,
  ],
  [
    'mise.balance',
    { components: [{ ingredient: 'water', massG: 50 }], evaporatedG: 60 },
    /evaporatedG: there are 50\.0 g of water in it, and 60 g cannot evaporate/,
  ],
  ['mise.correct', { massG: 900, verdict: 'odd', available: [] }, /verdict: /],
  ['mise.parseLines', { lines: 7 }, /lines: /],
])('%s says what is wrong with the input, without a stack', (name, input, fault) => {
  const { status, stderr } = run(name, input)
  expect(status).toBe(2)
  expect(stderr).toMatch(fault)
  expect(stderr).not.toMatch(/\bat .*\.(ts|mjs):/)
})
