import { fahrenheitOf } from '../measure/temperature'
import { COOLING_LIMITS, HOLDING_LIMITS } from './coolingLimits'
import { RULE_SETS } from './limits'

const HOUR_S = 3600

/** FDA Food Code 2022 §3-501.14(A): 57 °C (135 °F) to 21 °C (70 °F) within 2 hours, and to 5 °C (41 °F) within 6 in all (from memory). */
test('the US model code gives two hours, and six in all, in its own °C and °F', () => {
  const { startC, startF, steps } = COOLING_LIMITS.us
  expect([startC, startF]).toEqual([57, 135])
  expect(steps.map(({ tempC, tempF, withinS, from }) => [tempC, tempF, withinS / HOUR_S, from])).toEqual([
    [21, 70, 2, 'start'],
    [5, 41, 6, 'start'],
  ])
})

/** Standard 3.2.2 clause 7(3) of the Food Standards Code (from memory): 60 to 21 °C within 2 hours, 21 to 5 °C within a further 4. */
test('the Australian standard gives two hours, and four more from then on', () => {
  const { startC, steps } = COOLING_LIMITS.au
  expect(startC).toBe(60)
  expect(steps.map(({ tempC, withinS, from }) => [tempC, withinS / HOUR_S, from])).toEqual([
    [21, 2, 'start'],
    [5, 4, 'step'],
  ])
})

/** Guidance of the Food Standards Agency (from memory): from above 63 °C to below 8 °C, within 90 minutes. */
test('UK guidance gives ninety minutes to 8 °C', () => {
  const { startC, steps } = COOLING_LIMITS.uk
  expect(startC).toBe(63)
  expect(steps.map(({ tempC, withinS }) => [tempC, withinS / 60])).toEqual([[8, 90]])
})

describe.each(RULE_SETS)('%s', (ruleSet) => {
  const { startC, startF, steps, source } = COOLING_LIMITS[ruleSet]
  const held = HOLDING_LIMITS[ruleSet]

  test('each step is colder than the one before, and the last as cold as rice is kept', () => {
    const temps = [startC, ...steps.map(({ tempC }) => tempC)]
    expect(temps).toEqual([...temps].sort((a, b) => b - a))
    expect(new Set(temps).size).toBe(temps.length)
    expect(steps.at(-1)!.tempC).toBeLessThanOrEqual(held.coldC)
  })

  test('°F says the same as °C, to the degree that the text rounds to', () => {
    const pairs = [[startC, startF], [held.coldC, held.coldF], ...steps.map(({ tempC, tempF }) => [tempC, tempF])]
    for (const [tempC, tempF] of pairs) expect(Math.abs(fahrenheitOf(tempC!) - tempF!)).toBeLessThan(0.7)
  })

  test('rice out of the cold has four hours at most, and may go back only within less', () => {
    expect(held.outS).toBeLessThanOrEqual(4 * HOUR_S)
    if (held.returnWithinS !== null) expect(held.returnWithinS).toBeLessThan(held.outS)
  })

  test('it is kept no longer than a week, and each limit names its source', () => {
    const hours = held.keep.kind === 'days' ? 24 * held.keep.days : held.keep.hours
    expect(hours).toBeGreaterThanOrEqual(24)
    expect(hours).toBeLessThanOrEqual(7 * 24)
    for (const one of [source, held.source]) expect(one).not.toBe('')
  })
})
