import { execFileSync, spawnSync } from 'node:child_process'

const root = `${__dirname}/..`
const core = (args: string[], input?: unknown) => {
  const text = typeof input === 'string' ? input : JSON.stringify(input ?? {})
  const { status, stdout, stderr } = spawnSync('node', ['tools/runCore.mjs', ...args], {
    cwd: root,
    input: text,
    encoding: 'utf8',
  })
  return { status, stdout, stderr }
}

test('lists its models and gives their schemas', () => {
  expect(core(['--list']).stdout).toContain('measure.convert')
  const { input, output } = JSON.parse(core(['measure.convert', '--schema']).stdout) as Record<
    'input' | 'output',
    { properties: object; required: string[] }
  >
  expect(Object.keys(input.properties)).toEqual(['value', 'from', 'to', 'system', 'toSystem', 'ingredient', 'form'])
  expect(output.required).toEqual(['value', 'via'])
})

test('one object or an array, in order', () => {
  expect(JSON.parse(core(['measure.convert'], { value: 2, from: 'lb', to: 'oz' }).stdout)).toMatchObject({ value: 32 })
  const many = JSON.parse(
    core(
      ['measure.convert'],
      [
        { value: 1, from: 'kg', to: 'g' },
        { value: 1, from: 'tbsp', to: 'g', ingredient: 'light soy sauce' },
      ],
    ).stdout,
  ) as { value: number }[]
  expect(many.map((one) => Math.round(one.value))).toEqual([1000, 18])
})

test('bad input: exit 2, a line a fault with field and remedy, no stack', () => {
  const { status, stdout, stderr } = core(
    ['measure.convert'],
    [
      { value: 'two', from: 'cup', to: 'mL' },
      { value: 1, from: 'cup', to: 'g', ingredient: 'odd soy' },
    ],
  )
  expect([status, stdout]).toEqual([2, ''])
  const lines = stderr
    .trim()
    .split('\n')
    .filter((line) => !line.startsWith('npm'))
  expect(lines[0]).toMatch(/^0\.value: .*number/)
  expect(lines[1]).toMatch(/^1\.ingredient: unknown ingredient "odd soy": use one of .*soy/)
  expect(stderr).not.toMatch(/\bat .*\.ts:\d+/)
  expect(core(['measure.convert'], '{').stderr).toMatch(/^input: not JSON/)
  expect(core(['no.such']).status).toBe(2)
})

/** The outside converter: GNU units (Debian package `units`), its own definitions file. */
const gnuUnits = (value: number, from: string, to: string) =>
  Number(
    execFileSync('units', ['-t', '-o', '%.15g', `${value} ${from}`, to], {
      encoding: 'utf8',
      env: { ...process.env, UNITS_ENGLISH: 'US', LC_ALL: 'C' },
    }),
  )

describe('agrees with GNU units, which shares no code or table with us', () => {
  const cases: [string, Record<string, string>, string, string][] = [
    ['tsp', { system: 'us' }, 'ustsp', 'ml'],
    ['tbsp', { system: 'us' }, 'ustbsp', 'ml'],
    ['fl oz', { system: 'us' }, 'usfluidounce', 'ml'],
    ['cup', { system: 'us' }, 'uscup', 'ml'],
    ['pint', { system: 'us' }, 'uspint', 'ml'],
    ['quart', { system: 'us' }, 'usquart', 'ml'],
    ['gallon', { system: 'us' }, 'usgallon', 'ml'],
    ['cup', { system: 'metric' }, 'metriccup', 'ml'],
    ['tbsp', { system: 'au' }, 'australiatablespoon', 'ml'],
    ['cup', { system: 'us-label' }, 'legalcup', 'ml'],
    ['tbsp', { system: 'us-label' }, 'legaltablespoon', 'ml'],
    ['cup', { system: 'jp' }, 'japancup', 'ml'],
    ['gō', { system: 'jp' }, 'gou', 'ml'],
    ['cup', { system: 'uk' }, 'brcup', 'ml'],
    ['pint', { system: 'uk' }, 'brpint', 'ml'],
    ['fl oz', { system: 'uk' }, 'brfluidounce', 'ml'],
    ['gallon', { system: 'uk' }, 'brgallon', 'ml'],
  ]
  test('volumes in every system', () => {
    const values = cases.map((_, n) => 0.37 + n * 1.913)
    const inputs = cases.map(([from, systems], n) => ({ value: values[n], from, to: 'mL', ...systems }))
    const ours = JSON.parse(core(['measure.convert'], inputs).stdout) as { value: number }[]
    ours.forEach((one, n) => expect(one.value / gnuUnits(values[n]!, cases[n]![2], cases[n]![3])).toBeCloseTo(1, 9))
  })

  test('masses', () => {
    const ours = JSON.parse(
      core(
        ['measure.convert'],
        [
          { value: 7.3, from: 'oz', to: 'g' },
          { value: 3.1, from: 'kg', to: 'lb' },
        ],
      ).stdout,
    ) as { value: number }[]
    expect(ours[0]!.value / gnuUnits(7.3, 'ounce', 'g')).toBeCloseTo(1, 12)
    expect(ours[1]!.value / gnuUnits(3.1, 'kg', 'pound')).toBeCloseTo(1, 12)
  })
})

test('the same input gives the same output to the last digit', () => {
  const input = { value: 1.1, from: 'cup', to: 'g', ingredient: 'garlic' }
  expect(core(['measure.convert'], input).stdout).toBe(core(['measure.convert'], input).stdout)
})
