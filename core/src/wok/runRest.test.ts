import { scoreOnRing } from '../test/kitchen'
import { saidAt, type RunWord } from '../test/runEvents'
import { notInYet } from './leftOut'
import { runState, type FiredRun } from './run'
import type { RunEvent } from './runEvent'

const score = scoreOnRing(2)
const FIRED_MS = 1_700_000_000_000
const run: FiredRun = { id: 'run', firedAtMs: FIRED_MS, score, handsFree: true }
const at = (second: number) => FIRED_MS + second * 1000

let counter = 0
const say = (second: number, word: RunWord, id = `e-${(counter += 1)}`): RunEvent => saidAt(at(second), word, id)

const first = score.steps[0]!
const later = score.steps.find(({ action }) => action === 'riceIn')!
const rest = (durationS: number, causeId: string | null = null) =>
  say(4, {
    kind: 'retimed',
    stepId: first.id,
    steps: [{ stepId: later.id, durationS }],
    why: 'notSoFar',
    componentId: null,
    causeId,
  })

test('a rest that was worked out again moves the pick-up, until its cause is taken back', () => {
  const cause = say(3, { kind: 'later', stepId: first.id, delayS: 10 })
  const longer = rest(later.durationS + 30, cause.id)
  const before = runState(run, [cause], at(5))
  const after = runState(run, [cause, longer], at(5))
  expect(after.upMs - before.upMs).toBe(30_000)
  expect(after.retimed).toMatchObject({ why: 'notSoFar', laterS: 30 })
  const back = runState(run, [cause, longer, say(5, { kind: 'undone', eventId: cause.id })], at(5))
  expect(back).toMatchObject({ retimed: null, upMs: FIRED_MS + score.totalS * 1000 })
})

test('it never ends a step in the past, and leaves steps that are over alone', () => {
  const stays = say(8, {
    kind: 'retimed',
    stepId: first.id,
    steps: [{ stepId: first.id, durationS: 1 }],
    why: 'furtherAlready',
    componentId: null,
    causeId: null,
  })
  expect(runState(run, [stays], at(8)).times[0]).toMatchObject({ endMs: at(8) })
  const after = at(first.durationS + 2)
  const tooLate = runState(run, [{ ...stays, atMs: after }], after)
  expect(tooLate.times[0]!.endMs).toBe(at(first.durationS))
})

test('a flame that was turned stands until its step ends, on the step that the cook saw', () => {
  const turned = say(3, { kind: 'flame', stepId: first.id, heat: 'low' })
  expect(runState(run, [turned], at(4)).steps[0]!.heat).toBe('low')
  expect(runState(run, [{ ...turned, atMs: at(first.durationS + 1) }], at(first.durationS + 2)).flames).toEqual([])
})

test('what ran out is in no step that is still to come, and is noted', () => {
  const state = runState(
    run,
    [say(2, { kind: 'trouble', trouble: 'ranOut', stepId: first.id, componentId: 'garlic' })],
    at(3),
  )
  expect(state.steps.flatMap(({ entries }) => entries.map((one) => one.componentId))).not.toContain('garlic')
  expect(state.troubles).toMatchObject([{ trouble: 'ranOut', componentId: 'garlic' }])
})

test('a step that only put in what ran out is gone with its check; others keep theirs', () => {
  const out = runState(
    run,
    [say(2, { kind: 'trouble', trouble: 'ranOut', stepId: first.id, componentId: 'lettuce' })],
    at(3),
  )
  expect(out.steps.map(({ id }) => id)).not.toContain('leavesIn')
  const checks = (steps: typeof out.steps) => steps.filter(({ check }) => check !== null).map(({ id }) => id)
  expect(checks(out.steps)).toEqual(checks(score.steps))
})

test('what is in the wok already comes out and back as before', () => {
  const eggIn = score.steps.findIndex(({ id }) => id === 'eggIn')
  const events = score.steps.slice(0, eggIn + 1).map((step, i) => say(20 + i, { kind: 'done', stepId: step.id }))
  const inHand = score.steps[eggIn + 1]!
  const state = runState(
    { ...run, handsFree: false },
    [...events, say(60, { kind: 'trouble', trouble: 'ranOut', stepId: inHand.id, componentId: 'egg' })],
    at(61),
  )
  expect(state.steps.find(({ id }) => id === 'eggOut')!.entries.map((one) => one.componentId)).toEqual(['egg'])
  expect(notInYet(score.steps, eggIn + 1).map(({ componentId }) => componentId)).not.toContain('egg')
})
