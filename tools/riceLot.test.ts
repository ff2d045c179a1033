import { spawnSync } from 'node:child_process'

type Logged = { id: string; atS: number; kind: string; tempC: number | null; counts: boolean; why: string | null }
type Answer = {
  stage: string
  verdict: string
  usable: boolean
  because: string
  outS: number
  useByS: number | null
  log: Logged[]
}
const run = (input: unknown) => {
  const { status, stdout, stderr } = spawnSync('node', ['tools/runCore.mjs', 'rice.lot'], {
    cwd: `${__dirname}/..`,
    input: JSON.stringify(input),
    encoding: 'utf8',
  })
  return { status, stderr, answers: stdout === '' ? [] : (JSON.parse(stdout) as Answer[]) }
}
const H = 3600
const staff = [
  { id: 'odalys', role: 'lead' },
  { id: 'bram', role: 'cook' },
]
const lot = (nowH: number, events: object[], more: object = {}) => ({
  ruleSet: 'us',
  origin: 'cooked',
  nowS: nowH * H,
  staff,
  events,
  ...more,
})
const read = (atH: number, tempC: number, more: object = {}) => ({ atS: atH * H, kind: 'read', tempC, ...more })
const SPREAD = { atS: 0, kind: 'spread', tempC: 90 }
const COOLED = [SPREAD, read(0.5, 57), read(2, 20), read(5, 5)]

test('a lot by its events: what holds, what breaks, what was said too late, and why', () => {
  const { answers } = run([
    lot(8, COOLED),
    lot(8, [
      SPREAD,
      read(0.5, 57),
      read(1.9, 20),
      read(2.6, 25, { id: 'hot' }),
      { atS: 2.7 * H, kind: 'undone', eventId: 'hot' },
    ]),
    lot(8, [SPREAD, read(0.5, 57), read(2.6, 25), read(2.2, 20, { saidAtS: 4 * H, id: 'late' })]),
    lot(8, [
      SPREAD,
      read(0.5, 57),
      read(4, 5),
      { atS: 4.1 * H, kind: 'accepted', reason: 'the logger showed it', staffId: 'bram' },
    ]),
    lot(8, [
      SPREAD,
      read(0.5, 57),
      read(4, 5),
      { atS: 4.1 * H, kind: 'accepted', reason: 'the logger showed it', staffId: 'odalys' },
    ]),
    lot(8, [...COOLED, { atS: 6 * H, kind: 'moved', place: 'rack' }]),
    lot(12, [...COOLED, { atS: 6 * H, kind: 'moved', place: 'bench' }]),
    lot(8, [...COOLED, read(7, 30, { doubt: 'rise', id: 'odd' })]),
  ])
  const brief = answers.map(({ stage, verdict, usable }) => [stage, verdict, usable])
  expect(brief).toEqual([
    ['ready', 'met', true],
    ['refused', 'broken', false],
    ['refused', 'broken', false],
    ['chilling', 'unproven', false],
    ['ready', 'unproven', true],
    ['tempering', 'met', true],
    ['tempering', 'met', false],
    ['ready', 'met', false],
  ])
  const entry = (i: number, kind: string) => answers[i]!.log.find((one) => one.kind === kind)!
  expect(entry(1, 'undone')).toMatchObject({ counts: false, why: expect.stringMatching(/too late/) })
  expect(answers[2]!.log.find((one) => one.id === 'late')).toMatchObject({ counts: false, tempC: 20 })
  expect(entry(3, 'accepted')).toMatchObject({ counts: false, why: 'only a lead accepts' })
  expect(answers[5]).toMatchObject({ outS: 2 * H })
  expect(answers[6]!.because).toMatch(/6.00 h out of the cold, at most 4.00 h/)
  expect(answers[7]!.because).toMatch(/30 °C is in doubt/)
  expect(answers[0]!.useByS).toBeCloseTo(7 * 24 * H, -1)
})

test('in the unit it was read in, and to the second', () => {
  const f = (atH: number, tempF: number) => ({ atS: atH * H, kind: 'read', tempF })
  const { answers } = run([
    lot(7, [{ atS: 0, kind: 'spread', tempF: 135 }, f(2, 70), f(6, 41)]),
    lot(7, [{ atS: 0, kind: 'spread', tempF: 135 }, f(2, 71)]),
    lot(7, [{ atS: 0, kind: 'spread', tempC: 60 }, read(2, 21), read(6, 5)], { ruleSet: 'au' }),
  ])
  expect(answers.map((one) => one.verdict)).toEqual(['met', 'broken', 'met'])
})

test('rice from elsewhere: its age counts, and without a temperature nobody knows that it is cold', () => {
  const bought = (more: object) => lot(2, [], { origin: 'bought', ...more })
  const { answers } = run([bought({ tempC: 4 }), bought({}), bought({ tempC: 4, cookedAtS: -8 * 24 * H })])
  expect(answers.map((one) => one.usable)).toEqual([true, false, false])
  expect(answers[2]!.because).toMatch(/past its use-by/)
})

test('bad input: a line a fault, with what would be right', () => {
  const { status, stderr } = run([lot(1, [{ atS: 0, kind: 'read' }]), lot(1, [{ atS: 0, kind: 'sniffed' }])])
  expect(status).toBe(2)
  expect(stderr).toMatch(/0\.events\.0\.tempC: no temperature: give tempC, or tempF as it was read/)
  expect(stderr).toMatch(/1\.events\.0\.kind/)
})
