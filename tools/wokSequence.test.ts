import { spawnSync } from 'node:child_process'

const HOB = { kind: 'wok', diameterM: 0.36, massKg: 1.6, powerW: 3500, efficiency: 0.32, source: 'gas', holdC: 280 }
const COMPONENTS = [
  { id: 'rice', role: 'rice', ratioG: 100 },
  { id: 'egg', role: 'egg', ratioG: 14 },
  { id: 'garlic', role: 'aromatic', ratioG: 1 },
  { id: 'salt', role: 'drySeasoning', ratioG: 0.4 },
  { id: 'soy', role: 'liquidSeasoning', ratioG: 1.5 },
  { id: 'scallion', role: 'finish', ratioG: 3 },
  { id: 'oil', role: 'fat', ratioG: 3 },
]
const PLAIN = {
  dish: { name: 'plain', schools: { egg: 'firstOut' }, components: COMPONENTS },
  station: { ...HOB, handling: 'stir' },
  batchMassG: 280,
  riceTempC: 5,
}
const withDish = (more: object) => ({ ...PLAIN, dish: { ...PLAIN.dish, ...more } })

const run = (input: unknown) => {
  const { status, stdout, stderr } = spawnSync('node', ['tools/runCore.mjs', 'wok.sequence'], {
    cwd: `${__dirname}/..`,
    input: JSON.stringify(input),
    encoding: 'utf8',
  })
  return { status, stderr, answers: stdout === '' ? [] : (JSON.parse(stdout) as Answer[]) }
}
type Answer = {
  steps: { action: string; startS: number; durationS: number; entries: { componentId: string; massG: number }[] }[]
  totalS: number | null
  rejected: { why: string; count: number }[]
  runnerUp: { cost: number; steps: unknown[] } | null
  pins: { isKept: boolean }[]
  finding: { bad: { code: string; why: string }[]; change: { kind: string; text: string } | null } | null
  reason: string | null
}

test('a plain dish: steps in seconds from the first oil, the runner-up with what it costs more, nothing found', () => {
  const { answers, stderr } = run([PLAIN, { ...PLAIN, ruleSet: 'uk', pins: [{ component: 'soy', after: 'salt' }] }])
  expect(stderr).toBe('')
  const [plain, uk] = answers
  expect(plain!.steps[0]).toMatchObject({ action: 'heatVessel' })
  expect(plain!.steps[0]!.startS).toBeLessThan(0)
  expect(plain!.steps[1]).toMatchObject({ action: 'oilIn', startS: 0 })
  const last = plain!.steps.at(-1)!
  expect(last.startS + last.durationS).toBe(plain!.totalS)
  expect(plain!.runnerUp!.cost).toBeGreaterThan(-1.5)
  expect(plain!.finding).toBeNull()
  expect(uk!.pins).toMatchObject([{ isKept: true }])
})

test('what does not fit says what, and one change; herbs may go by their other name', () => {
  const herb = { id: 'basilOil', role: 'aromatic', food: 'herbOil', ratioG: 1 }
  const { answers } = run([{ ...PLAIN, batchMassG: 900 }, withDish({ components: [...COMPONENTS, herb] })])
  const [crowded, withHerb] = answers
  expect(crowded).toMatchObject({ steps: [], totalS: null, finding: { bad: [{ code: 'steams' }] } })
  expect(crowded!.reason).toMatch(/steams.*Try: fry \d batches/)
  expect(withHerb!.finding).toBeNull()
})

test.each<[string, object, RegExp]>([
  ['rice from a warm place', { ...PLAIN, riceTempC: 60 }, /riceTempC.*not chilled rice/],
  ['no flame', { ...PLAIN, station: { ...HOB, powerW: 0 } }, /powerW.*no flame/],
  ['a school that is none', withDish({ schools: { egg: 'none' } }), /schools\.egg/],
  ['one id twice', withDish({ components: [COMPONENTS[0], COMPONENTS[0]] }), /components.*one id twice/],
  ['an empty dish', withDish({ components: [] }), /components.*at least/],
  ['not a number', { ...PLAIN, batchMassG: null }, /batchMassG/],
])('%s: one line that says what to do', (_what, input, message) => {
  const { status, stderr } = run(input)
  expect(status).toBe(2)
  expect(stderr).toMatch(message)
  expect(stderr).not.toMatch(/at .*\.ts:/)
})

test('only liquids: there is no rice, and that is said', () => {
  const liquids = COMPONENTS.filter(({ role }) => role === 'liquidSeasoning' || role === 'fat')
  const { answers } = run([withDish({ schools: {}, components: liquids })])
  expect(answers[0]).toMatchObject({ finding: { bad: [{ code: 'noRice' }], change: { kind: 'addRice' } } })
})
