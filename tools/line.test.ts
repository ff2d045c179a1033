import { spawnSync } from 'node:child_process'

const run = (model: string, input: unknown) => {
  const { status, stdout, stderr } = spawnSync('node', ['tools/runCore.mjs', model], {
    cwd: `${__dirname}/..`,
    input: JSON.stringify(input),
    encoding: 'utf8',
  })
  return { status, stderr, output: stdout === '' ? null : (JSON.parse(stdout) as Record<string, unknown>) }
}

const WEIGHTS = {
  ...{ late: 1, late2: 1, knee: 300, flow: 0.05, spread: 0.2, hold: 0.3 },
  ...{ spoil: 3, batch: 10, wash: 20, hands: 0.05, grown: 10, changed: 60 },
}
const WOK = { cap: 4, phases: [{ hands: true, a: 50, b: 20 }] }
const dish = (id: string, base: string, allergen: string) => ({
  ...{ id, base, allergens: [allergen], free: 120, max: 240, on: { wok: WOK } },
  ...{ mods: {}, split: 0, uses: {} },
})
const INSTANCE = {
  ...{ v: 'line-1', id: 'two', grid: 5, now: 0, hands: 1, boxExtra: 180, weights: WEIGHTS },
  setup: { wok: { base: 10, other: 20, wash: 60 } },
  stations: [{ id: 'ring', kind: 'wok', from: 0, down: [], last: null }],
  dishes: [dish('veg', 'soy', 'soy'), dish('nut', 'curry', 'peanut')],
  tickets: [
    ticket('a', 90, { id: 'a1', dish: 'nut', n: 2, mods: [], avoid: [] }),
    ticket('b', 150, { id: 'b1', dish: 'veg', n: 1, mods: [], avoid: ['peanut'] }),
  ],
  ...{ stock: {}, frozen: [], told: [] },
}
function tiny() {
  return { ...dish('nut', 'curry', 'peanut'), on: { wok: { ...WOK, cap: 0.5 } } }
}
function told() {
  return { station: 'ring', parts: ['a1'] }
}
function ticket(id: string, due: number, item: unknown) {
  return { id, at: 0, due, kind: 'dine', w: 1, items: [item] }
}

test('line.plan plans, and line.check finds its plan sound and prices it the same', () => {
  const plan = run('line.plan', { ...INSTANCE, seed: 2, evaluations: 2000 }).output!
  expect(plan).toMatchObject({ instance: 'two', objective: 131.5, lateTickets: 1, holdBreaches: 0, evaluations: 2000 })
  const { instance, gone, batches } = plan
  expect(run('line.check', { instance: INSTANCE, plan: { instance, gone, batches } }).output).toEqual({
    feasible: true,
    errors: [],
    objective: 131.5,
  })
})

test('line.check names the rule that a plan breaks', () => {
  const batch = (start: number, part: string) => ({ station: 'ring', start, wash: false, parts: [part], cooks: [0] })
  const plan = { instance: 'two', gone: [], batches: [batch(0, 'a1'), batch(110, 'b1')] }
  expect(run('line.check', { instance: INSTANCE, plan }).output).toMatchObject({
    feasible: false,
    errors: [expect.objectContaining({ rule: 'wash', batch: 'ring at 110' })],
  })
})

test.each<[string, unknown, RegExp]>([
  ['a dish that no station takes', { stations: [{ ...INSTANCE.stations[0], kind: 'zone' }] }, /no station takes nut/],
  [
    'an item that holds what its guest must not meet',
    { tickets: [ticket('a', 90, { id: 'a1', dish: 'nut', n: 2, mods: [], avoid: ['peanut'] })] },
    /a1 must not meet peanut, and nut as ordered holds it/,
  ],
  [
    'more than is planned at once',
    { tickets: [ticket('a', 90, { id: 'a1', dish: 'nut', n: 1000, mods: [], avoid: [] })], dishes: [tiny()] },
    /2000 pieces: plan at most 1024 at once/,
  ],
  ['a cook who was told twice', { told: [told(), told()] }, /"ring" stands twice/],
  ['a word that is no number', { grid: 'five' }, /grid: /],
  ['a field that is not known', { colour: 'red' }, /colour/],
])('%s is refused with what to do, without a stack', (_, change, fault) => {
  const { status, stderr } = run('line.plan', { ...INSTANCE, ...(change as object) })
  expect(status).toBe(2)
  expect(stderr).toMatch(fault)
  expect(stderr).not.toMatch(/ {4}at /)
})
