import { spawnSync } from 'node:child_process'

const run = (input: unknown) => {
  const { status, stdout, stderr } = spawnSync('node', ['tools/runCore.mjs', 'mise.prepPlan'], {
    cwd: `${__dirname}/..`,
    input: JSON.stringify(input),
    encoding: 'utf8',
  })
  return { status, stderr, output: stdout === '' ? null : (JSON.parse(stdout) as unknown) }
}
const serviceAt = '2026-11-26T17:00:00+09:00'

test('mise.prepPlan works back from the service, lags, skills, hours and what is under way counted', () => {
  const { output } = run({
    tasks: [
      { id: 'thaw', durationS: 3600, hands: 0, startedAt: '2026-11-26T14:00:00+09:00' },
      { id: 'pick', durationS: 1800, needs: [{ id: 'thaw', maxLagS: 7200 }], skill: 'shellfish' },
      { id: 'rails', durationS: 900, needs: ['pick'], hands: 2 },
    ],
    people: [{ id: 'tam' }, { id: 'ifeoma', skills: ['shellfish'] }],
    serviceAt,
    nowAt: '2026-11-26T14:20:00+09:00',
  })
  expect(output).toMatchObject({
    firstStartAt: '2026-11-26T07:15:00.000Z',
    lowerBoundS: 2700,
    proven: true,
    infeasible: [],
    tasks: [
      { id: 'thaw', startAt: '2026-11-26T05:00:00.000Z', endAt: '2026-11-26T06:00:00.000Z', latestStartAt: null },
      { id: 'pick', startAt: '2026-11-26T06:00:00.000Z', who: ['ifeoma'], slackS: 4500, critical: false },
      { id: 'rails', startAt: '2026-11-26T06:30:00.000Z', slackS: 900 * 5, lateS: 0 },
    ],
  })
})

test('a person nobody knows is said, and the bound stays a number', () => {
  const tasks = [{ id: 'cut', durationS: 60, personId: 'nobody' }]
  expect(run({ tasks, people: [{ id: 'tam' }], serviceAt }).output).toEqual({
    tasks: [],
    firstStartAt: null,
    lowerBoundS: 0,
    proven: true,
    infeasible: [{ taskId: 'cut', why: 'unknown-person', name: 'nobody' }],
    chain: [],
  })
})

test.each([
  [
    'an id twice',
    {
      tasks: [
        { id: 'a', durationS: 1 },
        { id: 'a', durationS: 1 },
      ],
      people: [],
      serviceAt,
    },
    /tasks\.1\.id.*own id/,
  ],
  ['less than no time', { tasks: [{ id: 'a', durationS: -1 }], people: [], serviceAt }, /durationS.*negative/],
  ['no instant', { tasks: [], people: [], serviceAt: 'five' }, /serviceAt.*2026-11-26T17:00:00Z/],
  [
    'ended, never begun',
    { tasks: [{ id: 'a', durationS: 1, endedAt: serviceAt }], people: [], serviceAt },
    /startedAt.*say when/,
  ],
])('mise.prepPlan refuses %s with what to change', (_, input, words) => {
  const { status, stderr } = run(input)
  expect(status).not.toBe(0)
  expect(stderr).toMatch(words)
})
