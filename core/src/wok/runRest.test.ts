import { HAM_OF_TOFU, ingredient, PORK, SOY } from '../test/ingredients'
import { component, scoreOnRing } from '../test/kitchen'
import { saidAt, type RunWord } from '../test/runEvents'
import { notInYet } from './leftOut'
import { runState, type FiredRun } from './run'
import type { RunEvent } from './runEvent'
import type { Step } from './score'
import { ingredientsOf, standInsFor } from './standIn'

const CHICKEN = ingredient({ id: 'chicken', role: 'protein:poultry', state: 'raw', isReadyToEat: false })
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

describe('something stands in for what ran out', () => {
  const standIn = { ingredientId: 'leek', name: 'leek' }
  const instead = (componentId: string) =>
    say(2, { kind: 'trouble', trouble: 'ranOut', stepId: first.id, componentId, standIn })
  const entriesOf = (steps: readonly Step[], componentId: string) =>
    steps.flatMap(({ entries }) => entries.filter((one) => one.componentId === componentId))

  test('it goes in where the other would have, as much of it, by the scale; every step and check stays', () => {
    const state = runState(run, [instead('lettuce')], at(3))
    expect(state.steps.map(({ id, check }) => [id, check])).toEqual(score.steps.map(({ id, check }) => [id, check]))
    const before = entriesOf(score.steps, 'lettuce')
    expect(entriesOf(state.steps, 'lettuce')).toEqual(
      before.map((one) => ({ ...one, name: 'leek', measure: expect.objectContaining({ tool: 'scale' }) as unknown })),
    )
    for (const { massG, measure } of entriesOf(state.steps, 'lettuce'))
      expect(Math.abs(measure.count - massG)).toBeLessThanOrEqual(0.5)
    expect(state.troubles).toMatchObject([{ trouble: 'ranOut', componentId: 'lettuce', standIn }])
    expect(state.upMs).toBe(runState(run, [], at(3)).upMs)
  })

  test('what is in already keeps its name, and taken back everything is as it was', () => {
    const said = instead('egg')
    const late = { ...said, atMs: at(score.totalS - 1), id: 'late' }
    expect(entriesOf(runState(run, [late], at(score.totalS - 1)).steps, 'egg')).toEqual(entriesOf(score.steps, 'egg'))
    const back = runState(run, [said, say(4, { kind: 'undone', eventId: said.id })], at(5))
    expect(back.steps).toEqual(score.steps)
  })
})

describe('what may stand in for a component', () => {
  const pork = component({
    id: 'pork',
    role: 'protein',
    food: 'meat',
    ratioG: 12,
    ingredientId: PORK.id,
    state: 'cooked',
  })
  const TABLE = [PORK, HAM_OF_TOFU, CHICKEN, SOY]
  const ids = (change: Partial<Parameters<typeof standInsFor>[2]> = {}) =>
    standInsFor(pork, TABLE, { allergies: [], list: 'eu', isHere: () => true, ...change }).map(
      ({ ingredient }) => ingredient.id,
    )

  test('is of its role, in the kitchen, and free of every allergy of the batch by the table', () => {
    expect(ids()).toEqual(expect.arrayContaining([HAM_OF_TOFU.id]))
    expect(ids()).not.toContain(SOY.id)
    expect(ids({ isHere: () => false })).toEqual([])
    expect(ids({ allergies: ['soy'] })).not.toContain(HAM_OF_TOFU.id)
  })

  test('is nothing that nobody knows, once there is an allergy; and nothing for what is in no table', () => {
    const unknown = { ...HAM_OF_TOFU, id: 'unknown-ham', allergens: [], mayContain: [], areAllergensKnown: false }
    const of = (allergies: 'fish'[]) =>
      standInsFor(pork, [PORK, unknown], { allergies, list: 'eu', isHere: () => true }).length
    expect([of([]), of(['fish'])]).toEqual([1, 0])
    const nameless = component({ id: 'x', role: 'protein', food: 'meat', ratioG: 1, state: 'cooked' })
    expect(standInsFor(nameless, TABLE, { allergies: [], list: 'eu', isHere: () => true })).toEqual([])
  })

  test('the kitchen has what its dishes are made of', () => {
    expect([...ingredientsOf([{ components: [pork] }, { components: [pork] }])]).toEqual([PORK.id])
  })
})
