import { COOLING_LIMITS } from '../../safety/coolingLimits'
import { coolTray } from '../cooling/coolTray'
import type { CoolStage } from '../cooling/coolingPlace'
import { tempAtC } from '../cooling/fitCooling'
import { trayStages } from '../cooling/predictCooling'
import { adviseCooling } from './coolingAdvice'
import { lotState } from './lot'
import type { LotEvent } from './lotEvent'
import { expectedC, forecastLot, lotOnTray, stepAtRisk } from './lotForecast'
import type { BornLot, HousePolicy } from './lotState'

const MIN_MS = 60_000
const HOUR_MS = 60 * MIN_MS
const T0 = Date.parse('2026-11-25T14:00:00Z')
const HOUSE: HousePolicy = { timeZone: 'UTC', keepDays: null, outMin: null, leadIds: [] }
const LOAD: BornLot = {
  id: 'a',
  origin: 'cooked',
  bornAtMs: T0,
  cookedAtMs: null,
  massG: null,
  tempC: null,
  place: null,
  placeId: null,
  ruleSet: 'us',
}
const PLAN: CoolStage[] = [
  { durationS: 1200, place: 'fan', covered: false },
  { durationS: 30_000, place: 'fridge', covered: false },
]
const base = (id: string, atMs: number) => ({ id, lotId: 'a', deviceId: 'd', atMs, counter: 0 })
const stand = { placeId: null, covered: false, airTempC: null }
const spread = (depthM: number, place: 'fan' | 'fridge' = 'fridge'): LotEvent => ({
  ...base('e0', T0),
  ...stand,
  kind: 'spread',
  massG: 4000,
  tempC: 90,
  depthM,
  trays: 1,
  place,
})
const read = (minute: number, tempC: number): LotEvent => ({
  ...base(`r${String(minute).padStart(4, '0')}`, T0 + minute * MIN_MS),
  kind: 'read',
  tempC,
  source: 'dial',
  doubt: null,
})
const at = (events: LotEvent[], minute: number) => lotState(LOAD, events, HOUSE, T0 + minute * MIN_MS)

/** Readings of a tray that gives off heat by a hidden factor. */
function hidden(depthM: number, factor: number, minutes: number[]): LotEvent[] {
  const stages = trayStages([{ durationS: 40_000, place: 'fridge', covered: false }], factor)
  const curve = coolTray({ depthM, startTempC: 90 }, stages)
  return minutes.map((minute) => read(minute, Math.round(tempAtC(curve, minute * 60) * 10) / 10))
}
const forecastAt = (events: LotEvent[], minute: number) => {
  const state = at(events, minute)
  const nowMs = T0 + minute * MIN_MS
  return forecastLot(lotOnTray(state, PLAN, nowMs)!, state, 'us')
}

test('readings find the hidden factor, narrow the forecast and move it the right way', () => {
  const events = [spread(0.04), ...hidden(0.04, 0.6, [20, 40, 60, 80])]
  const before = forecastAt(events.slice(0, 1), 1)
  const after = forecastAt(events, 80)
  expect(after.fit.surfaceFactor).toBeGreaterThan(0.5)
  expect(after.fit.surfaceFactor).toBeLessThan(0.72)
  expect(after.steps[1]!.reachedMs!).toBeGreaterThan(before.steps[1]!.reachedMs!)
  const width = (one: typeof before) => one.steps[1]!.latestMs! - one.steps[1]!.soonestMs!
  expect(width(after)).toBeLessThan(width(before))
  expect(expectedC(after, T0 + 80 * MIN_MS)).toBeCloseTo(events.at(-1)!.kind === 'read' ? 41 : 0, -1)
})

test('a step that was read is no forecast any more; the limit runs from the log', () => {
  const events = [spread(0.03), read(15, 57), read(30, 50), read(110, 20)]
  const [first, second] = forecastAt(events, 111).steps
  expect(first).toMatchObject({ isRead: true, reachedMs: T0 + 110 * MIN_MS, limitMs: T0 + 135 * MIN_MS })
  expect(second).toMatchObject({ isRead: false, limitMs: T0 + 15 * MIN_MS + 6 * HOUR_MS })
})

test('what follows comes from the plan while the lot follows it', () => {
  const planned = lotOnTray(at([spread(0.03, 'fan')], 5), PLAN, T0 + 5 * MIN_MS)!
  expect(planned.stages.map((one) => [one.place, one.durationS])).toEqual([
    ['fan', 1200],
    ['fridge', 30_000],
  ])
  const late = lotOnTray(at([spread(0.03, 'fan')], 50), PLAN, T0 + 50 * MIN_MS)!
  expect(late.stages[0]!.durationS).toBe(3001)
  expect(lotOnTray(at([spread(0.03)], 5), PLAN, T0 + 5 * MIN_MS)!.stages).toHaveLength(1)
})

test('spread thinner, the model starts anew from the last temperature read', () => {
  const thinner: LotEvent = { ...base('m1', T0 + 61 * MIN_MS), ...stand, kind: 'moved', place: 'fridge', depthM: 0.02 }
  const events = [spread(0.06), read(60, 70), thinner]
  const lot = lotOnTray(at(events, 62), PLAN, T0 + 62 * MIN_MS)!
  expect(lot).toMatchObject({ fromMs: T0 + 61 * MIN_MS, tray: { depthM: 0.02, startTempC: 70 }, readings: [] })
})

test('a deep tray is warned of early, and what is advised then keeps the rule', () => {
  const events = [spread(0.08), read(20, 80), read(50, 71), read(75, 62)]
  const nowMs = T0 + 80 * MIN_MS
  const state = at(events, 80)
  const forecast = forecastAt(events, 80)
  const risk = stepAtRisk(forecast.steps)!
  expect(risk.reachedMs! - risk.limitMs!).toBeGreaterThan(30 * MIN_MS)
  const advice = adviseCooling({
    tempC: state.lastTempC!,
    nowMs,
    depthM: 0.08,
    place: 'fridge',
    covered: false,
    airTempC: null,
    surfaceFactor: forecast.fit.surfaceFactor,
    places: [{ kind: 'blast', airTempC: null }],
    steps: forecast.steps,
    limit: COOLING_LIMITS.us,
  })!
  expect(advice.remedy.kind).toBe('thinner')
  const curve = coolTray(
    { depthM: advice.remedy.depthM, startTempC: 62 },
    trayStages([{ durationS: 30_000, place: 'fridge', covered: false }], forecast.fit.surfaceFactor),
  )
  expect(tempAtC(curve, (risk.limitMs! - nowMs) / 1000)).toBeLessThanOrEqual(21)
})

test('where nothing brings it back, nothing is advised', () => {
  const events = [spread(0.08), read(20, 80), read(50, 75), read(200, 55)]
  const forecast = forecastAt(events, 318)
  const late = forecast.steps.map((step) => ({ ...step, limitMs: T0 + 319 * MIN_MS }))
  const advice = adviseCooling({
    tempC: 50,
    nowMs: T0 + 318 * MIN_MS,
    depthM: 0.08,
    place: 'fridge',
    covered: true,
    airTempC: null,
    surfaceFactor: 1,
    places: [{ kind: 'blast', airTempC: null }],
    steps: late,
    limit: COOLING_LIMITS.us,
  })
  expect(advice).toBeNull()
})
