import fc from 'fast-check'
import { scoreOnRing } from '../test/kitchen'
import { saidAt, type RunWord } from '../test/runEvents'
import { compareEvents, nextStamp, type Stamp } from '../event/eventOrder'
import { forgettable } from './forgot'
import { projectedStartsMs } from './projectedStarts'
import { runState, type FiredRun } from './run'
import { NOT_YET_S, type RunEvent } from './runEvent'

const score = scoreOnRing(2)
const FIRED_MS = 1_700_000_000_000
const run: FiredRun = { id: 'run', firedAtMs: FIRED_MS, score, handsFree: true }
const at = (second: number) => FIRED_MS + second * 1000
const firstCheck = score.steps.findIndex((step) => step.check !== null)
const untilCheckS = score.steps.slice(0, firstCheck + 1).reduce((sum, step) => sum + step.durationS, 0)

let counter = 0
const say = (second: number, word: RunWord, id = `e-${(counter += 1)}`): RunEvent => saidAt(at(second), word, id)

describe('hands-free', () => {
  test('the score goes on by itself at the planned second', () => {
    const first = score.steps[0]!.durationS
    expect(runState(run, [], at(first - 0.001)).stepIndex).toBe(0)
    const state = runState(run, [], at(first))
    expect(state.stepIndex).toBe(1)
    expect(state.times[0]).toMatchObject({ endMs: at(first), endedBy: 'score' })
  })

  test('a safety check waits for the cook however long it takes', () => {
    const state = runState(run, [], at(untilCheckS + 3600))
    expect(state).toMatchObject({ stepIndex: firstCheck, status: 'waiting', endedMs: null })
    const said = runState(
      run,
      [
        say(untilCheckS + 3600, {
          kind: 'checked',
          stepId: score.steps[firstCheck]!.id,
          ok: true,
          tempC: 75,
          tempF: null,
        }),
      ],
      at(untilCheckS + 3600),
    )
    expect(said.stepIndex).toBe(firstCheck + 1)
  })

  test('with the hands on, nothing goes on by itself', () => {
    expect(runState({ ...run, handsFree: false }, [], at(9999)).stepIndex).toBe(0)
    const events = [say(50, { kind: 'handsFree', on: true })]
    expect(runState({ ...run, handsFree: false }, events, at(50)).times[0]).toMatchObject({ endMs: at(50) })
  })
})

describe('what the cook says', () => {
  const first = score.steps[0]!

  test('Done ends the step early and everything after moves up', () => {
    const state = runState(run, [say(5, { kind: 'done', stepId: first.id })], at(6))
    expect(state).toMatchObject({ stepIndex: 1 })
    expect(state.upMs).toBe(at(score.totalS - first.durationS + 5))
  })

  test('Done for a step that ended by itself a moment ago does not end the next one', () => {
    const late = first.durationS + 0.3
    expect(runState(run, [say(late, { kind: 'done', stepId: first.id })], at(late)).stepIndex).toBe(1)
  })

  test('+10 s moves everything by ten seconds, and can be taken back', () => {
    const later = say(3, { kind: 'later', stepId: first.id, delayS: 10 })
    expect(runState(run, [later], at(4)).upMs).toBe(at(score.totalS + 10))
    expect(runState(run, [later, say(5, { kind: 'undone', eventId: later.id })], at(6)).upMs).toBe(at(score.totalS))
  })

  test('Done far ahead never jumps over an unanswered check', () => {
    const last = score.steps.at(-1)!
    expect(runState(run, [say(1, { kind: 'done', stepId: last.id })], at(2)).stepIndex).toBe(firstCheck)
  })

  test('stop ends the run; taking it back goes on; after the end nothing changes', () => {
    const stop = say(4, { kind: 'stopped' })
    expect(runState(run, [stop], at(5))).toMatchObject({ status: 'stopped', endedMs: at(4) })
    expect(runState(run, [stop, say(6, { kind: 'later', stepId: first.id, delayS: 60 })], at(7)).addedS).toBe(0)
    expect(runState(run, [stop, say(6, { kind: 'undone', eventId: stop.id })], at(7)).status).toBe('cooking')
  })

  test('trouble is noted and gives the step its time', () => {
    const state = runState(run, [say(2, { kind: 'trouble', trouble: 'burning', stepId: first.id })], at(3))
    expect(state).toMatchObject({ addedS: 20, troubles: [{ trouble: 'burning', stepId: first.id }] })
  })

  test('events of another run are not its own', () => {
    const stranger = { ...say(2, { kind: 'stopped' }), runId: 'other' }
    expect(runState(run, [stranger], at(3)).status).toBe('cooking')
  })
})

const stepId = fc.constantFrom(...score.steps.map((step) => step.id))
const word = fc.oneof(
  stepId.map((id): RunWord => ({ kind: 'done', stepId: id })),
  fc
    .tuple(stepId, fc.boolean())
    .map(([id, ok]): RunWord => ({ kind: 'checked', stepId: id, ok, tempC: null, tempF: null })),
  fc
    .constantFrom('egg', 'chicken', 'garlic')
    .map((id): RunWord => ({ kind: 'trouble', trouble: 'forgot', stepId: score.steps[0]!.id, componentId: id })),
  stepId.map((id): RunWord => ({ kind: 'later', stepId: id, delayS: 10 })),
  fc.boolean().map((on): RunWord => ({ kind: 'handsFree', on })),
  stepId.map((id): RunWord => ({ kind: 'trouble', trouble: 'sticking', stepId: id })),
  fc
    .constantFrom('egg', 'lettuce', 'garlic', 'soy')
    .map((id): RunWord => ({ kind: 'trouble', trouble: 'ranOut', stepId: score.steps[0]!.id, componentId: id })),
  stepId.map((id): RunWord => ({ kind: 'flame', stepId: id, heat: 'low' })),
  fc.array(fc.record({ stepId, durationS: fc.nat(200) }), { maxLength: 5 }).map((steps): RunWord => ({
    kind: 'retimed',
    stepId: score.steps[0]!.id,
    steps,
    why: 'notSoFar',
    componentId: null,
    causeId: null,
  })),
  fc.integer({ min: 0, max: 29 }).map((n): RunWord => ({ kind: 'undone', eventId: `p-${n}` })),
  fc.constant<RunWord>({ kind: 'stopped' }),
)
const history = fc
  .array(fc.tuple(fc.integer({ min: -20, max: 900 }), word), { maxLength: 30 })
  .map((list) => list.map(([second, one], n) => say(second, one, `p-${n}`)))

describe('laws of the fold', () => {
  test('any prefix, at any moment, is a valid run', () => {
    fc.assert(
      fc.property(
        history,
        fc.nat(30),
        fc.integer({ min: -10, max: 2000 }),
        fc.boolean(),
        (events, length, second, handsFree) => {
          const fired = { ...run, handsFree }
          const state = runState(fired, events.slice(0, length), at(second))
          const ended = state.times.filter((one) => one.endMs !== null)
          expect(state.times[0]?.startMs).toBe(FIRED_MS)
          state.times.slice(1).forEach((one, n) => expect(one.startMs).toBe(state.times[n]!.endMs))
          ended.forEach((one) => expect(one.endMs!).toBeGreaterThanOrEqual(one.startMs))
          expect(state.times.map((one) => one.stepId)).toEqual(
            state.steps.slice(0, state.times.length).map((step) => step.id),
          )
          expect(state.endedMs === null).toBe(state.status === 'cooking' || state.status === 'waiting')
          const spans = projectedStartsMs(fired, state, Math.max(FIRED_MS, at(second)))
          if (state.endedMs === null) expect(spans).toHaveLength(state.steps.length)
        },
      ),
    )
  })

  test('a check is ended by its own yes and by nothing else', () => {
    fc.assert(
      fc.property(history, (events) => {
        const { times, steps, checks, status } = runState(run, events, at(5000))
        const ended = status === 'stopped' ? times.slice(0, -1) : times.filter((one) => one.endMs !== null)
        const checked = ended.filter((one) => steps.find((step) => step.id === one.stepId)?.check)
        for (const one of checked)
          expect(checks.filter((check) => check.stepId === one.stepId && check.ok)).toHaveLength(1)
      }),
    )
  })

  test('duplicates and any order of arrival change nothing', () => {
    const shuffled = history.chain((events) =>
      fc.tuple(fc.constant(events), fc.shuffledSubarray([...events, ...events], { minLength: events.length * 2 })),
    )
    fc.assert(
      fc.property(shuffled, fc.integer({ min: 0, max: 2000 }), ([events, mixed], second) => {
        expect(runState(run, mixed, at(second))).toEqual(runState(run, events, at(second)))
      }),
    )
  })

  test('looking at a run does not change it: the past is the same whenever it is asked for', () => {
    fc.assert(
      fc.property(history, fc.integer({ min: 0, max: 900 }), fc.integer({ min: 0, max: 900 }), (events, a, b) => {
        const [early, late] = [Math.min(a, b), Math.max(a, b)]
        const seen = events.filter((event) => event.atMs <= at(early) && event.kind !== 'undone')
        const then = runState(run, seen, at(early)).times.filter((one) => one.endMs !== null)
        expect(runState(run, seen, at(late)).times.slice(0, then.length)).toEqual(then)
      }),
    )
  })
})

test('stamps never go back, even where the clock does', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 50 })), (clock) => {
      let last: Stamp | null = null
      for (const nowMs of clock) {
        const next = nextStamp(last, nowMs)
        if (last) expect(compareEvents({ ...last, id: '' }, { ...next, id: '' })).toBeLessThan(0)
        last = next
      }
    }),
  )
})

test('only what should be in by now can have been forgotten, never the rice', () => {
  expect(forgettable(score, 0)).toEqual([])
  const names = forgettable(
    score,
    score.steps.findIndex((step) => step.action === 'sauceIn'),
  ).map((one) => one.componentId)
  expect(names).toEqual(expect.arrayContaining(['egg', 'oil', 'garlic', 'soy']))
  expect(names).not.toContain('rice')
  expect(names).not.toContain('scallion')
})

describe('a check', () => {
  const check = score.steps[firstCheck]!
  const yes = (second: number, ok = true) =>
    say(second, { kind: 'checked', stepId: check.id, ok, tempC: ok ? 76 : 61, tempF: null })

  test('a no gives it more time and is kept with what was read; a second yes changes nothing', () => {
    const no = runState(run, [yes(untilCheckS + 1, false)], at(untilCheckS + 2))
    expect(no).toMatchObject({ stepIndex: firstCheck, addedS: NOT_YET_S, checks: [{ ok: false, tempC: 61 }] })
    const twice = runState(run, [yes(untilCheckS + 30), yes(untilCheckS + 30.2)], at(untilCheckS + 30.3))
    expect(twice.stepIndex).toBe(firstCheck + 1)
    expect(twice.checks).toHaveLength(1)
  })

  test('Done does not answer it, however often', () => {
    const taps = [0, 0.1, 0.65, 3].map((after) => say(untilCheckS + after, { kind: 'done', stepId: check.id }))
    expect(runState(run, taps, at(untilCheckS + 4)).stepIndex).toBe(firstCheck)
  })

  test('a double tap on Done, or the other phone, ends one step', () => {
    const first = score.steps[0]!
    for (const gapS of [0, 0.05, 0.2, 0.4, 0.65]) {
      const taps = [say(2, { kind: 'done', stepId: first.id }), say(2 + gapS, { kind: 'done', stepId: first.id })]
      expect(runState(run, taps, at(2 + gapS)).stepIndex).toBe(1)
    }
  })
})

describe('forgotten raw food', () => {
  const riceIn = score.steps.findIndex((step) => step.action === 'riceIn')
  const before = score.steps[2]!
  const forgot = (second: number, stepId: string) =>
    say(second, { kind: 'trouble', trouble: 'forgot', stepId, componentId: 'chicken' })

  test('before the rice it becomes a step of its own, as long as at its place, with its check', () => {
    const state = runState({ ...run, handsFree: false }, [forgot(3, before.id)], at(4))
    const own = state.steps[state.stepIndex + 1]!
    const place = score.steps.find((step) => step.entries.some((one) => one.componentId === 'chicken'))!
    expect(own).toMatchObject({ id: 'forgot-chicken', durationS: place.durationS, check: { food: 'poultry' } })
  })

  test('once the rice is in its time is over, and no step is put in', () => {
    const answered = score.steps
      .slice(0, riceIn)
      .map((step, n) =>
        say(
          n + 1,
          step.check
            ? { kind: 'checked', stepId: step.id, ok: true, tempC: null, tempF: null }
            : { kind: 'done', stepId: step.id },
        ),
      )
    const state = runState(run, [...answered, forgot(riceIn + 2, score.steps[riceIn]!.id)], at(riceIn + 3))
    expect(state.steps.map((step) => step.id)).toEqual(score.steps.map((step) => step.id))
    const chicken = forgettable(score, riceIn).find((one) => one.componentId === 'chicken')
    expect(chicken).toMatchObject({ isRaw: true, untilStepId: null })
  })
})

describe('rice that this batch is not asked to read', () => {
  const notAsked: FiredRun = { ...run, riceReading: { isAsked: false, why: 'notThisOne' } }
  const rice = score.steps.findIndex((step) => step.check?.food === 'rice')
  const stepId = score.steps[rice]!.id
  const beforeRice = score.steps
    .slice(0, rice)
    .flatMap((step) =>
      step.check === null ? [] : [{ kind: 'checked' as const, stepId: step.id, ok: true, tempC: 80, tempF: null }],
    )
  const upTo = score.steps.slice(0, rice).reduce((sum, step) => sum + step.durationS, 0)
  const events = beforeRice.map((word) => say(upTo, word))

  test('its step ends like any other, and every other check still waits', () => {
    const state = runState(notAsked, events, at(9999))
    expect(state.status).toBe('finished')
    expect(runState(run, events, at(9999)).status).toBe('waiting')
    if (beforeRice.length > 0) expect(runState(notAsked, [], at(9999)).status).toBe('waiting')
  })

  test('a no makes it wait again, and only a yes ends it', () => {
    const answer = (second: number, ok: boolean) =>
      say(second, { kind: 'checked', stepId, ok, tempC: ok ? 78 : 60, tempF: null })
    const no = answer(upTo + 1, false)
    const waiting = runState(notAsked, [...events, no], at(upTo + 3600))
    expect(waiting).toMatchObject({ stepIndex: rice, status: 'waiting' })
    const after = runState(notAsked, [...events, no, answer(upTo + 60, true)], at(upTo + 3600))
    expect(after.checks.filter((one) => one.stepId === stepId).map(({ ok }) => ok)).toEqual([false, true])
    expect(after.status).toBe('finished')
  })
})
