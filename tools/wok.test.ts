import { spawnSync } from 'node:child_process'

const HOB = { kind: 'wok', diameterM: 0.36, massKg: 1.6, powerW: 3500, efficiency: 0.32, source: 'gas', holdC: 280 }
const GRIDDLE = {
  ...HOB,
  kind: 'griddle',
  diameterM: undefined,
  widthM: 0.3,
  lengthM: 0.6,
  massKg: 27,
  powerW: 9000,
  holdC: 230,
}
const FRY = {
  station: HOB,
  startMetalC: 230,
  oilG: 10,
  components: [{ food: 'rice', massG: 400, tempC: 4, atS: 0 }],
  handling: 'stir',
  durationS: 240,
}
const BATCH = { station: HOB, riceTempC: 4, handling: 'stir' }

const run = (model: string, input: unknown) => {
  const { status, stdout, stderr } = spawnSync('node', ['tools/runCore.mjs', model], {
    cwd: `${__dirname}/..`,
    input: JSON.stringify(input),
    encoding: 'utf8',
  })
  return { status, stderr, answers: stdout === '' ? [] : (JSON.parse(stdout) as Record<string, unknown>[]) }
}

test('wok.fry: a hot batch, a crowded one that never is, and an empty vessel', () => {
  const { answers, stderr } = run('wok.fry', [
    FRY,
    { ...FRY, components: [{ ...FRY.components[0], massG: 1400 }] },
    { ...FRY, components: [] },
    { ...FRY, station: { ...GRIDDLE, efficiency: 0.45 }, handling: 'flip' },
  ])
  expect(stderr).toBe('')
  const [hot, crowded, empty, griddle] = answers
  expect(hot).toMatchObject({ reason: null, timeTo74S: expect.closeTo(110, -1) as number })
  expect(crowded).toMatchObject({
    timeTo74S: null,
    doneS: null,
    reason: expect.stringMatching(/°C at the end/) as string,
  })
  expect(empty).toMatchObject({
    food: [],
    massLossFraction: 0,
    reason: expect.stringMatching(/nothing was put in/) as string,
  })
  expect(griddle?.['timeTo74S']).toBeLessThan(60)
})

test('wok.largestBatch: the same question gives the same answer to the last digit', () => {
  const { answers } = run('wok.largestBatch', [BATCH, BATCH, { ...BATCH, station: { ...HOB, powerW: 150 } }])
  expect(answers[0]).toEqual(answers[1])
  expect(answers[0]).toMatchObject({ limit: 'dip' })
  expect(answers[2]).toMatchObject({ massG: null, limit: null, reason: expect.stringMatching(/more flame/) as string })
})

test.each<[string, string, object, RegExp]>([
  ['a burner of 0 kW', 'wok.fry', { ...FRY, station: { ...HOB, powerW: 0 } }, /^station\.powerW: is no flame/],
  [
    'a griddle without its plate',
    'wok.fry',
    { ...FRY, station: { ...GRIDDLE, widthM: undefined } },
    /^station\.widthM: is missing/,
  ],
  [
    'a food nobody knows',
    'wok.fry',
    { ...FRY, components: [{ ...FRY.components[0], food: 'stone' }] },
    /^components\.0\.food/,
  ],
  ['boiling rice', 'wok.largestBatch', { ...BATCH, riceTempC: 90 }, /^riceTempC: is hot already/],
  [
    'a bowl for a wok',
    'wok.largestBatch',
    { ...BATCH, station: { ...HOB, depthM: 0.3 } },
    /^station\.depthM: is more than half/,
  ],
])('%s is refused with field and remedy', (_what, model, input, said) => {
  const { status, stderr, answers } = run(model, input)
  expect([status, answers]).toEqual([2, []])
  expect(stderr).toMatch(said)
})
