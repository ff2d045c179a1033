import { COOLING_LIMITS } from '../../safety/coolingLimits'
import { mostDepthM } from '../cooling/predictCooling'
import { lotState } from './lot'
import type { LotEvent } from './lotEvent'
import { watchLot } from './watchLot'

const MIN_MS = 60_000
const T0 = Date.parse('2026-11-25T14:00:00Z')
const base = (id: string, minute: number) => ({ id, lotId: 'a', deviceId: 'd', atMs: T0 + minute * MIN_MS, counter: 0 })
const born = {
  id: 'a',
  origin: 'cooked' as const,
  bornAtMs: T0,
  cookedAtMs: null,
  massG: null,
  tempC: null,
  place: null,
  placeId: null,
  ruleSet: 'us' as const,
}
const spread: LotEvent = {
  ...base('e0', 0),
  kind: 'spread',
  massG: 4000,
  tempC: 90,
  depthM: 0.075,
  trays: 1,
  place: 'fridge',
  placeId: null,
  covered: true,
  airTempC: null,
}
const watch = (events: LotEvent[], minute: number) => {
  const nowMs = T0 + minute * MIN_MS
  const state = lotState(born, events, { timeZone: 'UTC', keepDays: null, outMin: null, leadIds: [] }, nowMs)
  return watchLot({ state, plan: [], places: [{ kind: 'blast', airTempC: null }], nowMs })
}

test('a covered deep tray is watched with advice; what was never spread is not watched', () => {
  const watched = watch([spread], 30)!
  expect(watched.forecast.steps[0]!.limitMs).not.toBeNull()
  expect(watched.advice!.reachedMs.length).toBeGreaterThan(0)
  expect(watch([], 30)).toBeNull()
})

test('with two rule sets in force, the one at risk is shown', () => {
  const thin = { ...spread, depthM: 0.035, covered: false }
  expect(watch([thin], 10)).toMatchObject({ ruleSet: 'us', advice: null })
  const both: LotEvent = { ...base('e1', 5), kind: 'ruleSet', from: 'us', to: 'uk' }
  expect(watch([thin, both], 10)).toMatchObject({ ruleSet: 'uk' })
})

test('the deepest tray is shallower in a room-warm start than in a blast chiller', () => {
  const depth = (place: 'fridge' | 'blast' | 'rack') =>
    mostDepthM({ startTempC: 95 }, [{ durationS: 36_000, place, covered: false }], COOLING_LIMITS.us).advisedM
  expect(depth('rack')).toBe(0)
  expect(depth('blast')).toBeGreaterThan(depth('fridge'))
})
