import { at, HOUR_MS, MIN_MS, read, say, spread, T0 } from '../../test/lots'
import type { CoolStage } from '../cooling/coolingPlace'
import { forecastLot, lotOnTray, readingDecides, stepAtRisk, type StepForecast } from './lotForecast'

const PLAN: CoolStage[] = [{ durationS: 40_000, place: 'fridge', covered: false }]
const STEP: StepForecast = {
  tempC: 21,
  tempF: 70,
  limitMs: T0 + 2 * HOUR_MS,
  reachedMs: T0 + HOUR_MS,
  isRead: false,
  soonestMs: T0 + HOUR_MS,
  latestMs: T0 + HOUR_MS,
}
const judged = (as: string, doubt: 'drop' | null = null) =>
  ({ judged: as, readings: [{ doubt }] }) as unknown as Parameters<typeof readingDecides>[0]

describe('a reading decides', () => {
  test.each<[string, Parameters<typeof readingDecides>[0], Partial<StepForecast>, number, boolean]>([
    ['of a lot that is overdue', judged('overdue'), { isRead: true }, 0, true],
    ['of a lot that is unproven', judged('unproven'), { isRead: true }, 0, true],
    ['after a reading in doubt', judged('cooling', 'drop'), { isRead: true }, 0, true],
    ['twenty minutes before a limit', judged('cooling'), { reachedMs: null }, 100 * MIN_MS, true],
    ['not long before it', judged('cooling'), { reachedMs: null }, 99 * MIN_MS, false],
    ['where the model crossed and nobody read', judged('cooling'), { limitMs: null }, HOUR_MS, true],
    ['not before the model crosses', judged('cooling'), { limitMs: null }, HOUR_MS - 1, false],
    ['not once the step is read', judged('cooling'), { isRead: true }, 3 * HOUR_MS, false],
  ])('%s', (_, state, change, afterMs, expected) => {
    expect(readingDecides(state, [{ ...STEP, ...change }], T0 + afterMs)).toBe(expected)
  })
})

test('at risk is the first step that is on its way past its limit, and one that is never reached', () => {
  const late = { ...STEP, reachedMs: T0 + 3 * HOUR_MS }
  const never = { ...STEP, reachedMs: null }
  expect(stepAtRisk([STEP, STEP])).toBeNull()
  expect(stepAtRisk([STEP, late, never])).toBe(late)
  expect(stepAtRisk([never])).toBe(never)
  expect(
    stepAtRisk([
      { ...late, isRead: true },
      { ...never, limitMs: null },
    ]),
  ).toBeNull()
})

describe('the tray to compute with', () => {
  test('there is none before the rice is spread, nor without a reading', () => {
    expect(lotOnTray(at([], T0), PLAN, T0)).toBeNull()
    expect(lotOnTray(at([say(T0 + MIN_MS, read(88))], T0 + HOUR_MS), PLAN, T0 + HOUR_MS)).toBeNull()
  })

  test('readings in doubt do not count, and those after the spreading are held against it', () => {
    const events = [say(T0, spread()), say(T0 + 30 * MIN_MS, read(50)), say(T0 + 60 * MIN_MS, read(2, 'drop'))]
    const lot = lotOnTray(at(events, T0 + 2 * HOUR_MS), PLAN, T0 + 2 * HOUR_MS)!
    expect(lot.readings).toEqual([{ timeS: 1800, tempC: 50 }])
    expect(lot.tray.startTempC).toBeLessThanOrEqual(100)
  })
})

test('a forecast has a band: the fast curve is below, the slow one above, each step’s spread around its middle', () => {
  const events = [say(T0, spread()), say(T0 + 30 * MIN_MS, read(62))]
  const nowMs = T0 + HOUR_MS
  const state = at(events, nowMs)
  const forecast = forecastLot(lotOnTray(state, PLAN, nowMs)!, state, 'us')
  const last = (curve: { coreC: readonly number[] }) => curve.coreC[Math.floor(curve.coreC.length / 2)]!
  expect(last(forecast.fast)).toBeLessThanOrEqual(last(forecast.curve))
  expect(last(forecast.slow)).toBeGreaterThanOrEqual(last(forecast.curve))
  for (const { soonestMs, reachedMs, latestMs } of forecast.steps) {
    expect(soonestMs ?? 0).toBeLessThanOrEqual(reachedMs ?? Infinity)
    expect(reachedMs ?? 0).toBeLessThanOrEqual(latestMs ?? Infinity)
  }
})
