import { COOLING_LIMITS } from '../../safety/coolingLimits'
import { RULE_SETS } from '../../safety/limits'
import { allocateRice, inOrderOfUse, type LotOnHand } from './allocate'
import { doubtReading, isStuck } from './doubtReading'
import { judgeReadings } from './judgeReadings'

const HOUR_MS = 3_600_000
const MIN_MS = 60_000
const T0 = Date.parse('2026-11-25T14:00:00Z')

describe('readings', () => {
  const last = { tempC: 46, atMs: T0 }
  const ask = (tempC: number, minutes: number, expectedC: number | null = null) =>
    doubtReading({ tempC, tempF: null, atMs: T0 + minutes * MIN_MS, last, coldestC: 3, expectedC, isOut: false })
  test('°F typed as °C, impossible drops and rises are asked about; what is likely is not', () => {
    expect(
      doubtReading({ tempC: 185, tempF: null, atMs: T0, last: null, coldestC: 3, expectedC: null, isOut: false }),
    ).toEqual({
      doubt: 'unit',
      meantC: 85,
    })
    expect(ask(104, 20)).toMatchObject({ doubt: 'unit', meantC: 40 })
    expect(ask(100, 20, 38)).toMatchObject({ doubt: 'unit' })
    expect(ask(12, 2)!.doubt).toBe('drop')
    expect(ask(-6, 600)!.doubt).toBe('drop')
    expect(ask(58, 10)!.doubt).toBe('rise')
    expect([ask(40, 10), ask(21, 60), ask(47, 5)]).toEqual([null, null, null])
  })
  test('a probe that repeats itself while the rice must have cooled is stuck', () => {
    const every2 = (tempsC: number[]) => tempsC.map((tempC, i) => ({ tempC, atMs: T0 + i * 2 * MIN_MS }))
    const falling = (kPerMin: number) => (atMs: number) => 60 - (kPerMin * (atMs - T0)) / MIN_MS
    const same = every2([44, 41.2, 41.2, 41.2, 41.2])
    expect([isStuck(same, falling(0.5)), isStuck(same, falling(0.1)), isStuck(same.slice(0, 4), falling(2))]).toEqual([
      true,
      false,
      false,
    ])
    expect(isStuck(every2([41.2, 41.2, 41.2, 41.2, 40]), falling(0.5))).toBe(false)
    expect(isStuck(every2(Array.from({ length: 20 }, () => 9)), falling(0.06))).toBe(true)
  })
  test('every rule set passes at its boundary second and breaks one later, in °C and in the °F of its text', () => {
    for (const ruleSet of RULE_SETS) {
      const limit = COOLING_LIMITS[ruleSet]
      for (const isF of [false, true]) {
        const one = (atMs: number, { tempC, tempF }: { tempC: number; tempF: number }, more = 0) =>
          isF
            ? { atMs, tempC: (tempF + more - 32) / 1.8, tempF: tempF + more }
            : { atMs, tempC: tempC + more, tempF: null }
        const readings = [one(0, { tempC: limit.startC, tempF: limit.startF })]
        for (const [i, step] of limit.steps.entries()) {
          const stepOf = (all: typeof readings, nowMs: number) => judgeReadings(all, limit, 0, nowMs).steps[i]!
          const { limitMs } = stepOf(readings, 0)
          const verdict = (more: number, atMs: number) => stepOf([...readings, one(atMs, step, more)], atMs).verdict
          expect(verdict(0, limitMs!)).toBe('met')
          expect(verdict(0.1, limitMs!)).toBe('broken')
          expect(verdict(0, limitMs! + 1000)).toBe('unproven')
          expect(verdict(0.1, limitMs! - 1000)).toBe('open')
          readings.push(one(limitMs!, step))
        }
        expect(judgeReadings(readings, limit, 0, 0).steps.every((step) => step.verdict === 'met')).toBe(true)
      }
    }
  })
})

test('rice goes oldest first, what is out of the cold before the rest, and never more than there is', () => {
  const lot = (id: string, massG: number, hour: number, stage: LotOnHand['stage'] = 'ready'): LotOnHand => ({
    id,
    name: id,
    stage,
    massG,
    cookedAtMs: T0 + hour * HOUR_MS,
    useByMs: T0 + (72 + hour) * HOUR_MS,
  })
  const lots = [lot('new', 4000, 9), lot('old', 500, 0), lot('out', 300, 12, 'tempering')]
  expect(inOrderOfUse(lots).map((one) => one.id)).toEqual(['out', 'old', 'new'])
  expect(allocateRice(lots, [600, 5000])).toEqual([
    {
      draws: [
        { lotId: 'out', massG: 300 },
        { lotId: 'old', massG: 300 },
      ],
      shortG: 0,
    },
    {
      draws: [
        { lotId: 'old', massG: 200 },
        { lotId: 'new', massG: 4000 },
      ],
      shortG: 800,
    },
  ])
})
