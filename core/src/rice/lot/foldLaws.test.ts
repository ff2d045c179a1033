import fc from 'fast-check'
import { RULE_SETS } from '../../safety/limits'
import {
  at,
  COLD,
  COLD_LOT,
  HOUR_MS,
  HOUSE,
  LOAD,
  MIN_MS,
  moved,
  read,
  say,
  spread,
  T0,
  type Said,
} from '../../test/lots'
import type { LotEvent } from './lotEvent'
import { outLimitMs, useByMs, isWarmPlace, heldCold } from './lotHolding'

const LATER = T0 + 5 * HOUR_MS
const anyMass = fc.integer({ min: 1, max: 900 })
const anySaid: fc.Arbitrary<Said> = fc.oneof(
  fc.integer({ min: 0, max: 60 }).map((tempC) => read(tempC)),
  anyMass.map((massG): Said => ({ kind: 'used', runId: 'r', massG })),
  anyMass.map((massG): Said => ({ kind: 'gave', toLotId: 'b', massG })),
  anyMass.map((massG): Said => ({ kind: 'discarded', massG, reason: 'quality' })),
  fc.constantFrom(moved('bench'), moved('fridge'), moved('freezer'), moved('rack')),
)
const anyEvents = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 400 }), anySaid), { maxLength: 10 })
  .map((list) => list.map(([minute, said]) => say(LATER + minute * MIN_MS, said)))
const END = LATER + 24 * HOUR_MS

test('law: the order in which a log arrives changes nothing', () => {
  fc.assert(
    fc.property(
      anyEvents.chain((events) => {
        const all = [...COLD, ...events]
        return fc.tuple(fc.constant(all), fc.shuffledSubarray(all, { minLength: all.length, maxLength: all.length }))
      }),
      ([events, shuffled]) => expect(at(shuffled, END)).toEqual(at(events, END)),
    ),
    { numRuns: 60 },
  )
})

test('law: everything that was said stands in the log once, whether it counts or not', () => {
  fc.assert(
    fc.property(anyEvents, (events) => {
      const all = [...COLD, ...events]
      const logged = at(all, END).log.map((one) => one.event.id)
      expect([...logged].sort()).toEqual(all.map((event) => event.id).sort())
      for (const one of at(all, END).log) expect(one.counts).toBe(one.why === null)
    }),
    { numRuns: 60 },
  )
})

test('law: rice is neither made nor lost: what was spread is left, used, given or thrown away', () => {
  const taking = fc.oneof(
    anyMass.map((massG): Said => ({ kind: 'used', runId: 'r', massG })),
    anyMass.map((massG): Said => ({ kind: 'gave', toLotId: 'b', massG })),
    anyMass.map((massG): Said => ({ kind: 'discarded', massG, reason: 'quality' })),
  )
  fc.assert(
    fc.property(fc.array(taking, { maxLength: 4 }), (said) => {
      const events = said.map((one, i) => say(LATER + i * MIN_MS, one))
      const state = at([...COLD, ...events], LATER + HOUR_MS)
      const gaveG = said.reduce((sum, one) => sum + (one.kind === 'gave' ? one.massG : 0), 0)
      expect(state.massG + state.usedG + state.discardedG + gaveG).toBe(4000)
      expect(state.overdrawnG).toBe(0)
    }),
  )
})

test('law: a run is never refused its rice: what it took beyond what was there is said', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 500, max: 3000 }), { minLength: 1, maxLength: 6 }), (masses) => {
      const runs = masses.map((massG, i) => say(LATER + i * MIN_MS, { kind: 'used', runId: `r${i}`, massG }))
      const state = at([...COLD, ...runs], LATER + HOUR_MS)
      const tookG = masses.reduce((sum, massG) => sum + massG, 0)
      expect(state.massG).toBe(Math.max(0, 4000 - tookG))
      expect(state.massG - state.overdrawnG).toBe(4000 - tookG)
    }),
  )
})

test('law: undone, it is as if it had never been said', () => {
  const undoable = fc.oneof(
    anyMass.map((massG): Said => ({ kind: 'discarded', massG, reason: 'quality' })),
    fc.integer({ min: 0, max: 5 }).map((tempC) => read(tempC)),
    fc.constant(moved('rack')),
  )
  fc.assert(
    fc.property(undoable, (said) => {
      const event = say(LATER, said)
      const undo = say(LATER + MIN_MS, { kind: 'undone', eventId: event.id })
      const without = at(COLD, LATER + HOUR_MS)
      const after = at([...COLD, event, undo], LATER + HOUR_MS)
      expect({ ...after, log: [] }).toEqual({ ...without, log: [] })
      expect(after.log.find((one) => one.event.id === event.id)).toMatchObject({ counts: false, why: 'struckOut' })
    }),
  )
})

test('law: a tighter house never lets rice be used longer, cold or out of the cold', () => {
  const days = fc.option(fc.integer({ min: 1, max: 7 }))
  const minutes = fc.option(fc.integer({ min: 15, max: 360 }))
  const anyRules = fc.subarray([...RULE_SETS], { minLength: 1 })
  fc.assert(
    fc.property(days, minutes, anyRules, (keepDays, outMin, ruleSets) => {
      const house = { ...HOUSE, keepDays, outMin }
      expect(useByMs(ruleSets, house, T0)).toBeLessThanOrEqual(useByMs(ruleSets, HOUSE, T0))
      expect(outLimitMs(ruleSets, house)).toBeLessThanOrEqual(outLimitMs(ruleSets, HOUSE))
      for (const one of ruleSets) {
        expect(useByMs(ruleSets, house, T0)).toBeLessThanOrEqual(useByMs([one], house, T0))
        expect(heldCold(ruleSets).tempC).toBeLessThanOrEqual(heldCold([one]).tempC)
      }
    }),
  )
})

test.each<[Parameters<typeof isWarmPlace>[0], number | null, boolean]>([
  ['bench', null, true],
  ['bench', 2, true],
  ['rack', null, true],
  ['rack', 3, false],
  ['fridge', null, false],
  ['fridge', 9, true],
  ['blast', null, false],
  ['ice-bath', 30, false],
  ['freezer', 30, false],
  [null, 30, false],
])('on the %s at %s °C rice is out of the cold: %s', (place, airTempC, isOut) => {
  expect(isWarmPlace(place, airTempC, { tempC: 5, tempF: 41 })).toBe(isOut)
})

test('rice from elsewhere is as old as somebody said, and ends by that', () => {
  const bought = at([], LATER, COLD_LOT)
  expect(bought).toMatchObject({ stage: 'ready', massG: 3000, isUsable: true })
  const old = { ...COLD_LOT, cookedAtMs: T0 - 8 * 24 * HOUR_MS }
  expect(at([], LATER, old)).toMatchObject({ isUsable: false, notUsable: { kind: 'tooOld' } })
  expect(at([], LATER, { ...COLD_LOT, ruleSet: 'uk', cookedAtMs: T0 - 25 * HOUR_MS }).isUsable).toBe(false)
})

test.each<[string, LotEvent[], string]>([
  ['on the heat', [], 'cooking'],
  ['hot on trays', [COLD[0]!], 'cooling'],
  ['frozen', [...COLD, say(LATER, moved('freezer'))], 'frozen'],
  ['all used', [...COLD, say(LATER, { kind: 'used', runId: 'r', massG: 4000 })], 'over'],
])('rice that is %s says why it may not be fried', (_how, events, kind) => {
  const state = at(events, LATER + (events.length === 1 ? -4 * HOUR_MS : HOUR_MS))
  expect(state).toMatchObject({ isUsable: false, notUsable: { kind } })
})

test('spread again from the pot, it is weighed again and its clock goes on', () => {
  const again = [COLD[0]!, say(T0 + 0.7 * HOUR_MS, spread(3900))]
  const state = at(again, T0 + HOUR_MS, LOAD)
  expect(state.massG).toBe(3900)
  expect(state.cookedAtMs).toBe(T0 + 0.5 * HOUR_MS)
})
